package org.scholion.server.collect;

import jakarta.persistence.EntityManager;
import jakarta.persistence.TypedQuery;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.formats.bringin.PersonWords;
import org.scholion.server.key.Assessments;
import org.scholion.server.mail.Post;
import org.scholion.server.person.People;
import org.scholion.server.person.Schools;
import org.scholion.server.person.SittingEntry;
import org.scholion.server.person.SlipCode;
import org.scholion.server.platform.Events;
import org.scholion.server.platform.Lengths;
import org.scholion.server.platform.Me;
import org.scholion.server.platform.Refused;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Guests of a sitting: they are on no roster, say who they are, and have this sitting and nothing else. */
@Service
class Guests {
    private static final int MOST = 2_000;
    private static final int MOST_AT_ONCE = 300;
    private static final Duration AT_ONCE = Duration.ofMinutes(1);
    private static final Duration BETWEEN_LETTERS = Duration.ofMinutes(2);
    private static final int LONGEST = 200;

    private final EntityManager entities;
    private final Assessments assessments;
    private final People people;
    private final Schools schools;
    private final Post post;
    private final Events events;
    private final Clock clock;

    Guests(
            EntityManager entities,
            Assessments assessments,
            People people,
            Schools schools,
            Post post,
            Events events,
            Clock clock) {
        this.entities = entities;
        this.assessments = assessments;
        this.people = people;
        this.schools = schools;
        this.post = post;
        this.events = events;
        this.clock = clock;
    }

    /** Goes on only if guests can come as these rules say. */
    @Transactional(readOnly = true)
    public void require(UUID school, GuestRules rules) {
        if (rules.who() != GuestRules.Who.ADDRESSES) {
            return;
        }
        if (schools.mailDomains(school).isEmpty()) {
            throw Refused.invalid(
                    "guests", "Your school has not said which addresses are its own. An administrator sets them.");
        }
        post.requireSetUp();
    }

    /** Lets a guest in by a sitting's short link, or sends the code to the address that they gave. */
    @Transactional
    public SittingEntry.LetIn comeIn(SittingEntry.GuestGiven given) {
        SittingRow sitting = sitting(given.way());
        GuestRules rules = sitting.guests;
        Guest said = said(sitting, given);
        Instant now = clock.instant();
        Optional<Guest> known = rules.who() == GuestRules.Who.ADDRESSES
                ? one("g.email = :by", sitting.id, said.email)
                : one("g.once = :by", sitting.id, given.once());
        if (known.isEmpty()) {
            requireRoom(sitting.id, now);
        }
        Guest guest = known.orElseGet(() -> add(sitting, given, said, now));
        Me me = people.byId(guest.person).orElseThrow(Refused::notFound).within(sitting.id);
        String name = people.usernameOf(me.id());
        if (rules.who() == GuestRules.Who.ADDRESSES) {
            if (!codeSince(sitting.id, guest.person, now.minus(BETWEEN_LETTERS))) {
                post.ask(sitting.school, null, GuestLetter.KIND, List.of(guest.person));
            }
            return new SittingEntry.LetIn(null, name, null);
        }
        SlipCode code = newCode(sitting, guest.person, now);
        events.say("assessment:" + sitting.assessment);
        return new SittingEntry.LetIn(me, name, code.printed());
    }

    private SittingRow sitting(String way) {
        SittingRow sitting = entities.createQuery("from SittingRow s where s.way = :way", SittingRow.class)
                .setParameter("way", SlipCode.typed(way).signs())
                .getResultStream()
                .findFirst()
                .orElseThrow(Refused::notFound);
        if (sitting.guests.who() == GuestRules.Who.NOBODY) {
            throw Refused.notFound();
        }
        if (!clock.instant().isBefore(sitting.endsAt)) {
            throw Refused.conflict("closed", "This is closed. If you still need to hand in, ask the teacher.");
        }
        return sitting;
    }

    /** What a guest says, as it is kept; refused where something is missing. */
    private Guest said(SittingRow sitting, SittingEntry.GuestGiven given) {
        GuestForm form = sitting.guests.form();
        Guest said = new Guest();
        said.group = asked(form.groupAsked(), "group", given.group(), "Type your class.");
        said.email = asked(form.email(), "email", given.email(), "Type your e-mail address.")
                .toLowerCase(Locale.ROOT);
        PersonWords.email(said.email).ifPresent(why -> {
            throw Refused.invalid("email", "The e-mail address " + why + ".");
        });
        if (sitting.guests.who() == GuestRules.Who.ADDRESSES) {
            List<String> domains = schools.mailDomains(sitting.school);
            if (domains.stream().noneMatch(d -> said.email.endsWith("@" + d))) {
                throw Refused.invalid(
                        "email",
                        "Use an address of the school: one that ends with @" + String.join(" or @", domains) + ".");
            }
        }
        Map<String, String> own = new LinkedHashMap<>();
        for (GuestForm.OwnField field : form.own()) {
            String words = brief(given.own().getOrDefault(field.label(), ""), "own");
            if (field.required() && words.isEmpty()) {
                throw Refused.invalid("own", "Fill in “" + field.label() + "”.");
            }
            own.put(field.label(), words);
        }
        said.own = own;
        return said;
    }

