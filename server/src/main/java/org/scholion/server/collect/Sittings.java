package org.scholion.server.collect;

import jakarta.persistence.EntityManager;
import jakarta.persistence.LockModeType;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.core.item.Item;
import org.scholion.core.item.SpotItem;
import org.scholion.server.access.Access;
import org.scholion.server.key.Assessments;
import org.scholion.server.key.Edition;
import org.scholion.server.key.Editions;
import org.scholion.server.ledger.AtWork;
import org.scholion.server.ledger.Attempts;
import org.scholion.server.mail.Post;
import org.scholion.server.person.People;
import org.scholion.server.person.SlipCode;
import org.scholion.server.platform.Events;
import org.scholion.server.platform.Ids;
import org.scholion.server.platform.Me;
import org.scholion.server.platform.Moments;
import org.scholion.server.platform.Refused;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Giving an assessment out to sections. */
@Service
public class Sittings {
    private static final int MOST_MINUTES = 1_440;

    private final Repository repository;
    private final Assessments assessments;
    private final Editions editions;
    private final Access access;
    private final Events events;
    private final EntityManager entities;
    private final Attempts attempts;
    private final AtWork atWork;
    private final WhoHasIt who;
    private final Guests guests;
    private final People people;
    private final Post post;
    private final Ids ids;
    private final Clock clock;

    Sittings(
            Repository repository,
            Assessments assessments,
            Editions editions,
            Access access,
            Events events,
            EntityManager entities,
            Attempts attempts,
            AtWork atWork,
            WhoHasIt who,
            Guests guests,
            People people,
            Post post,
            Ids ids,
            Clock clock) {
        this.repository = repository;
        this.assessments = assessments;
        this.editions = editions;
        this.access = access;
        this.events = events;
        this.entities = entities;
        this.attempts = attempts;
        this.atWork = atWork;
        this.who = who;
        this.guests = guests;
        this.people = people;
        this.post = post;
        this.ids = ids;
        this.clock = clock;
    }

    interface Repository extends JpaRepository<SittingRow, UUID> {
        Optional<SittingRow> findByAssessmentAndSection(UUID assessment, UUID section);

        List<SittingRow> findByAssessmentOrderById(UUID assessment);

        boolean existsByAssessmentAndEndsAtAfter(UUID assessment, Instant moment);
    }

    /**
     * When and to whom an assessment is given, and how it is taken.
     *
     * @param lateUntil until when it may be handed in late; null for not at all
     * @param settings null for the usual ones
     * @param seen what students see and when; null for what is usual
     * @param students chosen ones of the section; null for the whole of it
     * @param guests who comes beside them by its short link; null for nobody
     */
    public record GiveOut(
            UUID section,
            Instant opens,
            Instant closes,
            @Nullable Integer minutes,
            @Nullable PaperAfter paperAfter,
            @Nullable Instant lateUntil,
            @Nullable SittingSettings settings,
            @Nullable SeenWhen seen,
            @Nullable List<UUID> students,
            @Nullable GuestRules guests) {
        public GiveOut(UUID section, Instant opens, Instant closes, @Nullable Integer minutes) {
            this(section, opens, closes, minutes, null);
        }

        /** As usual, for chosen students. */
        public GiveOut(
                UUID section, Instant opens, Instant closes, @Nullable Integer minutes, @Nullable List<UUID> students) {
            this(section, opens, closes, minutes, null, null, null, null, students, null);
        }
    }

    /**
     * @param minutes from beginning to end for each student; null for none
     * @param lateUntil until when it may be handed in late; null for not at all
     */
    public record Times(
            Instant opens,
            Instant closes,
            @Nullable Integer minutes,
            @Nullable Instant lateUntil) {}

    public record SittingLine(
            UUID id,
            UUID section,
            Instant opens,
            Instant closes,
            @Nullable Integer minutes,
            PaperAfter paperAfter,
            @Nullable Instant lateUntil,
            SittingSettings settings,
            SeenWhen seen,
            boolean chosen,
            String way,
            GuestRules guests) {}

