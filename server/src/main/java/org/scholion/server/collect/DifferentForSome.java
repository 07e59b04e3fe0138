package org.scholion.server.collect;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.server.access.Access;
import org.scholion.server.ledger.AtWork;
import org.scholion.server.platform.Lengths;
import org.scholion.server.platform.Me;
import org.scholion.server.platform.Moments;
import org.scholion.server.platform.Refused;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** More time, other dates: what is different for some students in a sitting. Only its teachers see it. */
@Service
public class DifferentForSome {
    private static final int LONGEST_NOTE = 200;
    private static final int MOST_PERCENT = 500;
    private static final int MOST_MINUTES = 1_440;

    private final EntityManager entities;
    private final Sittings sittings;
    private final WhoHasIt who;
    private final SittingSlips slips;
    private final AtWork atWork;
    private final Access access;
    private final Clock clock;

    DifferentForSome(
            EntityManager entities,
            Sittings sittings,
            WhoHasIt who,
            SittingSlips slips,
            AtWork atWork,
            Access access,
            Clock clock) {
        this.entities = entities;
        this.sittings = sittings;
        this.who = who;
        this.slips = slips;
        this.atWork = atWork;
        this.access = access;
        this.clock = clock;
    }

    /**
     * What shall be different for some.
     *
     * @param percent how much of the time they have: 150 is half as long again
     * @param more minutes beside that
     * @param opens null for the same as the others
     * @param attempts how often more than the others they may take it; null for as often
     * @param note for the teachers, such as why
     */
    public record DifferentWanted(
            List<UUID> students,
            int percent,
            int more,
            @Nullable Instant opens,
            @Nullable Instant closes,
            String note,
            @Nullable Integer attempts) {
        public DifferentWanted(
                List<UUID> students,
                int percent,
                int more,
                @Nullable Instant opens,
                @Nullable Instant closes,
                String note) {
            this(students, percent, more, opens, closes, note, null);
        }
    }

    /**
     * What is different for a student, and what it comes to.
     *
     * @param ownOpens when it opens for them, {@code ownCloses} when it closes and {@code ownMinutes} how long they have
     */
    public record DifferentLine(
            UUID student,
            String given,
            String family,
            int percent,
            int more,
            @Nullable Instant opens,
            @Nullable Instant closes,
            String note,
            int attempts,
            Instant ownOpens,
            Instant ownCloses,
            @Nullable Integer ownMinutes) {}

    /**
     * A sitting with everything about it.
     *
     * @param students who has it; {@code section} is all of its section
     * @param working how many are at work just now
     * @param slips how many codes on slips let somebody in
     * @param begun whether anybody has begun, so that it cannot be withdrawn any more
     */
    public record SittingView(
            Sittings.SittingLine sitting,
            UUID assessment,
            Instant ends,
            List<WhoHasIt.SittingStudent> students,
            List<WhoHasIt.SittingStudent> section,
            List<DifferentLine> different,
            int working,
            boolean begun,
            int slips) {}

    @Transactional(readOnly = true)
    SittingView of(Me me, UUID sitting) {
        access.require(me, Access.Action.WORK_ON_SITTING, sitting);
        return view(sittings.require(sitting));
    }

    private SittingView view(SittingRow row) {
        List<WhoHasIt.SittingStudent> students = who.of(row.id);
        Map<UUID, DifferentRow> different = sittings.differentIn(row.id);
        List<DifferentLine> lines = new ArrayList<>();
        for (WhoHasIt.SittingStudent s : students) {
            DifferentRow own = different.get(s.id());
            if (own != null) {
                lines.add(line(row, s, own));
            }
        }
        return new SittingView(
                Sittings.line(row),
                row.assessment,
                row.endsAt,
                students,
                row.chosen ? who.ofSection(row.section) : students,
                lines,
                atWork.in(row.id).size(),
                sittings.isBegun(row.id),
                slips.held(row.id));
    }

    private static DifferentLine line(SittingRow row, WhoHasIt.SittingStudent student, DifferentRow own) {
        OwnTimes times = OwnTimes.of(row, own);
        return new DifferentLine(
                student.id(),
                student.given(),
                student.family(),
                own.percent,
                own.more,
                own.opensAt,
                own.closesAt,
                own.note,
                own.attempts,
                times.opens(),
                times.closes(),
                times.limit() == null ? null : (int) times.limit().toMinutes());
    }

    /** Sets it for these students, over what was different for them before; who is at work has the new end at once. */
    @Transactional
    public SittingView set(Me me, UUID sitting, DifferentWanted wanted) {
        access.require(me, Access.Action.WORK_ON_SITTING, sitting);
        if (wanted.students().isEmpty()) {
            throw Refused.invalid("students", "Choose at least one student.");
        }
        if (wanted.percent() < 100 || wanted.percent() > MOST_PERCENT) {
            throw Refused.invalid("percent", "The time is from as long as for others to five times as long.");
        }
        if (wanted.more() < 0 || wanted.more() > MOST_MINUTES) {
            throw Refused.invalid("more", "Give from 0 to 1,440 minutes more.");
        }
        int attempts = wanted.attempts() == null ? 0 : wanted.attempts();
        if (attempts < 0 || attempts > SittingSettings.MOST_ATTEMPTS) {
            throw Refused.invalid("attempts", "Give from 0 to 20 attempts more.");
        }
        Moments.require("opens", wanted.opens());
        Moments.require("closes", wanted.closes());
        SittingRow row = sittings.held(sitting);
        Set<UUID> students = new LinkedHashSet<>(wanted.students());
        who.require(row, students);
        Map<UUID, DifferentRow> before = sittings.differentIn(sitting);
        for (UUID student : students) {
            DifferentRow one = before.get(student);
            DifferentRow own = one == null ? new DifferentRow(sitting, student) : one;
            own.school = me.school();
            own.percent = wanted.percent();
            own.more = wanted.more();
            own.attempts = attempts;
            own.opensAt = wanted.opens();
            own.closesAt = wanted.closes();
            own.note = Lengths.atMost("note", wanted.note(), LONGEST_NOTE).strip();
            own.madeBy = me.id();
            own.madeAt = clock.instant();
            OwnTimes times = OwnTimes.of(row, own);
            if (!times.opens().isBefore(times.closes())) {
                throw Refused.invalid(
                        "closes", "For them it would close before it opens. Choose a later closing time.");
            }
            if (one == null) {
                entities.persist(own);
            }
        }
        sittings.retimed(row);
        return view(row);
    }

    /** The same for this student as for the others. */
    @Transactional
    SittingView remove(Me me, UUID sitting, UUID student) {
        access.require(me, Access.Action.WORK_ON_SITTING, sitting);
        SittingRow row = sittings.held(sitting);
        DifferentRow own = entities.find(DifferentRow.class, new StudentInSitting(sitting, student));
        if (own == null) {
            throw Refused.notFound();
        }
        entities.remove(own);
        sittings.retimed(row);
        return view(row);
    }
}
