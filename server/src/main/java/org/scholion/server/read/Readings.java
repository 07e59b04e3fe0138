package org.scholion.server.read;

import java.time.Clock;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.core.answer.Answer;
import org.scholion.core.item.OpenItem;
import org.scholion.core.item.Rubric;
import org.scholion.core.number.Fraction;
import org.scholion.core.reason.Reason;
import org.scholion.core.rubric.Reading;
import org.scholion.core.score.Mark;
import org.scholion.core.score.State;
import org.scholion.core.text.WordRuns;
import org.scholion.server.access.Access;
import org.scholion.server.key.Edition;
import org.scholion.server.key.Editions;
import org.scholion.server.ledger.Attempt;
import org.scholion.server.ledger.Attempts;
import org.scholion.server.ledger.Ledger;
import org.scholion.server.ledger.LedgerMark;
import org.scholion.server.ledger.MarkView;
import org.scholion.server.ledger.Regrading;
import org.scholion.server.ledger.Seen;
import org.scholion.server.platform.JsonColumn;
import org.scholion.server.platform.Lengths;
import org.scholion.server.platform.Me;
import org.scholion.server.platform.Refused;
import org.scholion.server.platform.Veil;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.JsonNode;

/** Reading open answers: by question, with or without names, every step kept in the ledger. */
@Service
public class Readings {
    private static final int LONGEST_COMMENT = 10_000;

    private final Attempts attempts;
    private final Ledger ledger;
    private final Editions editions;
    private final Regrading regrading;
    private final Access access;
    private final Seen seen;
    private final Veil veil;
    private final Clock clock;

    Readings(
            Attempts attempts,
            Ledger ledger,
            Editions editions,
            Regrading regrading,
            Access access,
            Seen seen,
            Veil veil,
            Clock clock) {
        this.attempts = attempts;
        this.ledger = ledger;
        this.editions = editions;
        this.regrading = regrading;
        this.access = access;
        this.seen = seen;
        this.veil = veil;
        this.clock = clock;
    }

    public record LevelView(String id, String points, String text) {}

    public record CriterionView(
            String id, String title, String weight, List<String> standards, List<LevelView> levels) {}

    /** An open question. */
    public record OpenQuestion(
            String item,
            int number,
            String prompt,
            String points,
            List<CriterionView> criteria,
            @Nullable Integer maxWords,
            int unread,
            int answers) {}

    /**
     * An answer to be read.
     *
     * @param answer the answer's own name, which says nothing about who wrote it while names are hidden
     * @param name who wrote it; null when names are hidden
     * @param saw which mark this is; it goes back with what is decided
     * @param held laid aside by the reader
     */
    public record ReadAnswer(
            UUID answer,
            @Nullable String name,
            String text,
            int words,
            MarkView mark,
            Map<String, String> levels,
            @Nullable String points,
            String comment,
            String note,
            boolean held,
            String saw) {}

    public record ReadView(
            List<OpenQuestion> questions, @Nullable String item, List<ReadAnswer> answers) {}

    /**
     * What a reader chose and says.
     *
     * @param saw the mark that the reader saw; another one meanwhile is a conflict, and nothing is lost
     */
    public record ReadingChange(
            Map<String, String> levels,
            @Nullable String points,
            String comment,
            String note,
            boolean hold,
            String saw) {}

    /** Taking back the last reading, if it is the one that was seen. */
    public record ReadingUndo(String saw) {}

    @Transactional(readOnly = true)
    public ReadView of(Me me, UUID assessment, @Nullable UUID section, @Nullable String item, boolean names) {
        access.require(me, Access.Action.WORK_ON_ASSESSMENT, assessment);
        Edition edition = editions.latest(assessment).orElse(null);
        List<OpenItem> open = edition == null ? List.of() : openItems(edition);
        if (edition == null || open.isEmpty()) {
            return new ReadView(List.of(), null, List.of());
        }
        List<Attempt> in = attempts.in(assessment, section);
        Map<UUID, Map<String, JsonNode>> responses = attempts.responses(assessment);
        Map<UUID, Map<String, LedgerMark>> current = ledger.current(assessment);
        List<OpenQuestion> questions = new ArrayList<>();
        List<ReadAnswer> shown = new ArrayList<>();
        String shownItem = null;
        OpenItem wanted =
                open.stream().filter(o -> o.id().equals(item)).findFirst().orElse(null);
        for (OpenItem one : open) {
            List<ReadAnswer> answers = answers(me, one, in, responses, current, names);
            int unread = (int) answers.stream().filter(Readings::isUnread).count();
            questions.add(question(edition, one, unread, answers.size()));
            // Without a choice the first question with something unread is shown.
            if (wanted == null ? shown.isEmpty() || unread > 0 && allRead(shown) : one == wanted) {
                shown = answers;
                shownItem = one.id();
            }
        }
        return new ReadView(questions, shownItem, shown);
    }

