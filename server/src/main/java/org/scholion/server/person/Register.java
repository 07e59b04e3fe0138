package org.scholion.server.person;

import jakarta.persistence.EntityManager;
import jakarta.persistence.LockModeType;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.UUID;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.scholion.formats.bringin.PersonWords;
import org.scholion.formats.json.Fault;
import org.scholion.server.access.Access;
import org.scholion.server.platform.Deeds;
import org.scholion.server.platform.Me;
import org.scholion.server.platform.Refused;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The school's register as its administrator keeps it: who is in it, what they are called and what they are. */
@Service
public class Register {
    private static final Pattern USERNAME = Pattern.compile("[a-z0-9][a-z0-9._\\-]{1,59}");

    private final People people;
    private final SignedIn signedIn;
    private final EntityManager entities;
    private final Access access;
    private final Deeds deeds;
    private final Clock clock;

    Register(People people, SignedIn signedIn, EntityManager entities, Access access, Deeds deeds, Clock clock) {
        this.people = people;
        this.signedIn = signedIn;
        this.entities = entities;
        this.access = access;
        this.deeds = deeds;
        this.clock = clock;
    }

    /**
     * What a person is called and is.
     *
     * @param username null to have one made from the name
     * @param revision what it was when it was looked at; not looked at for a new person
     */
    record PersonEntry(
            Me.Role role,
            String given,
            String family,
            @Nullable String number,
            @Nullable String email,
            @Nullable String username,
            @Nullable Integer revision) {}

    /** The first person of a school, who has nobody to be let in by. */
    Me first(UUID school, People.NewPerson who, @Nullable String passwordHash) {
        check(school, null, entry(who));
        return people.add(school, who, passwordHash);
    }

    private static PersonEntry entry(People.NewPerson who) {
        return new PersonEntry(who.role(), who.given(), who.family(), who.number(), who.email(), who.username(), null);
    }

    @Transactional
    public People.PersonLine add(Me me, PersonEntry wanted) {
        access.require(me, Access.Action.SEE_PEOPLE, me.school());
        PersonEntry clean = clean(wanted);
        check(me.school(), null, clean);
        String username = clean.username() == null
                ? people.freeUsername(
                        SignInName.of(clean.given(), clean.family(), Objects.requireNonNullElse(clean.number(), "")))
                : clean.username();
        Me made = people.add(
                me.school(),
                new People.NewPerson(
                        clean.role(), clean.given(), clean.family(), clean.number(), clean.email(), username),
                null);
        deeds.note(me, Deeds.What.PERSON_ADDED, made.id(), made.name());
        return people.line(made.id());
    }

    /** Whoever gets another role is signed in no longer. */
    @Transactional
    public People.PersonLine change(Me me, UUID person, PersonEntry wanted) {
        access.require(me, Access.Action.MANAGE_PERSON, person);
        Person row = entities.find(Person.class, person, LockModeType.PESSIMISTIC_WRITE);
        PersonEntry clean = clean(wanted);
        if (clean.revision() == null || clean.revision() != row.revision) {
            throw Refused.overtaken(
                    "Somebody changed " + row.name() + " while you were at it. Your change is still on your screen.",
                    people.line(person));
        }
        check(me.school(), person, clean);
        if (row.role == Me.Role.ADMIN && clean.role() != Me.Role.ADMIN) {
            requireAnother(me, person);
        }
        boolean another = row.role != clean.role();
        row.role = clean.role();
        row.given = clean.given();
        row.family = clean.family();
        row.number = clean.number();
        row.email = clean.email();
        row.username = Objects.requireNonNullElse(clean.username(), row.username);
        entities.flush();
        if (another) {
            signedIn.endAll(person, null);
        }
        deeds.note(me, Deeds.What.PERSON_CHANGED, person, row.name());
        return people.line(person);
    }

    /** Nobody signs in as somebody who is disabled; their work stays where it is. */
    @Transactional
    public People.PersonLine disable(Me me, UUID person, boolean disabled) {
        access.require(me, Access.Action.MANAGE_PERSON, person);
        if (disabled && person.equals(me.id())) {
            throw Refused.conflict("yourself", "You cannot disable yourself. Another administrator can.");
        }
        Person row = entities.find(Person.class, person, LockModeType.PESSIMISTIC_WRITE);
        if (disabled == (row.disabledAt == null)) {
            row.disabledAt = disabled ? clock.instant() : null;
            entities.flush();
            if (disabled) {
                signedIn.endAll(person, null);
            }
            deeds.note(me, disabled ? Deeds.What.PERSON_DISABLED : Deeds.What.PERSON_ENABLED, person, row.name());
        }
        return people.line(person);
    }

    private void requireAnother(Me me, UUID person) {
        Long others = entities.createQuery(
                        "select count(*) from Person where school = :school and role = ADMIN and disabledAt is null"
                                + " and id <> :person",
                        Long.class)
                .setParameter("school", me.school())
                .setParameter("person", person)
                .getSingleResult();
        if (others == 0) {
            throw Refused.conflict(
                    "last-administrator", "This is the school's only administrator. Make somebody else one first.");
        }
    }

    private static PersonEntry clean(PersonEntry e) {
        return new PersonEntry(
                e.role(),
                PersonWords.tidy(e.given()),
                PersonWords.tidy(e.family()),
                orNone(e.number()),
                orNone(e.email()),
                e.username() == null || e.username().isBlank()
                        ? null
                        : e.username().strip().toLowerCase(Locale.ROOT),
                e.revision());
    }

    private static @Nullable String orNone(@Nullable String text) {
        return text == null || text.isBlank() ? null : text.strip();
    }

    /** All that is wrong at once; whose number it is may be told to an administrator. */
    private void check(UUID school, @Nullable UUID person, PersonEntry e) {
        List<Fault> faults = new ArrayList<>();
        PersonWords.name(e.given()).ifPresent(why -> faults.add(new Fault("given", "the first name " + why)));
        PersonWords.name(e.family()).ifPresent(why -> faults.add(new Fault("family", "the surname " + why)));
        if (e.number() != null) {
            PersonWords.number(e.number()).ifPresent(why -> faults.add(new Fault("number", "the number " + why)));
        }
        if (e.email() != null) {
            PersonWords.email(e.email()).ifPresent(why -> faults.add(new Fault("email", "the e-mail " + why)));
        }
        if (e.username() != null && !USERNAME.matcher(e.username()).matches()) {
            faults.add(new Fault(
                    "username", "a sign-in name has from 2 to 60 of a to z, 0 to 9, dot, stroke and underscore"));
        }
        if (faults.isEmpty()) {
            taken(school, person, e, faults);
        }
        if (!faults.isEmpty()) {
            throw Refused.invalid(faults);
        }
    }

    private void taken(UUID school, @Nullable UUID person, PersonEntry e, List<Fault> faults) {
        if (e.username() != null) {
            people.idOf(e.username())
                    .filter(id -> !id.equals(person))
                    .ifPresent(
                            id -> faults.add(new Fault("username", "“" + e.username() + "” is taken; choose another")));
        }
        if (e.number() != null) {
            Me owner = people.byNumbers(school, List.of(e.number())).get(e.number());
            if (owner != null && !owner.id().equals(person)) {
                faults.add(new Fault("number", "number " + e.number() + " belongs to " + owner.name()));
            }
        }
    }
}
