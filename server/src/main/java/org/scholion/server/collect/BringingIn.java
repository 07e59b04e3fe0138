package org.scholion.server.collect;

import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.Callable;
import org.jspecify.annotations.Nullable;
import org.scholion.core.item.Item;
import org.scholion.formats.assessment.AnswerJson;
import org.scholion.formats.bringin.AnswerTable;
import org.scholion.formats.bringin.BringIn;
import org.scholion.formats.bringin.BringIn.CellFault;
import org.scholion.formats.bringin.Column;
import org.scholion.formats.bringin.Known;
import org.scholion.formats.json.Fault;
import org.scholion.formats.table.Table;
import org.scholion.server.access.Access;
import org.scholion.server.course.Courses;
import org.scholion.server.key.Assessments;
import org.scholion.server.key.Edition;
import org.scholion.server.key.Editions;
import org.scholion.server.ledger.Attempt;
import org.scholion.server.ledger.Attempts;
import org.scholion.server.ledger.Scoring;
import org.scholion.server.ledger.Turns;
import org.scholion.server.platform.HeavyWork;
import org.scholion.server.platform.Me;
import org.scholion.server.platform.Refused;
import org.springframework.stereotype.Service;
import tools.jackson.databind.JsonNode;

/** Answers from a file: recognised and shown first, then taken whole or not at all. */
@Service
public class BringingIn {
    private static final int SHOWN_ROWS = 60;

    private final Assessments assessments;
    private final Editions editions;
    private final Courses courses;
    private final Sittings sittings;
    private final Attempts attempts;
    private final Scoring scoring;
    private final Turns turns;
    private final HeavyWork heavyWork;
    private final Access access;
    private final Clock clock;

    BringingIn(
            Assessments assessments,
            Editions editions,
            Courses courses,
            Sittings sittings,
            Attempts attempts,
            Scoring scoring,
            Turns turns,
            HeavyWork heavyWork,
            Access access,
            Clock clock) {
        this.assessments = assessments;
        this.editions = editions;
        this.courses = courses;
        this.sittings = sittings;
        this.attempts = attempts;
        this.scoring = scoring;
        this.turns = turns;
        this.heavyWork = heavyWork;
        this.access = access;
        this.clock = clock;
    }

    /**
     * What a file would bring in, or has brought in.
     *
     * @param students how many students have a row that fits, each once
     * @param missing students of the rosters that the file does not name
     * @param rows the first rows as they are, for looking at
     */
    public record BringInView(
            String separator,
            int lines,
            int students,
            List<String> missing,
            List<Column> columns,
            List<CellFault> faults,
            List<Table.Row> rows) {}

    public BringInView preview(Me me, UUID assessment, Callable<byte[]> file, Set<Integer> leaveOut) {
        access.require(me, Access.Action.WORK_ON_ASSESSMENT, assessment);
        return heavyWork.inTurn(me, () -> {
            Table table = Table.read(file.call());
            return view(table, recognise(assessment, table, leaveOut), roster(assessment));
        });
    }

    /** Takes a file in a turn of the whole assessment: the same file twice at once comes in once. */
    public BringInView take(Me me, UUID assessment, Callable<byte[]> file, Set<Integer> leaveOut) {
        access.require(me, Access.Action.WORK_ON_ASSESSMENT, assessment);
        Table table = heavyWork.inTurn(me, () -> Table.read(file.call()));
        return turns.whole(assessment, () -> {
            BringIn found = recognise(assessment, table, leaveOut);
            if (!found.faults().isEmpty()) {
                throw Refused.invalid(found.faults().stream()
                        .map(f -> new Fault(
                                "line " + f.line() + (f.column().isEmpty() ? "" : ", " + f.column()), f.message()))
                        .toList());
            }
            store(me, assessment, found);
            return view(table, found, roster(assessment));
        });
    }

    private List<Known> roster(UUID assessment) {
        return courses.known(assessments.facts(assessment).course());
    }

    private BringIn recognise(UUID assessment, Table table, Set<Integer> leaveOut) {
        BringIn found = AnswerTable.recognise(table, items(assessment), roster(assessment), leaveOut);
        List<CellFault> faults = new ArrayList<>(found.faults());
        Set<String> taken = new HashSet<>();
        attempts.of(assessment, null).forEach(a -> taken.add(a.student().toString()));
        found.attempts().stream()
                .filter(a -> taken.contains(a.student().id()))
                .forEach(a -> faults.add(
                        new CellFault(a.line(), "", a.student().name() + " already has an attempt. Skip this row.")));
        return new BringIn(found.columns(), found.attempts(), faults);
    }

    private List<Item> items(UUID assessment) {
        return editions.latest(assessment)
                .map(Edition::items)
                .orElseGet(() -> Edition.compile(assessment, 1, assessments.whole(assessment), List.of())
                        .items());
    }

    private void store(Me me, UUID assessment, BringIn found) {
        Map<String, UUID> sections = sections(assessment);
        Map<String, UUID> bySection = new HashMap<>();
        Instant now = clock.instant();
        Map<UUID, Map<String, JsonNode>> answers = new LinkedHashMap<>();
        for (BringIn.Attempt row : found.attempts()) {
            UUID section = Objects.requireNonNull(sections.get(row.student().section()));
            UUID sitting = bySection.computeIfAbsent(
                    row.student().section(), s -> sittings.forBringingIn(me, assessment, section));
            Edition edition = editions.require(assessment);
            UUID id = attempts.begin(
                    new Attempts.Beginning(
                            me.school(),
                            assessment,
                            sitting,
                            section,
                            UUID.fromString(row.student().id()),
                            editions.idOf(assessment, edition.number()),
                            Attempt.Way.FILE,
                            null),
                    a -> Set.of(),
                    now);
            answers.put(id, answers(row));
        }
        Map<Attempt, Map<String, JsonNode>> taken = new LinkedHashMap<>();
        attempts.some(answers.keySet()).forEach(a -> taken.put(a, answers.getOrDefault(a.id(), Map.of())));
        scoring.handInMany(assessment, taken, now);
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

    private static BringInView view(Table table, BringIn found, List<Known> roster) {
        Set<String> named = new HashSet<>();
        Set<String> sections = new HashSet<>();
        found.attempts().forEach(a -> {
            named.add(a.student().id());
            sections.add(a.student().section());
        });
        List<String> missing = roster.stream()
                .filter(k -> sections.contains(k.section()) && !named.contains(k.id()))
                .map(k -> k.family() + ", " + k.given() + " (" + k.section() + ")")
                .toList();
        return new BringInView(
                separator(table.separator()),
                table.rows().size(),
                named.size(),
                missing,
                found.columns(),
                found.faults(),
                table.rows().stream().sorted(byFault(found)).limit(SHOWN_ROWS).toList());
    }

    private static String separator(char mark) {
        return mark == '\t' ? "tab" : mark == ';' ? "semicolon" : "comma";
    }

    /** Rows that do not fit stand on top. */
    private static java.util.Comparator<Table.Row> byFault(BringIn found) {
        Set<@Nullable Integer> faulty = new HashSet<>();
        found.faults().forEach(f -> faulty.add(f.line()));
        return java.util.Comparator.comparing((Table.Row r) -> !faulty.contains(r.line()))
                .thenComparing(Table.Row::line);
    }
}