    /** Gives out: freezes the first edition when there is none, and opens a sitting for the section. */
    @Transactional
    public UUID giveOut(Me me, UUID assessment, GiveOut wanted) {
        access.require(me, Access.Action.WORK_ON_ASSESSMENT, assessment);
        requireSection(assessment, wanted.section());
        requireTimes(new Times(wanted.opens(), wanted.closes(), wanted.minutes(), wanted.lateUntil()));
        if (repository.findByAssessmentAndSection(assessment, wanted.section()).isPresent()) {
            throw Refused.conflict(
                    "given-already", "This section already has it. You can change its times in Collect.");
        }
        freeze(me, assessment);
        requireAnswerable(editions.require(assessment));
        return open(me, assessment, wanted, null).id;
    }

    /** The sitting through which answers from outside come in: that of the section, or a new one that is closed. */
    @Transactional
    UUID forBringingIn(Me me, UUID assessment, UUID section, UUID file) {
        freeze(me, assessment);
        Instant now = clock.instant();
        return repository
                .findByAssessmentAndSection(assessment, section)
                .orElseGet(() -> open(me, assessment, new GiveOut(section, now.minusSeconds(1), now, null), file))
                .id;
    }

    /** The sittings that were made for a file go with it, where nobody else is in them. */
    void endOf(UUID assessment, UUID file) {
        entities.createQuery("delete from SittingRow s where s.broughtIn = :file"
                        + " and not exists (select 1 from AnyAttempt a where a.sitting = s.id)")
                .setParameter("file", file)
                .executeUpdate();
        withdrawEdition(assessment);
    }

    /** With the last sitting the first edition goes as well, so that the key can be edited as before. */
    private void withdrawEdition(UUID assessment) {
        if (repository.findByAssessmentOrderById(assessment).isEmpty()) {
            editions.withdraw(assessment);
        }
    }

    private SittingRow open(Me me, UUID assessment, GiveOut wanted, @Nullable UUID file) {
        SittingRow row = new SittingRow();
        row.id = ids.next();
        row.school = me.school();
        row.way = SlipCode.random().signs();
        row.assessment = assessment;
        row.section = wanted.section();
        row.opensAt = wanted.opens();
        row.closesAt = wanted.closes();
        row.minutes = wanted.minutes();
        row.paperAfter = Objects.requireNonNullElse(wanted.paperAfter(), PaperAfter.WHEN_ALL_CLOSED);
        row.lateUntil = wanted.lateUntil();
        row.endsAt = OwnTimes.of(row, null).ends();
        row.settings = wanted.settings() == null ? SittingSettings.USUAL : set(me, wanted.settings(), null);
        row.seen = wanted.seen() == null ? SeenWhen.USUAL : wanted.seen().checked();
        row.guests = ruled(me, wanted.guests());
        row.broughtIn = file;
        row.chosen = wanted.students() != null;
        row.madeBy = me.id();
        row.madeAt = clock.instant();
        repository.saveAndFlush(row);
        if (wanted.students() != null) {
            who.choose(row, wanted.students());
        }
        events.say("assessment:" + assessment);
        return row;
    }

    /** A picture that one may not see oneself is shown to nobody. */
    private SittingSettings set(Me me, SittingSettings wanted, @Nullable String pictureBefore) {
        SittingSettings settings = wanted.checked();
        if (settings.picture() != null && !settings.picture().equals(pictureBefore)) {
            access.requireFile(me, settings.picture());
        }
        if (settings.mailsReceipts()) {
            post.requireSetUp();
        }
        return settings;
    }

    private GuestRules ruled(Me me, @Nullable GuestRules wanted) {
        GuestRules rules = wanted == null ? GuestRules.USUAL : wanted.checked();
        guests.require(me.school(), rules);
        return rules;
    }

    /** Says who comes beside the roster; who has come already stays. */
    @Transactional
    public SittingLine setGuests(Me me, UUID sitting, GuestRules wanted) {
        access.require(me, Access.Action.WORK_ON_SITTING, sitting);
        SittingRow row = held(sitting);
        row.guests = ruled(me, wanted);
        repository.flush();
        events.say("assessment:" + row.assessment);
        return line(row);
    }

