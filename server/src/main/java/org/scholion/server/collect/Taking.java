package org.scholion.server.collect;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.core.item.Item;
import org.scholion.core.number.Fraction;
import org.scholion.core.total.Part;
import org.scholion.formats.assessment.Layout;
import org.scholion.formats.rich.RichText;
import org.scholion.server.access.Access;
import org.scholion.server.key.Edition;
import org.scholion.server.key.Editions;
import org.scholion.server.ledger.AtWork;
import org.scholion.server.ledger.Attempt;
import org.scholion.server.ledger.Attempts;
import org.scholion.server.ledger.LateAnswers;
import org.scholion.server.ledger.ReceiptCheck;
import org.scholion.server.ledger.Scoring;
import org.scholion.server.ledger.SettingAside;
import org.scholion.server.mail.Post;
import org.scholion.server.platform.Events;
import org.scholion.server.platform.JsonColumn;
import org.scholion.server.platform.Lengths;
import org.scholion.server.platform.Me;
import org.scholion.server.platform.Refused;
import org.scholion.server.platform.Veil;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.JsonNode;

/** A student's sitting on screen: answer with autosave, hand in. */
@Service
public class Taking {
    /** What was typed in the last second may arrive a little after the deadline. */
    private static final Duration GRACE = Duration.ofSeconds(20);

    private static final long SECONDS_OF_A_DAY = 86_400;
    private static final int LONGEST_WINDOW = 60;

    private final Sittings sittings;
    private final Attempts attempts;
    private final Drafts drafts;
    private final Attachments attachments;
    private final Editions editions;
    private final Scoring scoring;
    private final ReceiptCheck receipts;
    private final Access access;
    private final Events events;
    private final Veil veil;
    private final LateAnswers late;
    private final AtWork atWork;
    private final SettingAside settingAside;
    private final TeacherLines lines;
    private final Practice practice;
    private final TakingAgain again;
    private final Post post;
    private final Clock clock;
    private final Cache<UUID, Known> known =
            Caffeine.newBuilder().maximumSize(20_000).build();

    Taking(
            Sittings sittings,
            Attempts attempts,
            Drafts drafts,
            Attachments attachments,
            Editions editions,
            Scoring scoring,
            ReceiptCheck receipts,
            Access access,
            Events events,
            Veil veil,
            LateAnswers late,
            AtWork atWork,
            SettingAside settingAside,
            TeacherLines lines,
            Practice practice,
            TakingAgain again,
            Post post,
            Clock clock) {
        this.sittings = sittings;
        this.attempts = attempts;
        this.drafts = drafts;
        this.attachments = attachments;
        this.editions = editions;
        this.scoring = scoring;
        this.receipts = receipts;
        this.access = access;
        this.events = events;
        this.veil = veil;
        this.late = late;
        this.atWork = atWork;
        this.settingAside = settingAside;
        this.lines = lines;
        this.practice = practice;
        this.again = again;
        this.post = post;
        this.clock = clock;
    }

    /**
     * The acknowledgement of an answer: it is sent after the answer is safe.
     *
     * @param late it was written in time and came when the time was over: the teacher decides whether it counts
     * @param place by which the window says later that it knows of it; 0 for a late one
     */
    public record SavedAnswer(Instant savedAt, boolean late, long place) {}

    /** What another window of the same student said meanwhile. */
    public record OtherWindow(Object answer, boolean flagged, Instant savedAt, long place) {}

    /**
     * An answer in the form of its item's kind; null or an empty text takes it back.
     *
     * @param secondsAgo how long ago it was written, when it could not be sent at once
     * @param window a word of the window's own, and the place of the last answer that it {@code seen}
     */
    public record AnswerChange(
            @Nullable Object answer,
            boolean flagged,
            @Nullable Integer secondsAgo,
            @Nullable String window,
            @Nullable Long seen) {
        public static AnswerChange now(Object answer) {
            return new AnswerChange(answer, false, null, null, null);
        }
    }

    /** The questions' own paper, seen beside the answers. */
    public record PaperSheet(String file, String name, String type) {
        static List<PaperSheet> of(Edition edition) {
            return edition.file().layout().questions().stream()
                    .map(q -> new PaperSheet(q.file(), q.name(), q.type()))
                    .toList();
        }
    }

