package org.scholion.server.gradebook;

import jakarta.persistence.EntityManager;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.core.answer.Told;
import org.scholion.core.item.Item;
import org.scholion.core.number.Fraction;
import org.scholion.core.reason.Words;
import org.scholion.server.access.Access;
import org.scholion.server.course.Courses;
import org.scholion.server.key.Edition;
import org.scholion.server.key.Editions;
import org.scholion.server.ledger.Attempt;
import org.scholion.server.ledger.Attempts;
import org.scholion.server.ledger.Ledger;
import org.scholion.server.ledger.LedgerMark;
import org.scholion.server.ledger.MarkView;
import org.scholion.server.ledger.Standings;
import org.scholion.server.platform.Me;
import org.scholion.server.platform.Refused;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.JsonNode;

/** Students by assessments. Every figure is the standing itself; a cell opens its trace. */
@Service
public class Gradebook {
    private final Courses courses;
    private final Attempts attempts;
    private final Ledger ledger;
    private final Standings standings;
    private final Editions editions;
    private final Access access;
    private final EntityManager entities;

    Gradebook(
            Courses courses,
            Attempts attempts,
            Ledger ledger,
            Standings standings,
            Editions editions,
            Access access,
            EntityManager entities) {
        this.courses = courses;
        this.attempts = attempts;
        this.ledger = ledger;
        this.standings = standings;
        this.editions = editions;
        this.access = access;
        this.entities = entities;
    }

    public record GradebookColumn(UUID assessment, String title) {}

    /**
     * A student's standing at an assessment; null where they have not handed in.
     *
     * @param changedFrom what the student was handed back, where it is something else now; null where it is the same
     * @param attempts of how many attempts it is what counts
     */
    public record GradebookCell(
            Standings.Standing standing,
            boolean handedBack,
            @Nullable String changedFrom,
            int attempts) {}

    public record GradebookRow(
            UUID student, String given, String family, UUID section, List<@Nullable GradebookCell> cells) {}

    public record GradebookView(
            String course,
            List<Courses.SectionLine> sections,
            List<GradebookColumn> columns,
            List<GradebookRow> rows) {}

    record TraceItem(
            int number,
            String item,
            String prompt,
            String answer,
            MarkView mark,
            @Nullable String counted,
            List<MarkView> earlier) {}

    record Trace(
            UUID attempt,
            UUID assessment,
            String title,
            String student,
            String way,
            Standings.Standing standing,
            String because,
            String daysLate,
            boolean latenessCounts,
            int editionSeen,
            int edition,
            List<TraceItem> items) {}

    @Transactional(readOnly = true)
    public GradebookView of(Me me, UUID course) {
        access.require(me, Access.Action.SEE_COURSE, course);
        Courses.CourseView view = courses.see(me, course);
        List<GradebookColumn> columns = entities.createQuery("""
                        select a.id, a.title from AssessmentRow a where a.course = :course
                        and exists (select 1 from AttemptRow x where x.assessment = a.id and x.handedInAt is not null)
                        order by a.madeAt""", GradebookColumn.class)
                .setParameter("course", course)
                .getResultList();
        Map<UUID, Map<UUID, GradebookCell>> cells = cells(course);
        List<GradebookRow> rows = view.students().stream()
                .map(s -> {
                    Map<UUID, GradebookCell> own = cells.getOrDefault(s.id(), Map.of());
                    List<@Nullable GradebookCell> inOrder = new ArrayList<>();
                    columns.forEach(c -> inOrder.add(own.get(c.assessment())));
                    return new GradebookRow(s.id(), s.given(), s.family(), s.section(), inOrder);
                })
                .toList();
        return new GradebookView(view.title(), view.sections(), columns, rows);
    }