    private void freeze(Me me, UUID assessment) {
        if (editions.latest(assessment).isEmpty()) {
            Edition first = Edition.compile(assessment, 1, assessments.drawn(me, assessment), List.of());
            if (first.items().isEmpty()) {
                throw Refused.invalid("items", "there is no question yet; write one before you give it out");
            }
            editions.add(me, first, "given out", null);
        }
    }

    /** A place can only be shown on a picture. */
    private static void requireAnswerable(Edition edition) {
        for (Item item : edition.assessment().items()) {
            if (item instanceof SpotItem
                    && edition.file().particulars(item.id()).picture() == null) {
                throw Refused.invalid(
                        "items",
                        "question " + edition.numberOf(item.id())
                                + " has no picture yet; put one in, or bring its answers in from a file");
            }
        }
    }

    private void requireSection(UUID assessment, UUID section) {
        boolean there = entities.createQuery("""
                        select exists (select 1 from Section s join AssessmentRow a on a.course = s.course
                          where s.id = :section and a.id = :assessment)""", Boolean.class)
                .setParameter("section", section)
                .setParameter("assessment", assessment)
                .getSingleResult();
        if (!there) {
            throw Refused.invalid("section", "this section is not of the assessment's course");
        }
    }

    /** Other times for a sitting; who is at work meanwhile has the new ones at once. */
    @Transactional
    public SittingLine setTimes(Me me, UUID sitting, Times wanted) {
        access.require(me, Access.Action.WORK_ON_SITTING, sitting);
        requireTimes(wanted);
        SittingRow row = held(sitting);
        Instant now = clock.instant();
        if (wanted.opens().isAfter(now) && attempts.isBegun(sitting)) {
            throw Refused.conflict(
                    "begun", "A student has begun already, so the opening time cannot be moved to later than now.");
        }
        row.opensAt = wanted.opens();
        row.closesAt = wanted.closes();
        row.minutes = wanted.minutes();
        row.lateUntil = wanted.lateUntil();
        return retimed(row);
    }

    /**
     * What other times would do to those who are at work.
     *
     * @param shorter how many would have less time than now, of whom {@code over} would have none left
     */
    public record TimesEffect(int working, int longer, int shorter, int over) {}

    /** What these times would do; nothing is written. */
    @Transactional(readOnly = true)
    public TimesEffect previewTimes(Me me, UUID sitting, Times wanted) {
        access.require(me, Access.Action.WORK_ON_SITTING, sitting);
        requireTimes(wanted);
        SittingRow then = timed(wanted);
        Instant now = clock.instant();
        Map<UUID, DifferentRow> different = differentIn(sitting);
        List<AtWork.Stand> working = atWork.in(sitting);
        int longer = 0;
        int shorter = 0;
        int over = 0;
        for (AtWork.Stand at : working) {
            Instant due =
                    at.dueAfter(OwnTimes.of(then, different.get(at.student())).deadline(at.startedAt()));
            longer += due.isAfter(at.end()) ? 1 : 0;
            shorter += due.isBefore(at.end()) ? 1 : 0;
            over += due.isBefore(at.end()) && !due.isAfter(now) ? 1 : 0;
        }
        return new TimesEffect(working.size(), longer, shorter, over);
    }

    /** A sitting that has nothing but its times. */
    private static SittingRow timed(Times wanted) {
        SittingRow row = new SittingRow();
        row.opensAt = wanted.opens();
        row.closesAt = wanted.closes();
        row.minutes = wanted.minutes();
        row.lateUntil = wanted.lateUntil();
        return row;
    }

    /** Takes a giving out back, until somebody begins: the sitting is no more. */
    @Transactional
    public void withdraw(Me me, UUID sitting) {
        access.require(me, Access.Action.WORK_ON_SITTING, sitting);
        // Who begins meanwhile waits here, and finds nothing to begin.
        SittingRow row = held(sitting);
        if (attempts.isBegun(sitting)) {
            throw Refused.conflict(
                    "begun", "A student has begun already, so this cannot be withdrawn. Close it instead.");
        }
        repository.delete(row);
        repository.flush();
        people.removeGuests(sitting);
        withdrawEdition(row.assessment);
        events.say("assessment:" + row.assessment);
    }

