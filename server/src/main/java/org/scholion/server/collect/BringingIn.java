package org.scholion.server.collect;

import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.function.Consumer;
import java.util.function.IntConsumer;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.scholion.core.number.Fraction;
import org.scholion.core.score.Elsewhere;
import org.scholion.formats.assessment.AnswerJson;
import org.scholion.formats.bringin.AnswerTable;
import org.scholion.formats.bringin.BringIn;
import org.scholion.formats.bringin.BringIn.CellFault;
import org.scholion.formats.bringin.BringInChoices;
import org.scholion.formats.bringin.Column;
import org.scholion.formats.bringin.Known;
import org.scholion.formats.bringin.PaperFromAnswers;
import org.scholion.formats.json.Fault;
import org.scholion.formats.table.Grid;
import org.scholion.formats.table.Table;
import org.scholion.server.access.Access;
import org.scholion.server.course.Courses;
import org.scholion.server.key.Assessments;
import org.scholion.server.key.Edition;
import org.scholion.server.key.Editions;
import org.scholion.server.key.PaperItems;
import org.scholion.server.ledger.Attempt;
import org.scholion.server.ledger.Attempts;
import org.scholion.server.ledger.Ledger;
import org.scholion.server.ledger.Scoring;
import org.scholion.server.ledger.Turns;
import org.scholion.server.platform.Events;
import org.scholion.server.platform.HeavyWork;
import org.scholion.server.platform.Jobs;
import org.scholion.server.platform.Me;
import org.scholion.server.platform.Refused;
import org.springframework.stereotype.Service;
import tools.jackson.databind.JsonNode;

/** Answers from a file: recognised and shown first, then taken whole or not at all. */
@Service
public class BringingIn {
    private static final int SHOWN_ROWS = 60;
    private static final int MOST_ROWS_ASKED = 500;
    private static final int MOST_CELLS_ASKED = 300;

    /** So many attempts are written together. */
    private static final int AT_ONCE = 250;

    private final Assessments assessments;
    private final Editions editions;
    private final PaperItems paper;
    private final Courses courses;
    private final Sittings sittings;
    private final Attempts attempts;
    private final BroughtIn broughtIn;
    private final Scoring scoring;
    private final Ledger ledger;
    private final Turns turns;
    private final HeavyWork heavyWork;
    private final Access access;
    private final Events events;
    private final Jobs jobs;
    private final Clock clock;

    BringingIn(
            Assessments assessments,
            Editions editions,
            PaperItems paper,
            Courses courses,
            Sittings sittings,
            Attempts attempts,
            BroughtIn broughtIn,
            Scoring scoring,
            Ledger ledger,
            Turns turns,
            HeavyWork heavyWork,
            Access access,
            Events events,
            Jobs jobs,
            Clock clock) {
        this.assessments = assessments;
        this.editions = editions;
        this.paper = paper;
        this.courses = courses;
        this.sittings = sittings;
        this.attempts = attempts;
        this.broughtIn = broughtIn;
        this.scoring = scoring;
        this.ledger = ledger;
        this.turns = turns;
        this.heavyWork = heavyWork;
        this.access = access;
        this.events = events;
        this.jobs = jobs;
        this.clock = clock;
    }

    /**
     * What a person has said about a file.
     *
     * @param how encoding, separator and sheet, where they were chosen
     * @param kinds what questions are made of columns, by place, where the assessment has none yet
     * @param points what such questions are worth, by place
     * @param typed the table is what was typed from paper here
     * @param replace students whose answers came in from a file before and are to be those of this one
     */
    public record BringInAsked(
            Grid.Reading how,
            BringInChoices choices,
            Map<Integer, PaperFromAnswers.Kind> kinds,
            Map<Integer, String> points,
            boolean typed,
            Set<UUID> replace) {
        public static final BringInAsked NOTHING =
                new BringInAsked(Grid.Reading.NOTHING, BringInChoices.NONE, Map.of(), Map.of(), false, Set.of());

        public BringInAsked {
            Objects.requireNonNull(how);
            Objects.requireNonNull(choices);
            kinds = Map.copyOf(kinds);
            points = Map.copyOf(points);
            replace = Set.copyOf(replace);
        }

        PaperFromAnswers.Asked made() {
            points.forEach((column, worth) -> {
                if (Fraction.parse(worth).filter(f -> f.signum() > 0).isEmpty()) {
                    throw Refused.invalid("points." + column, "'" + worth + "' is no number of points");
                }
            });
            return new PaperFromAnswers.Asked(kinds, points);
        }
    }

