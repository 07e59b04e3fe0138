package org.scholion.server.person;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.server.platform.Deeds;
import org.scholion.server.platform.Me;
import org.scholion.server.platform.Refused;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Words that let somebody in once, to choose a password: in a link, or as a code on a slip. Who may make one is for the
 * caller to ask. A new one for a person ends those before it.
 */
@Service
public class WaysIn {
    static final Duration LINK_HOLDS = Duration.ofDays(7);
    static final Duration CODE_HOLDS = Duration.ofDays(14);

    private final EntityManager entities;
    private final People people;
    private final Deeds deeds;
    private final Clock clock;
    private final String address;

    WaysIn(EntityManager entities, People people, Deeds deeds, Clock clock, @Value("${scholion.url}") String address) {
        this.address = address;
        this.entities = entities;
        this.people = people;
        this.deeds = deeds;
        this.clock = clock;
    }

    /**
     * What is printed for one person, to cut.
     *
     * @param group such as the section; empty for none
     */
    public record Slip(UUID person, String name, String username, String code, Instant until, String group) {}

    /** Whom a link lets in, and where. */
    public record Invited(String name, String username, String school, Instant until) {}

    /** A link that begins a school; its word stands behind the address's {@code #}, which no log keeps. */
    @Transactional
    String begin() {
        return address + "/begin#" + word(WayIn.Kind.BEGIN, null, null);
    }

    /** A link that lets a person choose a password. */
    @Transactional
    public String link(@Nullable UUID by, UUID person) {
        Person row = entities.find(Person.class, person);
        requireEnabled(row);
        end(List.of(person));
        deeds.note(row.school, by, Deeds.What.LINK_MADE, person, row.name());
        return address + "/enter#" + word(WayIn.Kind.LINK, person, by);
    }

    private String word(WayIn.Kind kind, @Nullable UUID person, @Nullable UUID by) {
        Token token = Token.random();
        Instant now = clock.instant();
        entities.persist(new WayIn(token.hash(), kind, person, by, now, now.plus(LINK_HOLDS)));
        return token.word();
    }

    /** A code for each of these, in the order of their names. Their passwords hold until a code is used. */
    @Transactional
    public List<Slip> codes(Me by, Collection<UUID> persons) {
        end(persons);
        Instant now = clock.instant();
        Instant until = now.plus(CODE_HOLDS);
        List<Slip> slips = new ArrayList<>();
        for (Person row : people.enabled(by.school(), persons)) {
            if (!by.is(Me.Role.ADMIN) && row.role != Me.Role.STUDENT) {
                // Whoever was a student once and administers now is let in by no teacher.
                continue;
            }
            SlipCode code = SlipCode.random();
            entities.persist(new WayIn(code.hash(row.id), WayIn.Kind.CODE, row.id, by.id(), now, until));
            slips.add(new Slip(row.id, row.name(), row.username, code.printed(), until, ""));
        }
        deeds.note(
                by,
                Deeds.What.CODES_MADE,
                slips.size() == 1 ? slips.get(0).person() : null,
                slips.size() == 1 ? slips.get(0).name() : String.valueOf(slips.size()));
        return slips;
    }

    private void end(Collection<UUID> persons) {
        entities.createQuery("delete from WayIn where person in (:persons)")
                .setParameter("persons", persons)
                .executeUpdate();
    }

    /** Whether this is a code that lets this person in now. */
    @Transactional(readOnly = true)
    boolean isCode(UUID person, String typed) {
        SlipCode code = SlipCode.typed(typed);
        return code.isOne() && live(code.hash(person), WayIn.Kind.CODE).isPresent();
    }

    @Transactional(readOnly = true)
    boolean canBegin(String word) {
        return live(new Token(word).hash(), WayIn.Kind.BEGIN).isPresent();
    }

    @Transactional(readOnly = true)
    Invited look(String word) {
        WayIn way = live(new Token(word).hash(), WayIn.Kind.LINK).orElseThrow(WaysIn::used);
        Person row = entities.find(Person.class, way.person);
        requireEnabled(row);
        School school = entities.find(School.class, row.school);
        return new Invited(row.name(), row.username, school.name, way.until);
    }

    /** Sets the password of whom the link is for; it is used up with that. */
    @Transactional
    Me enter(String word, String password) {
        byte[] hash = new Token(word).hash();
        WayIn way = live(hash, WayIn.Kind.LINK).orElseThrow(WaysIn::used);
        return set(hash, entities.find(Person.class, way.person), password);
    }

    /** Sets the password of whom the code is for; it is used up with that. */
    @Transactional
    Me enter(UUID person, String typed, String password) {
        byte[] hash = SlipCode.typed(typed).hash(person);
        if (live(hash, WayIn.Kind.CODE).isEmpty()) {
            throw used();
        }
        return set(hash, entities.find(Person.class, person), password);
    }

    /** Only one of two who use a word at once gets in. */
    private Me set(byte[] hash, Person row, String password) {
        requireEnabled(row);
        // First, since whoever comes second waits here, and finds it used up before anything else is looked at.
        int used = entities.createQuery("delete from WayIn where word = :word")
                .setParameter("word", hash)
                .executeUpdate();
        if (used == 0) {
            throw used();
        }
        people.setPassword(row.id, password);
        end(List.of(row.id));
        deeds.note(row.school, row.id, Deeds.What.PASSWORD_SET, row.id, row.name());
        return row.me();
    }

    /** A school has begun: no other link begins one. */
    @Transactional
    void begun() {
        entities.createQuery("delete from WayIn where kind = :kind")
                .setParameter("kind", WayIn.Kind.BEGIN)
                .executeUpdate();
    }

    private Optional<WayIn> live(byte[] word, WayIn.Kind kind) {
        return entities
                .createQuery("from WayIn where word = :word and kind = :kind and until > :now", WayIn.class)
                .setParameter("word", word)
                .setParameter("kind", kind)
                .setParameter("now", clock.instant())
                .getResultList()
                .stream()
                .findFirst();
    }

    private static void requireEnabled(@Nullable Person row) {
        if (row == null || row.disabledAt != null) {
            throw used();
        }
    }

    static Refused used() {
        return new Refused(
                HttpStatus.GONE,
                "used",
                "This link or code has been used already, or its time is over. Ask your school for a new one.",
                List.of());
    }
}