    private static void requireTimes(Times wanted) {
        Moments.require("opens", wanted.opens());
        Moments.require("closes", wanted.closes());
        Moments.require("lateUntil", wanted.lateUntil());
        if (!wanted.opens().isBefore(wanted.closes())) {
            throw Refused.invalid(
                    "closes", "The closing time is before the opening time. Choose a later closing time.");
        }
        if (wanted.lateUntil() != null && !wanted.lateUntil().isAfter(wanted.closes())) {
            throw Refused.invalid(
                    "lateUntil", "Handing in late has to end after the closing time. Leave it empty for none.");
        }
        requireMinutes(wanted.minutes());
    }

    /** So many minutes more; fewer than none take some back. */
    static void requireMore(int minutes) {
        if (minutes == 0 || minutes < -MOST_MINUTES || minutes > MOST_MINUTES) {
            throw Refused.invalid("minutes", "Give from 1 to 1,440 minutes more.");
        }
    }

    static void requireMinutes(@Nullable Integer minutes) {
        if (minutes != null && (minutes < 1 || minutes > MOST_MINUTES)) {
            throw Refused.invalid("minutes", "A time limit is from 1 to 1,440 minutes. Leave it empty for none.");
        }
    }

    /** Adds minutes until it closes, and to the time limit where there is one; fewer than none take them back. */
    @Transactional
    public SittingLine addTime(Me me, UUID sitting, int minutes) {
        access.require(me, Access.Action.WORK_ON_SITTING, sitting);
        requireMore(minutes);
        // One after the other: six times five minutes at once are thirty.
        SittingRow row = held(sitting);
        Instant now = clock.instant();
        boolean isOver = minutes > 0 && row.closesAt.isBefore(now);
        Instant closes = (isOver ? now : row.closesAt).plus(Duration.ofMinutes(minutes));
        Integer limit = row.minutes == null ? null : row.minutes + minutes;
        Instant late = row.lateUntil != null && row.lateUntil.isAfter(closes) ? row.lateUntil : null;
        requireTimes(new Times(row.opensAt, closes, limit, late));
        row.closesAt = closes;
        row.minutes = limit;
        row.lateUntil = late;
        return retimed(row);
    }

    /** Another way of taking it; whoever works has it with the next question. */
    @Transactional
    public SittingLine setSettings(Me me, UUID sitting, SittingSettings wanted) {
        access.require(me, Access.Action.WORK_ON_SITTING, sitting);
        SittingRow row = held(sitting);
        row.settings = set(me, wanted, row.settings.picture());
        repository.flush();
        events.say("assessment:" + row.assessment);
        return line(row);
    }

    @Transactional(readOnly = true)
    boolean isBegun(UUID sitting) {
        return attempts.isBegun(sitting);
    }

    /** The sitting, which nobody else changes until the transaction ends. */
    @Transactional(propagation = Propagation.MANDATORY)
    SittingRow held(UUID sitting) {
        SittingRow row = entities.find(SittingRow.class, sitting, LockModeType.PESSIMISTIC_WRITE);
        if (row == null) {
            throw Refused.notFound();
        }
        return row;
    }

    /** After a change of its times, or of what is different for some: everybody at work has their own end from now on. */
    @Transactional(propagation = Propagation.MANDATORY)
    SittingLine retimed(SittingRow row) {
        repository.flush();
        Map<UUID, DifferentRow> different = differentIn(row.id);
        Instant ends = OwnTimes.of(row, null).ends();
        for (DifferentRow one : different.values()) {
            Instant own = OwnTimes.of(row, one).ends();
            ends = own.isAfter(ends) ? own : ends;
        }
        row.endsAt = ends;
        Map<UUID, Instant> due = new LinkedHashMap<>();
        for (AtWork.Stand at : atWork.in(row.id)) {
            OwnTimes own = OwnTimes.of(row, different.get(at.student()));
            due.put(at.attempt(), at.dueAfter(own.deadline(at.startedAt())));
        }
        atWork.setDue(due);
        events.say("assessment:" + row.assessment);
        return line(row);
    }