    /** A part of the paper as a student sees it: its title, and what stands above it. */
    public record PaperPart(String id, String title, String instructions) {
        static PaperPart of(Part part, Layout layout) {
            return new PaperPart(
                    part.id(),
                    part.title(),
                    RichText.plain(layout.instructions().getOrDefault(part.id(), "")));
        }
    }

    /**
     * The paper as the student sees it. Nothing of the key is in it.
     *
     * @param open whether the questions may be seen now; they are left out where not
     * @param now the server's clock, which alone counts
     * @param receipt the code that proves what was handed in and when
     * @param rules how the sitting is taken by this student
     * @param looked what was looked at already while practising, by item
     * @param next what may be done after handing in
     */
    public record Paper(
            UUID attempt,
            UUID sitting,
            String title,
            Instant deadline,
            boolean handedIn,
            boolean open,
            List<PaperPart> parts,
            List<PaperItem> items,
            List<PaperSheet> questions,
            Map<String, Object> answers,
            List<String> flagged,
            Map<String, Long> places,
            Instant now,
            @Nullable String receipt,
            OwnRules rules,
            Map<String, Practice.LookedAt> looked,
            TakingAgain.Next next) {}

    /**
     * How the time of an attempt stands, and what its teacher has said meanwhile.
     *
     * @param now the server's clock, which alone counts
     * @param aside it is set aside, {@code asideByStudent} by changing what was handed in, else by the teacher;
     *     {@code goesOnIn} is the attempt in which its student goes on, if any
     * @param rules how it is taken from now on; null where it is set aside
     */
    public record TimeOf(
            Instant now,
            Instant deadline,
            boolean handedIn,
            boolean paused,
            boolean aside,
            boolean asideByStudent,
            @Nullable UUID goesOnIn,
            List<TeacherLines.LineTold> lines,
            @Nullable OwnRules rules) {}

    /** Asked again and again while a student works: more time arrives by it. */
    @Transactional(readOnly = true)
    public TimeOf time(Me me, UUID attemptId) {
        access.require(me, Access.Action.SEE_ATTEMPT, attemptId);
        Instant now = clock.instant();
        AtWork.Stand stand = atWork.find(attemptId).orElse(null);
        if (stand == null) {
            SettingAside.Fate fate = settingAside.fate(attemptId);
            return new TimeOf(now, now, false, false, true, fate.byStudent(), fate.goesOnIn(), List.of(), null);
        }
        SittingRow sitting = sittings.require(stand.sitting());
        return new TimeOf(
                now,
                stand.end(),
                stand.handedInAt() != null,
                stand.pausedAt() != null,
                false,
                false,
                null,
                lines.to(stand.sitting(), stand.student(), stand.startedAt()),
                OwnRules.of(sitting, sittings.timesOf(sitting, stand.student()), stand));
    }

    @Transactional(readOnly = true)
    public Paper paper(Me me, UUID attemptId) {
        Attempt attempt = own(me, attemptId);
        // The student sees the edition they began with, whatever was corrected since.
        Edition edition = editions.numbered(attempt.assessment(), attempt.edition());
        SittingRow sitting = sittings.require(attempt.sitting());
        AtWork.Stand stand = atWork.require(attemptId);
        Instant deadline = stand.end();
        Instant now = clock.instant();
        boolean over = attempt.isIn() || stand.pausedAt() == null && now.isAfter(deadline.plus(GRACE));
        OwnRules rules = OwnRules.of(sitting, sittings.timesOf(sitting, me.id()), stand);
        TakingAgain.Next next = attempt.isIn() ? again.next(attempt, sitting, stand, now) : TakingAgain.Next.NOTHING;
        String title = edition.assessment().title();
        return over && !sittings.isOpenAgain(sitting, now)
                ? new Paper(
                        attemptId,
                        sitting.id,
                        title,
                        deadline,
                        attempt.isIn(),
                        false,
                        List.of(),
                        List.of(),
                        List.of(),
                        Map.of(),
                        List.of(),
                        Map.of(),
                        now,
                        receipts.of(attemptId).orElse(null),
                        rules,
                        Map.of(),
                        next)
                : open(attempt, edition, sitting, stand, rules, next);
    }