    /** Whose row was found how. */
    public record MatchedRow(int line, String student, String section, String by) {}

    /**
     * What a file would bring in, or has brought in.
     *
     * @param how in words, how the file was read
     * @param students how many students come in
     * @param asBefore how many have an attempt that says the same already
     * @param changed who have an attempt that says something else; it stays as it is unless it is to be replaced
     * @param missing students of the rosters that the file does not name
     * @param pointsAsk whether somebody has to say what 0 and 1 are, where questions are worth something else
     * @param open how many decisions are missing before anything can come in
     * @param made questions that would be made of the columns, where the assessment has none yet
     * @param free students of the rosters who have no answers here, to whom a row can be given
     * @param shown the first rows as they were recognised, for looking at
     */
    public record BringInView(
            String how,
            String encoding,
            List<String> sheets,
            List<String> notes,
            BringIn.Shape shape,
            int lines,
            int students,
            int asBefore,
            List<BroughtIn.OtherAnswers> changed,
            List<String> missing,
            List<Column> columns,
            List<BringIn.RowQuestion> rows,
            List<BringIn.CellQuestion> cells,
            List<BringIn.Without> without,
            int twice,
            @Nullable Integer keyLine,
            @Nullable Boolean decimalComma,
            boolean pointsAsk,
            int open,
            List<CellFault> faults,
            List<PaperFromAnswers.MadeQuestion> made,
            List<Table.Row> shown,
            List<MatchedRow> matched,
            List<Known> free) {}

    /**
     * A file as it was read, and what it is taken for.
     *
     * @param replaced the attempts that go when this one comes in
     */
    private record Read(
            Grid grid,
            Table table,
            BringIn found,
            Set<String> asBefore,
            List<BroughtIn.OtherAnswers> changed,
            List<UUID> replaced) {}

    public BringInView preview(Me me, UUID assessment, Callable<byte[]> file, BringInAsked asked) {
        access.require(me, Access.Action.WORK_ON_ASSESSMENT, assessment);
        return heavyWork.inTurn(me, () -> {
            Grid grid = Grid.read(file.call(), asked.how());
            List<Known> roster = roster(assessment);
            return assessments.isEmpty(assessment)
                    ? withoutPaper(grid, AnswerTable.headed(grid, roster, asked.choices()), roster, asked)
                    : view(read(assessment, grid, roster, asked), roster, asked);
        });
    }

    /** Takes a file in a turn of the whole assessment: the same file twice at once comes in once. */
    public BringInView take(Me me, UUID assessment, String name, Callable<byte[]> file, BringInAsked asked) {
        access.require(me, Access.Action.WORK_ON_ASSESSMENT, assessment);
        Grid grid = heavyWork.inTurn(me, () -> Grid.read(file.call(), asked.how()));
        return turns.whole(assessment, () -> {
            List<Known> roster = roster(assessment);
            Read read = read(assessment, grid, roster, asked);
            List<CellFault> faults = read.found().faults();
            if (!faults.isEmpty()) {
                throw Refused.invalid(faults.stream()
                        .map(f -> new Fault("line " + f.line(), f.message()))
                        .toList());
            }
            int open = read.found().undecided(asked.choices());
            if (open > 0) {
                throw Refused.invalid("file", open + " decisions are missing; nothing was brought in");
            }
            if (!read.found().attempts().isEmpty()) {
                Attempt.Way way = asked.typed() ? Attempt.Way.TYPED : Attempt.Way.FILE;
                int many = read.found().attempts().size();
                Consumer<IntConsumer> coming = progress -> store(me, assessment, name, way, read, progress);
                if (many <= AT_ONCE) {
                    coming.accept(now -> {});
                } else {
                    jobs.whileAsked(me, assessment, many, coming);
                }
            }
            return view(read, roster, asked);
        });
    }