    private Map<UUID, Map<UUID, GradebookCell>> cells(UUID course) {
        Map<UUID, Map<UUID, List<GradebookCell>>> each = new HashMap<>();
        entities.createQuery("""
                        select x.student, x.assessment, s.attempt, s.score, s.possible, s.percent, s.band, s.passed,
                               s.provisional, s.awaitsCurve or\s""" + Standings.SITTING_AWAITS + """
                               , r.id is not null, r.percent, r.score
                        from AttemptRow x join AssessmentRow a on a.id = x.assessment
                        join StandingRow s on s.school = x.school and s.attempt = x.id
                        left join ResultRow r on r.attempt = x.id and not exists (
                          select 1 from ResultRow l where l.attempt = r.attempt
                            and (l.handedAt > r.handedAt or l.handedAt = r.handedAt and l.id > r.id))
                        where a.course = :course order by x.startedAt, x.id""", Flat.class)
                .setParameter("course", course)
                .getResultList()
                .forEach(row -> each.computeIfAbsent(row.student(), s -> new HashMap<>())
                        .computeIfAbsent(row.assessment(), a -> new ArrayList<>())
                        .add(row.cell()));
        Map<UUID, Map<UUID, GradebookCell>> all = new HashMap<>();
        each.forEach((student, own) -> own.forEach((assessment, cells) ->
                all.computeIfAbsent(student, s -> new HashMap<>()).put(assessment, together(assessment, cells))));
        return all;
    }

    /** An attempt's standing, and what of it was handed back last. */
    record Flat(
            UUID student,
            UUID assessment,
            UUID attempt,
            String score,
            String possible,
            @Nullable String percent,
            @Nullable String band,
            @Nullable Boolean passed,
            boolean provisional,
            boolean awaitsCurve,
            boolean handedBack,
            @Nullable String backPercent,
            @Nullable String backScore) {
        GradebookCell cell() {
            Standings.Standing standing = new Standings.Standing(
                            attempt, score, possible, percent, band, passed, provisional, awaitsCurve)
                    .asShown();
            // A result that showed no score cannot differ from one.
            boolean changed = handedBack
                    && backScore != null
                    && !(backScore.equals(standing.score()) && Objects.equals(backPercent, standing.percent()));
            String was = backPercent == null ? backScore : backPercent;
            return new GradebookCell(standing, handedBack, changed ? was : null, 1);
        }
    }

    /** One cell for one student, however many attempts there are. */
    private GradebookCell together(UUID assessment, List<GradebookCell> cells) {
        Standings.Standing standing = standings.together(
                assessment, cells.stream().map(GradebookCell::standing).toList());
        GradebookCell counting = cells.stream()
                .filter(c -> c.standing().attempt().equals(standing.attempt()))
                .findFirst()
                .orElseThrow();
        return new GradebookCell(standing, counting.handedBack(), counting.changedFrom(), cells.size());
    }

    @Transactional(readOnly = true)
    Trace trace(Me me, UUID attemptId) {
        access.require(me, Access.Action.WORK_ON_ATTEMPT, attemptId);
        Attempt attempt = attempts.require(attemptId);
        if (!attempt.isIn()) {
            throw Refused.conflict("not-in", attempt.name() + " has not handed in yet.");
        }
        Standings.Standing standing = standings.ofAttempt(attempt);
        Edition edition = editions.require(attempt.assessment());
        Map<String, JsonNode> responses = attempts.responsesOf(attemptId);
        Map<String, LedgerMark> current = ledger.currentOf(attemptId);
        Map<String, List<LedgerMark>> history = ledger.historyOf(attemptId);
        Standings.Sum sum = Standings.sum(edition, attempt, current, standing);
        List<TraceItem> items = new ArrayList<>();
        for (int i = 0; i < edition.items().size(); i++) {
            Item item = edition.items().get(i);
            LedgerMark mark = current.get(item.id());
            // What was not drawn was never asked.
            if (mark != null && !attempt.leftOut().contains(item.id())) {
                items.add(traceItem(
                        attempt,
                        item,
                        edition,
                        responses,
                        history.getOrDefault(item.id(), List.of()),
                        sum.counted().get(i)));
            }
        }
        return new Trace(
                attemptId,
                attempt.assessment(),
                edition.assessment().title(),
                attempt.name(),
                attempt.way().name(),
                standing,
                Words.english(sum.because()),
                attempt.daysLate().toExact(),
                edition.assessment().grading().late() != null,
                attempt.edition(),
                edition.number(),
                items);
    }

    private TraceItem traceItem(
            Attempt attempt,
            Item item,
            Edition edition,
            Map<String, JsonNode> responses,
            List<LedgerMark> marks,
            @Nullable Fraction counted) {
        List<MarkView> told = marks.stream().map(m -> MarkView.of(item, m)).toList();
        return new TraceItem(
                edition.numberOf(item.id(), attempt.leftOut()),
                item.id(),
                item.asked(),
                Told.in(item, Attempts.answer(item, responses)),
                told.get(0),
                counted == null ? null : counted.toExact(),
                told.subList(1, told.size()));
    }
}
