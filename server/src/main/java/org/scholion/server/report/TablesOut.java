package org.scholion.server.report;

import java.io.IOException;
import java.io.OutputStream;
import java.time.Clock;
import java.time.ZoneId;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.core.measure.Standing;
import org.scholion.formats.out.Cell;
import org.scholion.formats.out.CsvOut;
import org.scholion.formats.out.TableOut;
import org.scholion.formats.out.XlsxOut;
import org.scholion.server.course.Courses;
import org.scholion.server.examine.Examination;
import org.scholion.server.examine.Ranked;
import org.scholion.server.key.Assessments;
import org.scholion.server.key.Edition;
import org.scholion.server.key.Editions;
import org.scholion.server.ledger.Marked;
import org.scholion.server.person.People;
import org.scholion.server.person.Schools;
import org.scholion.server.platform.Me;
import org.springframework.stereotype.Service;

/** The tables of an assessment, as files. */
@Service
class TablesOut {
    private static final int AT_ONCE = 5_000;

    private final Assessments assessments;
    private final Editions editions;
    private final Examination examination;
    private final Courses courses;
    private final People people;
    private final Schools schools;
    private final AnswerRows answerRows;
    private final Clock clock;

    TablesOut(
            Assessments assessments,
            Editions editions,
            Examination examination,
            Courses courses,
            People people,
            Schools schools,
            AnswerRows answerRows,
            Clock clock) {
        this.assessments = assessments;
        this.editions = editions;
        this.examination = examination;
        this.courses = courses;
        this.people = people;
        this.schools = schools;
        this.answerRows = answerRows;
        this.clock = clock;
    }

    /** Which table. */
    enum What {
        SCORES,
        MARKS,
        ANSWERS,
        /** All three, and a sheet that says what they are of. */
        WORKBOOK,
        /** What is scored from a shell. */
        RESPONSES;

        String ending() {
            return this == WORKBOOK ? "xlsx" : this == RESPONSES ? "jsonl" : "csv";
        }

        String type() {
            return switch (this) {
                case WORKBOOK -> "application/vnd.openxmlformats-officedocument.spreadsheetml.sheet";
                case RESPONSES -> "application/x-ndjson";
                default -> "text/csv;charset=utf-8";
            };
        }
    }

    Leaving leaving(Me me, UUID assessment, @Nullable UUID section, boolean names) {
        Edition latest = editions.require(assessment);
        Ranked ranked = examination.ranked(latest, section);
        Map<UUID, Standing> standings = new HashMap<>();
        for (int i = 0; i < ranked.attempts().size(); i++) {
            standings.put(
                    ranked.attempts().get(i).attempt().id(), ranked.standings().get(i));
        }
        List<Marked> attempts = names ? ranked.attempts() : inNoOrder(ranked.attempts());
        Assessments.Facts facts = assessments.facts(assessment);
        return new Leaving(
                courses.titleOf(facts.course()),
                facts.title(),
                ranked.edition(),
                attempts,
                ranked.sections(),
                section == null ? null : ranked.sections().getOrDefault(section, ""),
                numbers(attempts),
                standings,
                names,
                ZoneId.of(schools.zone(me.school())),
                clock.instant());
    }

    /** By name, the order itself would tell who is who. */
    private static List<Marked> inNoOrder(List<Marked> attempts) {
        return attempts.stream()
                .sorted(Comparator.comparing(m -> m.attempt().id()))
                .toList();
    }

    private Map<UUID, String> numbers(List<Marked> attempts) {
        Map<UUID, String> all = new HashMap<>();
        for (int from = 0; from < attempts.size(); from += AT_ONCE) {
            all.putAll(people.numbersOf(attempts.subList(from, Math.min(attempts.size(), from + AT_ONCE)).stream()
                    .map(m -> m.attempt().student())
                    .toList()));
        }
        return all;
    }

    void write(Leaving leaving, What what, OutputStream out) throws IOException {
        switch (what) {
            case RESPONSES -> answerRows.lines(leaving, out);
            case WORKBOOK -> {
                try (TableOut book = new XlsxOut(out)) {
                    ScoreTable.scores(leaving, book);
                    ScoreTable.marks(leaving, book);
                    answerRows.answers(leaving, book);
                    about(leaving, book);
                }
            }
            default -> {
                try (TableOut csv = new CsvOut(out)) {
                    table(leaving, what, csv);
                }
            }
        }
    }

    private void table(Leaving leaving, What what, TableOut out) throws IOException {
        switch (what) {
            case SCORES -> ScoreTable.scores(leaving, out);
            case MARKS -> ScoreTable.marks(leaving, out);
            default -> answerRows.answers(leaving, out);
        }
    }

    private static void about(Leaving leaving, TableOut out) throws IOException {
        out.table("About", List.of("what", "is"));
        out.row(List.of(Cell.of("course"), Cell.of(leaving.course())));
        out.row(List.of(Cell.of("assessment"), Cell.of(leaving.title())));
        out.row(List.of(Cell.of("section"), Cell.of(leaving.section() == null ? "all" : leaving.section())));
        out.row(List.of(Cell.of("edition"), Cell.of(leaving.edition().number())));
        out.row(List.of(Cell.of("students"), Cell.of(leaving.attempts().size())));
        out.row(List.of(Cell.of("made at"), Cell.of(leaving.at(leaving.made()))));
        out.row(List.of(Cell.of("time zone"), Cell.of(leaving.zone().getId())));
    }
}