    private Paper open(
            Attempt attempt,
            Edition edition,
            SittingRow sitting,
            AtWork.Stand stand,
            OwnRules rules,
            TakingAgain.Next next) {
        OwnIds ids = new OwnIds(veil, stand.order());
        Map<String, Object> answers = new LinkedHashMap<>();
        List<String> flagged = new ArrayList<>();
        Map<String, Long> places = new LinkedHashMap<>();
        Map<String, Drafts.Draft> said = drafts.of(attempt.id());
        said.forEach((item, draft) -> {
            edition.assessment()
                    .item(item)
                    .ifPresent(i -> answers.put(item, JsonColumn.plain(ids.shown(i, draft.answer()))));
            if (draft.flagged()) {
                flagged.add(item);
            }
            places.put(item, draft.place());
        });
        return new Paper(
                attempt.id(),
                sitting.id,
                edition.assessment().title(),
                stand.end(),
                attempt.isIn(),
                true,
                edition.assessment().parts().stream()
                        .map(p -> PaperPart.of(p, edition.file().layout()))
                        .toList(),
                PaperItem.of(edition.file(), OwnOrder.of(edition, stand.order(), attempt.leftOut()), ids),
                PaperSheet.of(edition),
                answers,
                flagged,
                places,
                clock.instant(),
                attempt.isIn() ? receipts.of(attempt.id()).orElse(null) : null,
                rules,
                attempt.isIn() ? Map.of() : practice.of(sitting, attempt, said),
                next);
    }

    /** What of an attempt never changes, so that saving an answer is one statement. */
    private record Known(
            UUID student, UUID assessment, Edition edition, Set<String> leftOut, UUID order, List<String> items) {
        /** Whether it is a question, and no passage. */
        boolean isAsked(String id) {
            return edition.items().stream().anyMatch(i -> i.id().equals(id));
        }

        Item item(String id) {
            return edition.assessment()
                    .item(id)
                    .filter(i -> !leftOut.contains(id))
                    .orElseThrow(Refused::notFound);
        }
    }

    private Known known(UUID attemptId) {
        return known.get(attemptId, id -> {
            Attempt attempt = attempts.require(id);
            Edition edition = editions.numbered(attempt.assessment(), attempt.edition());
            UUID order = atWork.require(id).order();
            return new Known(
                    attempt.student(),
                    attempt.assessment(),
                    edition,
                    attempt.leftOut(),
                    order,
                    OwnOrder.of(edition, order, attempt.leftOut()).items().stream()
                            .map(Item::id)
                            .toList());
        });
    }

    /**
     * Saves an answer: the acknowledgement is sent when it is safe.
     *
     * @param change what is said, how long ago it was written, and in which window
     */
    public SavedAnswer answer(Me me, UUID attemptId, String itemId, AnswerChange change) {
        Known known = known(attemptId);
        access.requireOwn(me, known.student());
        if (me.only() != null) {
            access.require(me, Access.Action.TAKE, attemptId);
        }
        JsonNode kept = kept(known.order(), known.item(itemId), change.answer());
        attachments.note(me, attemptId, kept);
        Instant now = clock.instant();
        Optional<Long> place = drafts.append(
                attemptId,
                me.id(),
                new Drafts.Draft(kept, change.flagged(), now, 0),
                itemId,
                known.items().indexOf(itemId),
                GRACE,
                window(change));
        if (place.isEmpty()) {
            int secondsAgo = change.secondsAgo() == null ? 0 : Math.max(0, change.secondsAgo());
            return notNow(me, attemptId, known, itemId, new Written(kept, now.minusSeconds(secondsAgo), now));
        }
        events.saySoon("assessment:" + known.assessment());
        return new SavedAnswer(now, false, place.get());
    }

    private static Drafts.Window window(AnswerChange change) {
        return change.window() == null
                ? Drafts.Window.UNTOLD
                : new Drafts.Window(
                        Lengths.atMost("window", change.window(), LONGEST_WINDOW),
                        change.seen() == null ? 0 : change.seen());
    }

    /** An answer, when it was written, and when it came. */
    private record Written(JsonNode answer, Instant at, Instant now) {}