    private static boolean allRead(List<ReadAnswer> answers) {
        return answers.stream().noneMatch(Readings::isUnread);
    }

    private static boolean isUnread(ReadAnswer answer) {
        return answer.mark().state().equals(State.READ.word());
    }

    private static List<OpenItem> openItems(Edition edition) {
        return edition.items().stream()
                .filter(i -> i instanceof OpenItem && edition.waits(i))
                .map(OpenItem.class::cast)
                .toList();
    }

    private static OpenQuestion question(Edition edition, OpenItem item, int unread, int answers) {
        return new OpenQuestion(
                item.id(),
                edition.numberOf(item.id()),
                item.head().prompt(),
                item.points().toExact(),
                item.criteria().stream().map(Readings::criterion).toList(),
                item.maxWords(),
                unread,
                answers);
    }

    private static CriterionView criterion(Rubric.Criterion c) {
        return new CriterionView(
                c.id(),
                c.title(),
                c.weight().toExact(),
                c.standards().stream().map(a -> a.code()).toList(),
                c.levels().stream()
                        .map(l -> new LevelView(l.id(), l.points().toExact(), l.text()))
                        .toList());
    }

    private List<ReadAnswer> answers(
            Me me,
            OpenItem item,
            List<Attempt> in,
            Map<UUID, Map<String, JsonNode>> responses,
            Map<UUID, Map<String, LedgerMark>> current,
            boolean names) {
        List<ReadAnswer> all = new ArrayList<>();
        for (Attempt attempt : in) {
            Answer answer = Attempts.answer(item, responses.getOrDefault(attempt.id(), Map.of()));
            LedgerMark mark = current.getOrDefault(attempt.id(), Map.of()).get(item.id());
            if (!answer.isBlank() && mark != null) {
                all.add(view(me, item, attempt, answer, mark, names));
            }
        }
        if (!names) {
            // An order that says nothing about who wrote it and stays the same from visit to visit.
            all.sort(Comparator.comparing(ReadAnswer::answer));
        }
        return all;
    }

    private ReadAnswer view(Me me, OpenItem item, Attempt attempt, Answer answer, LedgerMark m, boolean names) {
        JsonNode reading = m.reading() == null ? JsonColumn.node(Map.of()) : m.reading();
        MarkView mark = MarkView.of(item, m);
        return new ReadAnswer(
                names ? attempt.id() : veil.covered(place(me, item.id()), attempt.id()),
                names ? attempt.name() : null,
                answer.shown(),
                WordRuns.of(answer.shown()).size(),
                // When it was handed in tells who wrote it, beside a list of who handed in when.
                names || m.byPerson() ? mark : mark.withoutTime(),
                new Reading(m.levels(), null).under(item).levels(),
                reading.hasNonNull("points") ? reading.get("points").stringValue() : null,
                m.comment(),
                reading.path("note").asString(""),
                reading.path("held").asBoolean(false),
                seen.mark(m));
    }

    private static String place(Me me, String item) {
        return "read/" + me.id() + "/" + item;
    }

    /** The attempt that an answer is of; where names are hidden, its own name is turned back. */
    private Attempt attempt(Me me, UUID assessment, UUID answer, String item, boolean names) {
        UUID id = names ? answer : veil.uncovered(place(me, item), answer);
        access.require(me, Access.Action.WORK_ON_ATTEMPT, id);
        Attempt attempt = attempts.require(id);
        if (!attempt.assessment().equals(assessment)) {
            throw Refused.notFound();
        }
        return attempt;
    }

    public ReadAnswer save(Me me, UUID assessment, UUID answer, String itemId, ReadingChange change, boolean names) {
        Attempt attempt = attempt(me, assessment, answer, itemId, names);
        return decide(
                me,
                attempt,
                itemId,
                change.saw(),
                names,
                (edition, item) -> LedgerMark.byPerson(
                        attempt.id(),
                        itemId,
                        mark(item, change),
                        edition.number(),
                        me,
                        JsonColumn.node(kept(change)),
                        clock.instant()));
    }