    /** Makes the questions of an assessment that has none from a file of answers. */
    public int makeQuestions(Me me, UUID assessment, Callable<byte[]> file, BringInAsked asked) {
        access.require(me, Access.Action.WORK_ON_ASSESSMENT, assessment);
        return heavyWork.inTurn(me, () -> {
            if (!assessments.isEmpty(assessment)) {
                throw Refused.conflict("has-questions", "This assessment has questions already. Bring the answers in.");
            }
            Grid grid = Grid.read(file.call(), asked.how());
            List<Known> roster = roster(assessment);
            Table table = AnswerTable.headed(grid, roster, asked.choices());
            List<JsonNode> items = new ArrayList<>();
            for (PaperFromAnswers.MadeQuestion q : PaperFromAnswers.of(table, roster, asked.choices(), asked.made())) {
                if (q.kind() != PaperFromAnswers.Kind.LEFT_OUT) {
                    items.add(PaperFromAnswers.item(q, "q" + (items.size() + 1)));
                }
            }
            if (items.isEmpty()) {
                throw Refused.invalid("file", "no column of this file looks like a question; choose a kind for one");
            }
            return assessments.append(me, assessment, items).size();
        });
    }

    private static BringInView withoutPaper(Grid grid, Table table, List<Known> roster, BringInAsked asked) {
        return new BringInView(
                grid.how(),
                grid.encoding(),
                grid.sheets(),
                grid.notes(),
                BringIn.Shape.WIDE,
                table.rows().size(),
                0,
                0,
                List.of(),
                List.of(),
                AnswerTable.recognise(table, List.of(), roster, asked.choices()).columns(),
                List.of(),
                List.of(),
                List.of(),
                0,
                null,
                null,
                false,
                0,
                List.of(),
                PaperFromAnswers.of(table, roster, asked.choices(), asked.made()),
                table.rows().stream().limit(SHOWN_ROWS).toList(),
                List.of(),
                List.of());
    }

    private List<Known> roster(UUID assessment) {
        return courses.known(assessments.facts(assessment).course());
    }

    /** Who has an attempt already comes in again only where a person says so, and where it came from a file as well. */
    private Read read(UUID assessment, Grid grid, List<Known> roster, BringInAsked asked) {
        AnswerTable.Recognised read = AnswerTable.recognise(grid, paper.of(assessment), roster, asked.choices());
        BringIn found = read.found();
        Map<String, UUID> taken = new HashMap<>();
        attempts.of(assessment, null).forEach(a -> taken.put(a.student().toString(), a.id()));
        List<UUID> theirs = found.attempts().stream()
                .map(a -> taken.get(a.student().id()))
                .filter(Objects::nonNull)
                .toList();
        Map<UUID, Map<String, JsonNode>> said = attempts.responsesOf(theirs);
        Map<UUID, Map<String, Fraction>> given = given(theirs, found);
        Map<UUID, BroughtIn.OtherAnswers> stands = broughtIn.stands(theirs);
        Set<String> asBefore = new HashSet<>();
        List<UUID> other = new ArrayList<>();
        List<UUID> replaced = new ArrayList<>();
        List<BringIn.Attempt> fresh = new ArrayList<>();
        for (BringIn.Attempt a : found.attempts()) {
            UUID there = taken.get(a.student().id());
            if (there == null) {
                fresh.add(a);
            } else if (answers(a).equals(said.getOrDefault(there, Map.of()))
                    && a.points().equals(given.getOrDefault(there, Map.of()))) {
                asBefore.add(a.student().id());
            } else {
                other.add(there);
                BroughtIn.OtherAnswers stand = stands.get(there);
                if (stand != null && stand.mayGo() && asked.replace().contains(stand.student())) {
                    replaced.add(there);
                    fresh.add(a);
                }
            }
        }
        List<BroughtIn.OtherAnswers> changed =
                other.stream().map(stands::get).filter(Objects::nonNull).toList();
        return new Read(grid, read.table(), found.with(fresh), asBefore, changed, replaced);
    }

    /** The points that came in before for what this file has points for. */
    private Map<UUID, Map<String, Fraction>> given(Collection<UUID> some, BringIn found) {
        Set<String> items = new HashSet<>();
        found.attempts().forEach(a -> items.addAll(a.points().keySet()));
        Map<UUID, Map<String, Fraction>> given = new HashMap<>();
        ledger.currentOf(some, items)
                .forEach((attempt, marks) -> marks.forEach((item, m) -> {
                    if (Elsewhere.is(m.mark())) {
                        given.computeIfAbsent(attempt, x -> new HashMap<>()).put(item, Elsewhere.points(m.mark()));
                    }
                }));
        return given;
    }

