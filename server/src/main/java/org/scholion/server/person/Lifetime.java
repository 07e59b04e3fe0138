package org.scholion.server.person;

import jakarta.persistence.EntityManager;
import jakarta.persistence.LockModeType;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.server.access.Access;
import org.scholion.server.mail.Post;
import org.scholion.server.platform.Deeds;
import org.scholion.server.platform.Me;
import org.scholion.server.platform.Refused;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** What becomes of people who are twice, who ask what is kept of them, or who are to be forgotten. */
@Service
class Lifetime {
    private final EntityManager entities;
    private final People people;
    private final SignedIn signedIn;
    private final List<KeptOfStudent> kept;
    private final Post post;
    private final Access access;
    private final Deeds deeds;
    private final Clock clock;

    Lifetime(
            EntityManager entities,
            People people,
            SignedIn signedIn,
            List<KeptOfStudent> kept,
            Post post,
            Access access,
            Deeds deeds,
            Clock clock) {
        this.entities = entities;
        this.people = people;
        this.signedIn = signedIn;
        this.kept = kept;
        this.post = post;
        this.access = access;
        this.deeds = deeds;
        this.clock = clock;
    }

    /**
     * Somebody who could be the same person.
     *
     * @param clashes what stands in the way of making them one; empty where nothing does
     */
    record Twin(People.PersonLine person, List<String> clashes) {}

    /** Students of the school with the same names in either order, the same number but for zeros, or the same e-mail. */
    @Transactional(readOnly = true)
    List<Twin> twins(Me me, UUID person) {
        access.require(me, Access.Action.MANAGE_PERSON, person);
        Person own = entities.find(Person.class, person);
        if (own.role != Me.Role.STUDENT) {
            return List.of();
        }
        return entities.createQuery("""
                        select q.id from Person p join Person q on q.school = p.school and q.role = p.role and q.id <> p.id
                        where p.id = :person and (
                          lower(q.given) = lower(p.given) and lower(q.family) = lower(p.family)
                          or lower(q.given) = lower(p.family) and lower(q.family) = lower(p.given)
                          or trim(leading '0' from q.number) = trim(leading '0' from p.number)
                          or lower(q.email) = lower(p.email))
                        order by q.family, q.given, q.id""", UUID.class).setParameter("person", person).getResultList().stream()
                .map(other -> new Twin(people.line(other), clashes(other, person)))
                .toList();
    }

    private List<String> clashes(UUID from, UUID to) {
        return kept.stream().flatMap(k -> k.clashes(from, to).stream()).toList();
    }

    /** Two are one: everything of the other is this one's, and the other is no more. */
    @Transactional
    People.PersonLine merge(Me me, UUID person, UUID other) {
        access.require(me, Access.Action.MANAGE_PERSON, person);
        access.require(me, Access.Action.MANAGE_PERSON, other);
        if (person.equals(other)) {
            throw Refused.invalid("other", "choose somebody else");
        }
        // Always in the same order, so that two who do it at once do not wait for each other.
        boolean first = person.compareTo(other) < 0;
        Person a = lock(first ? person : other);
        Person b = lock(first ? other : person);
        Person stays = first ? a : b;
        Person goes = first ? b : a;
        if (stays.role != Me.Role.STUDENT || goes.role != Me.Role.STUDENT) {
            throw Refused.conflict("no-students", "Only two students can be made one. Nothing was changed.");
        }
        List<String> clashes = clashes(other, person);
        if (!clashes.isEmpty()) {
            throw Refused.conflict(
                    "clash", "They cannot be one person yet: " + String.join("; ", clashes) + ". Nothing was changed.");
        }
        kept.forEach(k -> k.move(other, person));
        signedIn.endAll(other, null);
        String name = goes.name();
        @Nullable String number = goes.number;
        @Nullable String email = goes.email;
        entities.remove(goes);
        entities.flush();
        stays.number = stays.number == null ? number : stays.number;
        stays.email = stays.email == null ? email : stays.email;
        entities.flush();
        deeds.note(me, Deeds.What.PEOPLE_MERGED, person, name + " → " + stays.name());
        return people.line(person);
    }

    private Person lock(UUID person) {
        Person row = entities.find(Person.class, person, LockModeType.PESSIMISTIC_WRITE);
        if (row == null) {
            throw Refused.notFound();
        }
        return row;
    }

    /** Everything that is kept of a person, to be given to them. */
    @Transactional
    ObjectNode file(Me me, UUID person) {
        access.require(me, Access.Action.MANAGE_PERSON, person);
        Person row = entities.find(Person.class, person);
        ObjectNode file = JsonNodeFactory.instance.objectNode();
        file.put("writtenAt", clock.instant().toString());
        file.putObject("person")
                .put("role", row.role.name())
                .put("given", row.given)
                .put("family", row.family)
                .put("number", row.number)
                .put("email", row.email)
                .put("signsInAs", row.username)
                .put("disabledAt", row.disabledAt == null ? null : row.disabledAt.toString());
        kept.forEach(k -> k.tell(person, file));
        ArrayNode letters = file.putArray("letters");
        post.to(person)
                .forEach(l -> letters.addObject()
                        .put("kind", l.kind())
                        .put("askedForAt", l.madeAt().toString())
                        .put("state", l.state().name())
                        .put("at", l.at().toString()));
        ArrayNode record = file.putArray("record");
        deeds.about(row.school, person)
                .forEach(d -> record.addObject()
                        .put("at", d.at().toString())
                        .put("what", d.what().name())
                        .put("facts", d.facts()));
        deeds.note(me, Deeds.What.PERSON_EXPORTED, person, row.name());
        return file;
    }

    /** @param name of the person, typed again by whoever means it */
    record Forgetting(String name) {}

    /**
     * Forgets who somebody is: names, number, address, sign-in and letters go, also from the record of deeds. Answers and
     * marks stay without a name, since the figures of their class rest on them.
     */
    @Transactional
    People.PersonLine forget(Me me, UUID person, Forgetting wanted) {
        access.require(me, Access.Action.MANAGE_PERSON, person);
        Person row = lock(person);
        if (person.equals(me.id())) {
            throw Refused.conflict("yourself", "You cannot erase yourself. Another administrator can.");
        }
        if (!row.name().equalsIgnoreCase(wanted.name().strip())) {
            throw Refused.invalid("name", "this is not the name of the person; nothing was erased");
        }
        String was = row.name();
        String tail = person.toString().substring(30);
        row.given = "Former";
        row.family = row.role.name().toLowerCase(Locale.ROOT) + " " + tail;
        row.number = null;
        row.email = null;
        row.username = "former-" + tail;
        row.password = null;
        row.disabledAt = row.disabledAt == null ? clock.instant() : row.disabledAt;
        entities.flush();
        signedIn.endAll(person, null);
        entities.createQuery("delete from WayIn where person = :person")
                .setParameter("person", person)
                .executeUpdate();
        post.forget(person);
        kept.forEach(k -> k.forget(person));
        deeds.forget(row.school, person, was, row.name());
        deeds.note(me, Deeds.What.PERSON_ERASED, person, row.name());
        return people.line(person);
    }

    /** For a download's name. */
    static String fileName(ObjectNode file) {
        List<String> parts = new ArrayList<>();
        for (String field : List.of("given", "family")) {
            parts.add(file.path("person").path(field).asString("").replaceAll("[^\\p{L}\\p{N}]+", "-"));
        }
        return String.join("-", parts).toLowerCase(Locale.ROOT) + ".json";
    }
}
