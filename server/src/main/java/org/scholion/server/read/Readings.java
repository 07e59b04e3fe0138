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
import org.scholion.server.platform.JsonColumn;
import org.scholion.server.platform.Me;
import org.scholion.server.platform.Refused;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.JsonNode;

/** Reading open answers: by question, with or without names, every step kept in the ledger. */
@Service
public class Readings {
    private final Attempts attempts;
    private final Ledger ledger;
    private final Editions editions;
    private final Regrading regrading;
    private final Access access;
    private final Clock clock;

    Readings(Attempts attempts, Ledger ledger, Editions editions, Regrading regrading, Access access, Clock clock) {
        this.attempts = attempts;
        this.ledger = ledger;
        this.editions = editions;
        this.regrading = regrading;
        this.access = access;
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
     * @param name who wrote it; null when names are hidden
     * @param held laid aside by the reader
     */
    public record ReadAnswer(
            UUID attempt,
            @Nullable String name,
            String text,
            int words,
            MarkView mark,
            Map<String, String> levels,
            @Nullable String points,
            String comment,
            String note,
            boolean held) {}

    public record ReadView(
            List<OpenQuestion> questions, @Nullable String item, List<ReadAnswer> answers) {}

    /** What a reader chose and says. */
    public record ReadingChange(
            Map<String, String> levels, @Nullable String points, String comment, String note, boolean hold) {}

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
            List<ReadAnswer> answers = answers(edition, one, in, responses, current, names);
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
                .filter(OpenItem.class::isInstance)
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

    private static List<ReadAnswer> answers(
            Edition edition,
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
                all.add(view(item, attempt, answer, mark, names));
            }
        }
        if (!names) {
            // An order that says nothing about who wrote it and stays the same from visit to visit.
            all.sort(Comparator.comparing(
                    a -> Long.reverse(a.attempt().getLeastSignificantBits() * 0x9E3779B97F4A7C15L)));
        }
        return all;
    }

    private static ReadAnswer view(OpenItem item, Attempt attempt, Answer answer, LedgerMark m, boolean names) {
        JsonNode reading = m.reading() == null ? JsonColumn.node(Map.of()) : m.reading();
        return new ReadAnswer(
                attempt.id(),
                names ? attempt.name() : null,
                answer.shown(),
                WordRuns.of(answer.shown()).size(),
                MarkView.of(item, m),
                new Reading(m.levels(), null).under(item).levels(),
                reading.hasNonNull("points") ? reading.get("points").stringValue() : null,
                m.comment(),
                reading.path("note").asString(""),
                reading.path("held").asBoolean(false));
    }

    @Transactional
    public ReadAnswer save(Me me, UUID attemptId, String itemId, ReadingChange change, boolean names) {
        access.require(me, Access.Action.WORK_ON_ATTEMPT, attemptId);
        Attempt attempt = attempts.require(attemptId);
        Edition edition = editions.require(attempt.assessment());
        OpenItem item = open(edition, itemId);
        LedgerMark mark = new LedgerMark(
                attemptId,
                itemId,
                mark(item, change),
                edition.number(),
                me.id(),
                me.name(),
                JsonColumn.node(kept(change)),
                clock.instant());
        regrading.append(me, attempt.assessment(), List.of(mark));
        return view(item, attempt, answer(edition, item, attemptId), mark, names);
    }

    private static Mark mark(OpenItem item, ReadingChange change) {
        if (change.hold()) {
            return Mark.unread(Reason.of(Reason.Code.OPEN_WAITS));
        }
        Fraction points = change.points() == null || change.points().isBlank()
                ? null
                : Fraction.parse(change.points().strip())
                        .orElseThrow(() -> Refused.invalid("points", "'" + change.points() + "' is not a number"));
        if (points != null && points.signum() < 0) {
            throw Refused.invalid("points", "points are not below 0");
        }
        return new Reading(change.levels(), item.rubric() == null ? points : null).markOf(item);
    }

    private static Map<String, Object> kept(ReadingChange change) {
        Map<String, Object> kept = new LinkedHashMap<>();
        kept.put("levels", change.levels());
        if (change.points() != null) {
            kept.put("points", change.points());
        }
        kept.put("comment", change.comment());
        kept.put("note", change.note());
        kept.put("held", change.hold());
        return kept;
    }

    /** Goes back to what the answer had before its last mark; nothing is taken out of the ledger. */
    @Transactional
    public ReadAnswer undo(Me me, UUID attemptId, String itemId, boolean names) {
        access.require(me, Access.Action.WORK_ON_ATTEMPT, attemptId);
        Attempt attempt = attempts.require(attemptId);
        Edition edition = editions.require(attempt.assessment());
        OpenItem item = open(edition, itemId);
        List<LedgerMark> history = ledger.history(attemptId, itemId);
        if (history.size() < 2) {
            throw Refused.conflict("nothing-to-undo", "This answer has not been read yet.");
        }
        LedgerMark before = history.get(1);
        LedgerMark again = new LedgerMark(
                attemptId,
                itemId,
                before.mark(),
                edition.number(),
                before.person(),
                before.personName(),
                before.reading(),
                clock.instant());
        regrading.append(me, attempt.assessment(), List.of(again));
        return view(item, attempt, answer(edition, item, attemptId), again, names);
    }

    private Answer answer(Edition edition, OpenItem item, UUID attempt) {
        return Attempts.answer(item, attempts.responsesOf(attempt));
    }

    private static OpenItem open(Edition edition, String itemId) {
        return openItems(edition).stream()
                .filter(o -> o.id().equals(itemId))
                .findFirst()
                .map(Objects::requireNonNull)
                .orElseThrow(Refused::notFound);
    }
}