    /** The time is over or stands, there is no way back, or another window of the student's has said something else. */
    private SavedAnswer notNow(Me me, UUID id, Known known, String itemId, Written written) {
        if (atWork.find(id).isEmpty()) {
            access.require(me, Access.Action.SEE_ATTEMPT, id);
            throw settingAside.fate(id).byStudent()
                    ? Refused.conflict(
                            "changing",
                            "You change these answers in another window. Go on there; nothing was saved here.")
                    : Refused.conflict(
                            "set-aside",
                            "Your teacher has set this attempt aside. What you wrote is kept. Go back to To do.");
        }
        Attempt attempt = attempts.require(id);
        AtWork.Stand stand = atWork.require(id);
        Instant end = stand.end();
        if (attempt.isIn() || stand.pausedAt() == null && written.now().isAfter(end.plus(GRACE))) {
            return late(attempt, itemId, written.answer(), written.at(), end, written.now());
        }
        if (stand.pausedAt() != null) {
            throw Refused.conflict("paused", "Your teacher has paused this. Your answer is sent when it goes on.");
        }
        if (stand.reached() > known.items().indexOf(itemId)
                && !sittings.require(attempt.sitting()).settings.goingBack()) {
            throw Refused.conflict(
                    "no-way-back", "You have gone on from this question, so its answer stays as it was saved.");
        }
        if (sittings.require(attempt.sitting()).settings.practice() == SittingSettings.Practising.ONCE
                && practice.isLookedAt(attempt.id(), itemId)) {
            throw Refused.conflict("looked-at", "You have looked at this answer, so it stays as it is.");
        }
        Item item = known.item(itemId);
        Drafts.Draft theirs =
                Optional.ofNullable(drafts.of(attempt.id()).get(itemId)).orElseThrow(Refused::notFound);
        throw Refused.overtaken(
                "You answered this in another window meanwhile. Both are kept; choose which one counts.",
                new OtherWindow(
                        JsonColumn.plain(new OwnIds(veil, known.order()).shown(item, theirs.answer())),
                        theirs.flagged(),
                        theirs.at(),
                        theirs.place()));
    }

    /** What was written in time is kept for the teacher, whenever it comes; what was written later is not taken. */
    private SavedAnswer late(
            Attempt attempt, String item, JsonNode answer, Instant writtenAt, Instant end, Instant now) {
        Instant handedIn = attempt.handedInAt();
        // A device's clock may be anything.
        Instant written = writtenAt.isBefore(attempt.startedAt()) ? attempt.startedAt() : writtenAt;
        Instant last = handedIn != null && handedIn.isBefore(end) ? handedIn : end;
        if (!written.isAfter(last)) {
            late.keep(attempt, item, answer, written, now);
            return new SavedAnswer(now, true, 0);
        }
        throw attempt.isIn() && last.equals(handedIn)
                ? Refused.conflict("handed-in", "You have already handed this in. Your answers have not changed.")
                : Refused.conflict(
                        "closed",
                        "Time is up. Everything that was saved before the end counts; your last change was not saved.");
    }

    /** What was said, in the form of the answer's kind and under the ids of the key; nothing else of it is kept. */
    private JsonNode kept(UUID order, Item item, @Nullable Object answer) {
        JsonNode said = answer == null ? JsonColumn.node("") : JsonColumn.node(answer);
        boolean takenBack = said.isString() && said.stringValue().isEmpty();
        return takenBack ? said : new OwnIds(veil, order).answer(item, said);
    }

    /** A student goes on to a question, where there is no way back from it. */
    public void reach(Me me, UUID attemptId, String itemId) {
        Attempt attempt = own(me, attemptId);
        Known known = known(attemptId);
        known.item(itemId);
        SittingSettings settings = sittings.require(attempt.sitting()).settings;
        if (settings.goingBack()) {
            return;
        }
        int place = known.items().indexOf(itemId);
        if (settings.mustAnswer()) {
            requireAnswers(known, attemptId, place);
        }
        atWork.reach(attemptId, place);
        events.saySoon("assessment:" + attempt.assessment());
    }

    /** A student has left the page; counted where the sitting says so. */
    public void leave(Me me, UUID attemptId) {
        Attempt attempt = own(me, attemptId);
        if (sittings.require(attempt.sitting()).settings.leavingCounted()) {
            atWork.leave(attemptId);
            events.saySoon("assessment:" + attempt.assessment());
        }
    }

