package org.scholion.server.gradebook;

import java.sql.ResultSet;
import java.sql.SQLException;
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
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.JsonNode;

/** Students by assessments. Every figure is the standing itself; a cell opens its trace. */
@Service
class Gradebook {
    private final Courses courses;
    private final Attempts attempts;
    private final Ledger ledger;
    private final Standings standings;
    private final Editions editions;
    private final Access access;
    private final JdbcClient db;

    Gradebook(
            Courses courses,
            Attempts attempts,
            Ledger ledger,
            Standings standings,
            Editions editions,
            Access access,
            JdbcClient db) {
        this.courses = courses;
        this.attempts = attempts;
        this.ledger = ledger;
        this.standings = standings;
        this.editions = editions;
        this.access = access;
        this.db = db;
    }

    record GradebookColumn(UUID assessment, String title) {}

    /**
     * A student's standing at an assessment; null where they have not handed in.
     *
     * @param changedFrom what the student was handed back, where it is something else now; null where it is the same
     * @param attempts of how many attempts it is what counts
     */
    record GradebookCell(
            Standings.Standing standing,
            boolean handedBack,
            @Nullable String changedFrom,
            int attempts) {}

    record GradebookRow(UUID student, String given, String family, UUID section, List<@Nullable GradebookCell> cells) {}

    record GradebookView(
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
    GradebookView of(Me me, UUID course) {
        Courses.CourseView view = courses.see(me, course);
        List<GradebookColumn> columns = db.sql("""
                        select a.id, a.title from assessment a where a.course_id = ?
                        and exists (select 1 from attempt x where x.assessment_id = a.id and x.handed_in_at is not null)
                        order by a.made_at""")
                .param(course)
                .query((row, n) -> new GradebookColumn(row.getObject(1, UUID.class), row.getString(2)))
                .list();
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
        db.sql("""
                        select x.student_id, x.assessment_id, s.*, """ + Standings.SITTING_AWAITS + """
                                as sitting_awaits, b.percent as back_percent, b.score as back_score,
                               b.attempt_id is not null as handed_back
                        from attempt x join assessment a on a.id = x.assessment_id
                        join standing s on s.school_id = x.school_id and s.attempt_id = x.id
                        left join lateral (
                          select r.attempt_id, r.snapshot -> 'result' ->> 'percent' as percent, r.snapshot -> 'result' ->> 'score' as score
                          from result r where r.attempt_id = x.id order by r.handed_at desc limit 1) b on true
                        where a.course_id = ? order by x.started_at, x.id""").param(course).query((ResultSet row) -> {
            each.computeIfAbsent(row.getObject("student_id", UUID.class), s -> new HashMap<>())
                    .computeIfAbsent(row.getObject("assessment_id", UUID.class), a -> new ArrayList<>())
                    .add(cell(row));
        });
        Map<UUID, Map<UUID, GradebookCell>> all = new HashMap<>();
        each.forEach((student, own) -> own.forEach((assessment, cells) ->
                all.computeIfAbsent(student, s -> new HashMap<>()).put(assessment, together(assessment, cells))));
        return all;
    }

    private static GradebookCell cell(ResultSet row) throws SQLException {
        Standings.Standing standing = Standings.read(row);
        boolean handedBack = row.getBoolean("handed_back");
        String shown = row.getString("back_score");
        // A result that showed no score cannot differ from one.
        boolean changed = handedBack
                && shown != null
                && !(shown.equals(standing.score())
                        && Objects.equals(row.getString("back_percent"), standing.percent()));
        return new GradebookCell(standing, handedBack, changed ? changedFrom(row) : null, 1);
    }

    private static String changedFrom(ResultSet row) throws SQLException {
        String percent = row.getString("back_percent");
        return percent == null ? Objects.requireNonNull(row.getString("back_score")) : percent;
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
        Standings.Sum sum = Standings.sum(edition, attempt, current, standing);
        List<TraceItem> items = new ArrayList<>();
        for (int i = 0; i < edition.items().size(); i++) {
            Item item = edition.items().get(i);
            LedgerMark mark = current.get(item.id());
            // What was not drawn was never asked.
            if (mark != null && !attempt.leftOut().contains(item.id())) {
                items.add(traceItem(
                        attempt, item, edition, responses, mark, sum.counted().get(i)));
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
            LedgerMark mark,
            @Nullable Fraction counted) {
        List<MarkView> earlier = ledger.history(attempt.id(), item.id()).stream()
                .skip(1)
                .map(m -> MarkView.of(item, m))
                .toList();
        return new TraceItem(
                edition.numberOf(item.id(), attempt.leftOut()),
                item.id(),
                item.asked(),
                Told.in(item, Attempts.answer(item, responses)),
                MarkView.of(item, mark),
                counted == null ? null : counted.toExact(),
                earlier);
    }
}