    /** What is different for some in a sitting, by student. */
    @Transactional(readOnly = true)
    Map<UUID, DifferentRow> differentIn(UUID sitting) {
        Map<UUID, DifferentRow> all = new LinkedHashMap<>();
        entities.createQuery("from DifferentRow d where d.sitting = :sitting", DifferentRow.class)
                .setParameter("sitting", sitting)
                .getResultList()
                .forEach(d -> all.put(d.student, d));
        return all;
    }

    /** A sitting's times as one student has them. */
    @Transactional(readOnly = true)
    OwnTimes timesOf(SittingRow sitting, UUID student) {
        return OwnTimes.of(sitting, different(sitting, student));
    }

    /** How often one student may take it. */
    @Transactional(readOnly = true)
    int attemptsFor(SittingRow sitting, UUID student) {
        return sitting.attemptsFor(different(sitting, student));
    }

    private @Nullable DifferentRow different(SittingRow sitting, UUID student) {
        return entities.find(DifferentRow.class, new StudentInSitting(sitting.id, student));
    }

    /** Says when students who have handed in may see the questions again. */
    @Transactional
    public SittingLine setPaperAfter(Me me, UUID sitting, PaperAfter after) {
        access.require(me, Access.Action.WORK_ON_SITTING, sitting);
        SittingRow row = repository.findById(sitting).orElseThrow(Refused::notFound);
        row.paperAfter = after;
        events.say("assessment:" + row.assessment);
        return line(row);
    }

    /** Says what students see of their work and from when on; it holds at once. */
    @Transactional
    public SittingLine setSeen(Me me, UUID sitting, SeenWhen wanted) {
        access.require(me, Access.Action.WORK_ON_SITTING, sitting);
        SittingRow row = held(sitting);
        row.seen = wanted.checked();
        repository.flush();
        events.say("assessment:" + row.assessment);
        return line(row);
    }

    /**
     * What of a sitting whoever has handed in may see now.
     *
     * @param questions whether what was asked may be seen, too
     */
    public record Sight(SeenWhen.SeenNow seen, boolean questions) {}

    @Transactional(readOnly = true)
    public Sight sight(UUID sitting) {
        SittingRow row = require(sitting);
        Instant now = clock.instant();
        return new Sight(row.seen.at(now, isOverForAll(row.assessment, now)), isOpenAgain(row, now));
    }

    /** What is seen once it is handed back. */
    @Transactional(readOnly = true)
    public SeenWhen.SeenNow seenOnHandingBack(UUID sitting) {
        return require(sitting).seen.handedBack();
    }

    private boolean isOverForAll(UUID assessment, Instant now) {
        return !repository.existsByAssessmentAndEndsAtAfter(assessment, now) && !atWork.isAny(assessment, now);
    }

    /** Whether somebody who has handed in may see the questions again now. */
    @Transactional(readOnly = true)
    boolean isOpenAgain(SittingRow sitting, Instant now) {
        return switch (sitting.paperAfter) {
            case AT_ONCE -> true;
            case NEVER -> false;
            case WHEN_ALL_CLOSED -> isOverForAll(sitting.assessment, now);
        };
    }

    @Transactional(readOnly = true)
    public List<SittingLine> of(UUID assessment) {
        return repository.findByAssessmentOrderById(assessment).stream()
                .map(Sittings::line)
                .toList();
    }

    @Transactional(readOnly = true)
    SittingRow require(UUID id) {
        return repository.findById(id).orElseThrow(Refused::notFound);
    }

    /** The same, whose times nobody changes until the transaction ends. */
    @Transactional(propagation = Propagation.MANDATORY)
    SittingRow requireAsItStays(UUID id) {
        SittingRow row = entities.find(SittingRow.class, id, LockModeType.PESSIMISTIC_READ);
        if (row == null) {
            throw Refused.notFound();
        }
        return row;
    }

    static SittingLine line(SittingRow row) {
        return new SittingLine(
                row.id,
                row.section,
                row.opensAt,
                row.closesAt,
                row.minutes,
                row.paperAfter,
                row.lateUntil,
                row.settings,
                row.seen,
                row.chosen,
                row.way,
                row.guests);
    }
}