    public void handIn(Me me, UUID attemptId) {
        Attempt attempt = own(me, attemptId);
        SittingSettings settings = sittings.require(attempt.sitting()).settings;
        Known known = known(attemptId);
        if (settings.mustAnswer()) {
            requireAnswers(known, attemptId, known.items().size());
        }
        if (settings.practice() == SittingSettings.Practising.UNTIL_RIGHT) {
            requireRight(known, attemptId);
        }
        take(attempt, false);
    }

    /** Every question was right when it was looked at last. */
    private void requireRight(Known known, UUID attempt) {
        long open = practice.notPassed(
                attempt, known.items().stream().filter(known::isAsked).toList());
        if (open > 0) {
            throw Refused.conflict(
                    "not-right",
                    open == 1
                            ? "One answer is not right yet. Look at it and try again. Nothing was handed in."
                            : open + " answers are not right yet. Look at them and try again. Nothing was handed in.");
        }
    }

    /** Every question before that place has an answer. */
    private void requireAnswers(Known known, UUID attempt, int place) {
        Map<String, Drafts.Draft> said = drafts.of(attempt);
        long open = known.items().subList(0, place).stream()
                .filter(known::isAsked)
                .filter(i -> isBlank(said.get(i)))
                .count();
        if (open > 0) {
            throw Refused.conflict(
                    "unanswered",
                    open == 1
                            ? "One question still needs an answer. Nothing was handed in."
                            : open + " questions still need an answer. Nothing was handed in.");
        }
    }

    private static boolean isBlank(Drafts.@Nullable Draft draft) {
        return draft == null || !Monitor.isSaid(draft.answer());
    }

    /** Hands in for a student, whose time may go on: what is there counts. */
    public void takeIn(Me me, UUID attemptId) {
        access.require(me, Access.Action.WORK_ON_ATTEMPT, attemptId);
        take(attempts.require(attemptId), true);
    }

    /** Hands in what an attempt has so far, by the clock. */
    void take(Attempt attempt) {
        take(attempt, true);
    }

    /**
     * @param byOthers by the clock or a teacher: it is as late as its last change; by its student as late as handing in
     */
    private void take(Attempt attempt, boolean byOthers) {
        scoring.handIn(attempt, now -> daysLate(attempt, byOthers ? null : now), () -> {
            Map<String, JsonNode> answers = new LinkedHashMap<>();
            drafts.of(attempt.id()).forEach((item, draft) -> {
                if (!(draft.answer().isString() && draft.answer().stringValue().isEmpty())) {
                    answers.put(item, draft.answer());
                }
            });
            if (sittings.require(attempt.sitting()).settings.mailsReceipts() && post.isSetUp()) {
                post.ask(attempt.school(), null, ReceiptLetter.KIND, List.of(attempt.student()));
            }
            return answers;
        });
    }

    /**
     * How late it is, in days, where the sitting takes late work at all; what a teacher gave more is not late.
     *
     * @param handedIn by its student at that moment; null by others, when it is as late as its last change
     */
    private Fraction daysLate(Attempt attempt, @Nullable Instant handedIn) {
        SittingRow sitting = sittings.require(attempt.sitting());
        if (sitting.lateUntil == null) {
            return Fraction.ZERO;
        }
        Instant closes = sittings.timesOf(sitting, attempt.student()).closes();
        Instant due = atWork.require(attempt.id()).dueAfter(closes).plus(GRACE);
        Instant at = handedIn == null ? lastChange(attempt) : handedIn;
        return at.isAfter(due) ? Fraction.of(Duration.between(due, at).toSeconds(), SECONDS_OF_A_DAY) : Fraction.ZERO;
    }

    private Instant lastChange(Attempt attempt) {
        return drafts.of(attempt.id()).values().stream()
                .map(Drafts.Draft::at)
                .max(Comparator.naturalOrder())
                .orElse(attempt.startedAt());
    }

    private Attempt own(Me me, UUID attempt) {
        access.require(me, Access.Action.TAKE, attempt);
        return attempts.require(attempt);
    }
}