    private interface Deciding {
        LedgerMark under(Edition edition, OpenItem item);
    }

    /** One decision about one answer, if the mark that was seen is still the current one. */
    private ReadAnswer decide(Me me, Attempt attempt, String itemId, String saw, boolean names, Deciding deciding) {
        Map<String, JsonNode> responses = attempts.responsesOf(attempt.id());
        OpenItem[] item = new OpenItem[1];
        LedgerMark written = regrading
                .decide(me, attempt.assessment(), List.of(attempt.id()), () -> {
                    Edition edition = editions.require(attempt.assessment());
                    item[0] = open(edition, itemId);
                    LedgerMark current = Objects.requireNonNull(
                            ledger.currentOf(attempt.id()).get(itemId));
                    if (!seen.mark(current).equals(saw)) {
                        ReadAnswer theirs =
                                view(me, item[0], attempt, Attempts.answer(item[0], responses), current, names);
                        throw Refused.overtaken(
                                "This answer was read meanwhile"
                                        + (current.personName() == null ? "" : " by " + current.personName())
                                        + ". Both readings are here; nothing was overwritten.",
                                theirs);
                    }
                    return List.of(deciding.under(edition, item[0]));
                })
                .get(0);
        return view(me, item[0], attempt, Attempts.answer(item[0], responses), written, names);
    }

    private static Mark mark(OpenItem item, ReadingChange change) {
        if (change.hold()) {
            return Mark.unread(Reason.of(Reason.Code.OPEN_WAITS));
        }
        Fraction points = change.points() == null || change.points().isBlank()
                ? null
                : Fraction.parse(change.points().strip())
                        .orElseThrow(() -> Refused.invalid("points", "'" + change.points() + "' is not a number"));
        if (points != null && (points.signum() < 0 || points.compareTo(item.points()) > 0)) {
            throw Refused.invalid("points", "points lie from 0 to " + item.points());
        }
        try {
            return new Reading(change.levels(), item.rubric() == null ? points : null).markOf(item);
        } catch (IllegalArgumentException e) {
            // A level or a criterion that the rubric does not have.
            throw Refused.invalid("levels", String.valueOf(e.getMessage()));
        }
    }

    private static Map<String, Object> kept(ReadingChange change) {
        Map<String, Object> kept = new LinkedHashMap<>();
        kept.put("levels", change.levels());
        if (change.points() != null) {
            kept.put("points", change.points());
        }
        kept.put("comment", Lengths.atMost("comment", change.comment(), LONGEST_COMMENT));
        kept.put("note", Lengths.atMost("note", change.note(), LONGEST_COMMENT));
        kept.put("held", change.hold());
        return kept;
    }

    /** Goes back to what the answer had before one's own last reading; nothing is taken out of the ledger. */
    public ReadAnswer undo(Me me, UUID assessment, UUID answer, String itemId, ReadingUndo undo, boolean names) {
        Attempt attempt = attempt(me, assessment, answer, itemId, names);
        return decide(me, attempt, itemId, undo.saw(), names, (edition, item) -> {
            List<LedgerMark> history = ledger.history(attempt.id(), itemId);
            long place = history.get(0).origin();
            LedgerMark last =
                    history.stream().filter(m -> m.seq() == place).findFirst().orElseThrow(Refused::notFound);
            if (last.person() == null) {
                throw Refused.conflict("nothing-to-undo", "Nobody has read this answer yet.");
            }
            if (!me.id().equals(last.person())) {
                throw Refused.conflict(
                        "not-yours",
                        "This reading is " + last.personName() + "’s, so it stays. Read the answer again to decide"
                                + " differently.");
            }
            return history.stream()
                    .filter(m -> m.seq() < place)
                    .findFirst()
                    .orElseThrow(Refused::notFound)
                    .restored(me, edition.number(), clock.instant());
        });
    }

    private static OpenItem open(Edition edition, String itemId) {
        return openItems(edition).stream()
                .filter(o -> o.id().equals(itemId))
                .findFirst()
                .map(Objects::requireNonNull)
                .orElseThrow(Refused::notFound);
    }
}