    private void store(Me me, UUID assessment, String name, Attempt.Way way, Read read, IntConsumer progress) {
        BringIn found = read.found();
        broughtIn.remove(read.replaced());
        UUID file = broughtIn.note(me, assessment, name);
        Map<String, UUID> sections = sections(assessment);
        Map<String, UUID> bySection = new HashMap<>();
        // The first of them freezes the paper, where nothing is given out yet.
        for (BringIn.Attempt row : found.attempts()) {
            bySection.computeIfAbsent(
                    row.student().section(),
                    s -> sittings.forBringingIn(me, assessment, Objects.requireNonNull(sections.get(s)), file));
        }
        Edition edition = editions.require(assessment);
        UUID editionId = editions.idOf(assessment, edition.number());
        Instant now = clock.instant();
        List<Scoring.ComesIn> comesIn = new ArrayList<>();
        int done = 0;
        for (BringIn.Attempt row : found.attempts()) {
            String section = row.student().section();
            Attempts.Beginning beginning = new Attempts.Beginning(
                    me.school(),
                    assessment,
                    Objects.requireNonNull(bySection.get(section)),
                    Objects.requireNonNull(sections.get(section)),
                    UUID.fromString(row.student().id()),
                    editionId,
                    way,
                    null,
                    file);
            Set<String> leftOut = Stream.concat(found.notAsked().stream(), row.notAsked().stream())
                    .collect(Collectors.toSet());
            comesIn.add(new Scoring.ComesIn(new Attempts.Whole(beginning, leftOut, answers(row)), row.points()));
            if (comesIn.size() == AT_ONCE) {
                scoring.bringIn(me, edition, comesIn, now);
                done += comesIn.size();
                progress.accept(done);
                comesIn.clear();
            }
        }
        scoring.bringIn(me, edition, comesIn, now);
        events.say("assessment:" + assessment);
    }

    private static Map<String, JsonNode> answers(BringIn.Attempt row) {
        Map<String, JsonNode> answers = new LinkedHashMap<>();
        row.answers().forEach((item, answer) -> {
            if (!answer.isBlank()) {
                answers.put(item, AnswerJson.write(answer));
            }
        });
        return answers;
    }

    private Map<String, UUID> sections(UUID assessment) {
        Map<String, UUID> ids = new HashMap<>();
        courses.sections(assessments.facts(assessment).course()).forEach(s -> ids.put(s.name(), s.id()));
        return ids;
    }

    private static BringInView view(Read read, List<Known> roster, BringInAsked asked) {
        BringIn found = read.found();
        Set<String> named = new HashSet<>(read.asBefore());
        Set<String> sections = new HashSet<>();
        found.attempts().forEach(a -> {
            named.add(a.student().id());
            sections.add(a.student().section());
        });
        Set<String> changed = new HashSet<>();
        read.changed().forEach(c -> changed.add(c.student().toString()));
        List<String> missing = roster.stream()
                .filter(k -> sections.contains(k.section()) && !named.contains(k.id()) && !changed.contains(k.id()))
                .map(k -> k.family() + ", " + k.given() + " (" + k.section() + ")")
                .toList();
        return new BringInView(
                read.grid().how(),
                read.grid().encoding(),
                read.grid().sheets(),
                read.grid().notes(),
                found.shape(),
                read.table().rows().size(),
                found.attempts().size(),
                read.asBefore().size(),
                read.changed(),
                missing,
                found.columns(),
                found.rows().stream().limit(MOST_ROWS_ASKED).toList(),
                found.cells().stream().limit(MOST_CELLS_ASKED).toList(),
                found.without(),
                found.twice(),
                found.keyLine(),
                found.decimalComma(),
                found.pointsAsk(),
                found.undecided(asked.choices()),
                found.faults(),
                List.of(),
                read.table().rows().stream().limit(SHOWN_ROWS).toList(),
                found.attempts().stream()
                        .limit(MOST_ROWS_ASKED)
                        .map(a -> new MatchedRow(
                                a.line(), a.student().name(), a.student().section(), a.by()))
                        .toList(),
                found.rows().isEmpty()
                        ? List.of()
                        : roster.stream()
                                .filter(k -> !named.contains(k.id()) && !changed.contains(k.id()))
                                .limit(MOST_ROWS_ASKED)
                                .toList());
    }
}
