package org.scholion.server.collect;

import jakarta.persistence.EntityManager;
import java.security.MessageDigest;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.server.access.Access;
import org.scholion.server.key.Assessments;
import org.scholion.server.person.SittingEntry;
import org.scholion.server.person.SlipCode;
import org.scholion.server.platform.Deeds;
import org.scholion.server.platform.Me;
import org.scholion.server.platform.Refused;
import org.scholion.server.platform.SignIns;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Slips that let students into one sitting without a password: a number, or sign-in name, and a code. Each code is for
 * one student, holds while the sitting lasts, and ends when a new one is made.
 */
@Service
class SittingSlips implements SittingEntry {
    private static final String OF_ROSTER =
            "not exists (select 1 from Guest g where g.person = s.student and g.sitting = s.sitting)";

    /** So long after its end a guest may come back, for the result. */
    static final Duration GUESTS_STAY = Duration.ofDays(60);

    private final EntityManager entities;
    private final Sittings sittings;
    private final Assessments assessments;
    private final Access access;
    private final Deeds deeds;
    private final SignIns signIns;
    private final Guests guests;
    private final Clock clock;

    SittingSlips(
            EntityManager entities,
            Sittings sittings,
            Assessments assessments,
            Access access,
            Deeds deeds,
            SignIns signIns,
            Guests guests,
            Clock clock) {
        this.entities = entities;
        this.sittings = sittings;
        this.assessments = assessments;
        this.access = access;
        this.deeds = deeds;
        this.signIns = signIns;
        this.guests = guests;
        this.clock = clock;
    }

    /**
     * What is printed for one student, to cut.
     *
     * @param number the school's; null for a student without one, who types the sign-in name
     */
    record SlipOfSitting(
            UUID student,
            String given,
            String family,
            @Nullable String number,
            String username,
            String code) {}

    /** @param way the short word of the sitting */
    record SlipsMade(String way, String title, Instant opens, Instant closes, List<SlipOfSitting> slips) {}

    /** What a short word leads to. */
    record WayTo(
            UUID sitting, String way, String school, String title, Instant opens, Instant closes, GuestRules guests) {}

    private record Has(
            UUID id, String given, String family, @Nullable String number, String username) {}

    /** @param students null for everybody who has it */
    @Transactional
    SlipsMade make(Me me, UUID sittingId, @Nullable List<UUID> students) {
        access.require(me, Access.Action.WORK_ON_SITTING, sittingId);
        SittingRow sitting = sittings.held(sittingId);
        Instant now = clock.instant();
        if (!now.isBefore(sitting.endsAt)) {
            throw Refused.conflict("closed", "This is closed, so no code would hold. Change its times first.");
        }
        List<Has> all = entities.createQuery("""
                        select p.id, p.given, p.family, p.number, p.username from Expected x
                        join Person p on p.id = x.student where x.sitting = :sitting and p.disabledAt is null and p.guestOf is null
                        order by p.family, p.given""", Has.class)
                .setParameter("sitting", sittingId)
                .getResultList();
        Set<UUID> wanted = students == null ? null : new HashSet<>(students);
        List<Has> some = all.stream()
                .filter(h -> wanted == null || wanted.contains(h.id()))
                .toList();
        if (some.isEmpty() || wanted != null && some.size() < wanted.size()) {
            throw Refused.invalid("students", "Choose students who have it.");
        }
        end(sittingId, some.stream().map(Has::id).toList());
        List<SlipOfSitting> slips = new ArrayList<>();
        for (Has h : some) {
            SlipCode code = SlipCode.random();
            SittingSlip row = new SittingSlip(sitting, h.id());
            row.renew(code, me.id(), now);
            entities.persist(row);
            slips.add(new SlipOfSitting(h.id(), h.given(), h.family(), h.number(), h.username(), code.printed()));
        }
        String title = assessments.title(sitting.assessment);
        deeds.note(me, Deeds.What.SITTING_CODES_MADE, sittingId, title + ", " + slips.size());
        return new SlipsMade(sitting.way, title, sitting.opensAt, sitting.closesAt, slips);
    }

    /** All codes of a sitting end, and whoever came in by one is out at once. */
    @Transactional
    void endAll(Me me, UUID sitting) {
        access.require(me, Access.Action.WORK_ON_SITTING, sitting);
        entities.createQuery("delete from SittingSlip s where s.sitting = :sitting and " + OF_ROSTER)
                .setParameter("sitting", sitting)
                .executeUpdate();
        signIns.endOf(sitting);
    }

    private void end(UUID sitting, List<UUID> students) {
        entities.createQuery("delete from SittingSlip s where s.sitting = :sitting and s.student in (:students)")
                .setParameter("sitting", sitting)
                .setParameter("students", students)
                .executeUpdate();
    }

    /** How many codes of a sitting hold. */
    @Transactional(readOnly = true)
    int held(UUID sitting) {
        return entities.createQuery(
                        "select count(*) from SittingSlip s where s.sitting = :sitting and " + OF_ROSTER, Long.class)
                .setParameter("sitting", sitting)
                .getSingleResult()
                .intValue();
    }

    /** Where a short word leads: anybody who has it may know. */
    @Transactional(readOnly = true)
    WayTo look(String way) {
        return entities.createQuery("""
                        select s, c.name, a.title from SittingRow s
                        join AssessmentRow a on a.id = s.assessment join School c on c.id = s.school
                        where s.way = :way""", Led.class)
                .setParameter("way", SlipCode.typed(way).signs())
                .getResultStream()
                .findFirst()
                .map(l -> new WayTo(
                        l.row().id,
                        l.row().way,
                        l.school(),
                        l.title(),
                        l.row().opensAt,
                        l.row().closesAt,
                        l.row().guests))
                .orElseThrow(Refused::notFound);
    }

    private record Led(SittingRow row, String school, String title) {}

    @Override
    public LetIn guest(GuestGiven given) {
        return guests.comeIn(given);
    }

    private record Held(SittingSlip slip, UUID school, Me.Role role, String given, String family) {}

    @Override
    @Transactional(readOnly = true)
    public Optional<Me> enter(String way, String who, String code) {
        SlipCode typed = SlipCode.typed(code);
        String name = who.strip();
        if (!typed.isOne() || name.isEmpty()) {
            return Optional.empty();
        }
        return entities.createQuery("""
                        select l, p.school, p.role, p.given, p.family from SittingSlip l
                        join SittingRow s on s.id = l.sitting join Expected x on x.sitting = s.id and x.student = l.student
                        join Person p on p.id = l.student
                        where s.way = :way and p.disabledAt is null
                          and (s.endsAt > :now or p.guestOf = s.id and s.endsAt > :before)
                          and (p.number = :who or lower(p.username) = lower(:who))""", Held.class)
                .setParameter("way", SlipCode.typed(way).signs())
                .setParameter("who", name)
                .setParameter("now", clock.instant())
                .setParameter("before", clock.instant().minus(GUESTS_STAY))
                .getResultStream()
                .filter(h -> h.role() == Me.Role.STUDENT)
                .filter(h -> MessageDigest.isEqual(h.slip().code, typed.hash(h.slip().student)))
                .map(h -> new Me(h.slip().student, h.school(), h.role(), h.given(), h.family(), h.slip().sitting))
                .findFirst();
    }

    @Override
    @Transactional(readOnly = true)
    public Optional<String> wayOf(UUID sitting) {
        return entities.createQuery("select s.way from SittingRow s where s.id = :id", String.class)
                .setParameter("id", sitting)
                .getResultStream()
                .findFirst();
    }
}