    private static String asked(GuestForm.Ask ask, String place, String words, String missing) {
        String text = ask == GuestForm.Ask.NO ? "" : brief(words, place);
        if (ask == GuestForm.Ask.MUST && text.isEmpty()) {
            throw Refused.invalid(place, missing);
        }
        return text;
    }

    private static String brief(String words, String place) {
        return Lengths.atMost(place, words, LONGEST).strip();
    }

    private Optional<Guest> one(String by, UUID sitting, Object value) {
        return entities.createQuery("from Guest g where g.sitting = :sitting and " + by, Guest.class)
                .setParameter("sitting", sitting)
                .setParameter("by", value)
                .getResultStream()
                .findFirst();
    }

    private void requireRoom(UUID sitting, Instant now) {
        long all = count(sitting, Instant.EPOCH);
        if (all >= MOST || count(sitting, now.minus(AT_ONCE)) >= MOST_AT_ONCE) {
            throw new Refused(
                    HttpStatus.TOO_MANY_REQUESTS,
                    "too-many",
                    all >= MOST
                            ? "No more guests can come to this. Ask the teacher."
                            : "Very many are coming in at this moment. Try again in a minute.",
                    List.of());
        }
    }

    private long count(UUID sitting, Instant since) {
        return entities.createQuery(
                        "select count(*) from Guest g where g.sitting = :sitting and g.at >= :since", Long.class)
                .setParameter("sitting", sitting)
                .setParameter("since", since)
                .getSingleResult();
    }

    private Guest add(SittingRow sitting, SittingEntry.GuestGiven given, Guest said, Instant now) {
        said.person = people.addGuest(sitting.school, given.given(), given.family(), sitting.id);
        said.school = sitting.school;
        said.sitting = sitting.id;
        said.once = given.once();
        said.at = now;
        entities.persist(said);
        entities.flush();
        return said;
    }

    private boolean codeSince(UUID sitting, UUID guest, Instant since) {
        SittingSlip slip = entities.find(SittingSlip.class, new StudentInSitting(sitting, guest));
        return slip != null && slip.madeAt.isAfter(since);
    }

    /** A new code for a guest, in the place of the one before. */
    private SlipCode newCode(SittingRow sitting, UUID guest, Instant now) {
        SittingSlip row = entities.find(SittingSlip.class, new StudentInSitting(sitting.id, guest));
        SittingSlip own = row == null ? new SittingSlip(sitting, guest) : row;
        SlipCode code = SlipCode.random();
        own.renew(code, guest, now);
        if (row == null) {
            entities.persist(own);
        }
        entities.flush();
        return code;
    }

    /** What a letter with a code says. */
    record Proof(UUID school, String title, String email, String way, String name, String code) {}

    /** A new code for a guest's letter; empty where the sitting is no more, or over. */
    @Transactional
    public Optional<Proof> proof(UUID person) {
        Guest guest = entities.find(Guest.class, person);
        if (guest == null) {
            return Optional.empty();
        }
        SittingRow sitting = entities.find(SittingRow.class, guest.sitting);
        Instant now = clock.instant();
        if (sitting == null || !now.isBefore(sitting.endsAt)) {
            return Optional.empty();
        }
        String title = assessments.title(sitting.assessment);
        String code = newCode(sitting, person, now).printed();
        return Optional.of(new Proof(sitting.school, title, guest.email, sitting.way, people.usernameOf(person), code));
    }

    /** A guest as a teacher sees them. */
    record GuestLine(UUID student, String group, String email, Map<String, String> own) {}

    @Transactional(readOnly = true)
    List<GuestLine> of(UUID assessment, @Nullable UUID section) {
        TypedQuery<Guest> query = entities.createQuery(
                        "select g from Guest g join SittingRow s on s.id = g.sitting where s.assessment = :assessment"
                                + (section == null ? "" : " and s.section = :section"),
                        Guest.class)
                .setParameter("assessment", assessment);
        if (section != null) {
            query.setParameter("section", section);
        }
        return query.getResultStream()
                .map(g -> new GuestLine(g.person, g.group, g.email, g.own))
                .toList();
    }
}
