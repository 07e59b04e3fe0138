package org.scholion.server.report;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.core.answer.Told;
import org.scholion.core.item.Item;
import org.scholion.core.item.OpenItem;
import org.scholion.core.score.State;
import org.scholion.formats.json.Json;
import org.scholion.formats.out.Cell;
import org.scholion.formats.out.TableOut;
import org.scholion.server.ledger.Attempt;
import org.scholion.server.ledger.Attempts;
import org.scholion.server.ledger.Ledger;
import org.scholion.server.ledger.LedgerMark;
import org.scholion.server.ledger.MarkView;
import org.scholion.server.ledger.Marked;
import org.scholion.server.ledger.Said;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** A row a student and a question, with the answer as it was given; read some attempts at a time, however many. */
@Component
class AnswerRows {
    private static final int AT_A_TIME = 200;

    private final Attempts attempts;
    private final Ledger ledger;

    AnswerRows(Attempts attempts, Ledger ledger) {
        this.attempts = attempts;
        this.ledger = ledger;
    }

    void answers(Leaving leaving, TableOut out) throws IOException {
        out.table(
                "Answers",
                List.of(
                        "number",
                        "given name",
                        "family name",
                        "section",
                        "question",
                        "item",
                        "asked",
                        "answer",
                        "state",
                        "points",
                        "of",
                        "why",
                        "decided by",
                        "edition"));
        eachSome(leaving, (place, said, marks) -> {
            Attempt attempt = leaving.attempts().get(place).attempt();
            List<Cell> who = ScoreTable.who(leaving, place);
            for (Item item : leaving.edition().items()) {
                if (!attempt.leftOut().contains(item.id())) {
                    out.row(row(leaving, who, item, said, marks.get(item.id())));
                }
            }
        });
    }

    private static List<Cell> row(
            Leaving leaving, List<Cell> who, Item item, Map<String, JsonNode> said, @Nullable LedgerMark mark) {
        List<Cell> row = new ArrayList<>(who);
        row.add(Cell.of(leaving.edition().numberOf(item.id())));
        row.add(Cell.of(item.id()));
        row.add(Cell.of(item.asked()));
        row.add(Cell.of(Told.in(item, Said.to(item, said).answer())));
        if (mark == null) {
            row.add(Cell.of(State.BLANK.word()));
            row.add(Cell.of(0));
            row.add(Cell.of(item.points()));
            row.addAll(List.of(Cell.NONE, Cell.NONE, Cell.NONE));
        } else {
            MarkView view = MarkView.of(item, mark);
            row.add(Cell.of(view.state()));
            row.add(
                    mark.mark().state().isUndecided()
                            ? Cell.NONE
                            : Cell.of(mark.mark().credit().times(item.points())));
            row.add(Cell.of(item.points()));
            row.add(Cell.of(view.because()));
            row.add(Cell.of(decidedBy(leaving, view)));
            row.add(Cell.of(view.edition()));
        }
        return row;
    }

    private static String decidedBy(Leaving leaving, MarkView view) {
        return switch (view.by()) {
            case RULE -> "key";
            case PERSON -> leaving.names() && view.who() != null ? view.who() : "teacher";
            case NOBODY -> "";
        };
    }

    /** The same answers in the form that is scored from a shell: a line an attempt. */
    void lines(Leaving leaving, OutputStream out) throws IOException {
        eachSome(leaving, (place, said, marks) -> {
            Attempt attempt = leaving.attempts().get(place).attempt();
            ObjectNode line = Json.MAPPER.createObjectNode();
            String called = leaving.student(place).get(0);
            line.put("student", called.isEmpty() ? attempt.student().toString() : called);
            line.put("attempt", attempt.number());
            line.put("section", leaving.sectionOf(attempt));
            if (attempt.daysLate().signum() > 0) {
                line.put("late", attempt.daysLate().ceiling().toExact() + "d");
            }
            excused(leaving, attempt, marks, line);
            ObjectNode responses = line.putObject("responses");
            for (Item item : leaving.edition().items()) {
                JsonNode given = said.get(item.id());
                if (given != null && !attempt.leftOut().contains(item.id())) {
                    responses.set(item.id(), item instanceof OpenItem ? read(given, marks.get(item.id())) : given);
                }
            }
            out.write((line + "\n").getBytes(StandardCharsets.UTF_8));
        });
        out.flush();
    }

    private static void excused(Leaving leaving, Attempt attempt, Map<String, LedgerMark> marks, ObjectNode line) {
        List<String> excused = leaving.edition().items().stream()
                .map(Item::id)
                .filter(id -> attempt.leftOut().contains(id)
                        || marks.get(id) != null && marks.get(id).mark().state() == State.EXCUSED)
                .toList();
        if (!excused.isEmpty()) {
            excused.forEach(line.putArray("excused")::add);
        }
    }

    /** An open answer with the levels or the points that its reader chose. */
    private static JsonNode read(JsonNode given, @Nullable LedgerMark mark) {
        JsonNode reading = mark == null ? null : mark.reading();
        if (reading == null || mark == null || mark.mark().state() != State.SCORED) {
            return given;
        }
        ObjectNode open = Json.MAPPER.createObjectNode();
        open.put(
                "text",
                given.isString() ? given.stringValue() : given.path("text").asString(""));
        if (reading.path("levels").isObject() && !reading.path("levels").isEmpty()) {
            open.set("levels", reading.get("levels"));
        } else if (reading.hasNonNull("points")) {
            open.set("points", reading.get("points"));
        }
        return open;
    }

    private interface OfAttempt {
        void take(int place, Map<String, JsonNode> said, Map<String, LedgerMark> marks) throws IOException;
    }

    private void eachSome(Leaving leaving, OfAttempt each) throws IOException {
        List<Marked> all = leaving.attempts();
        for (int from = 0; from < all.size(); from += AT_A_TIME) {
            int to = Math.min(all.size(), from + AT_A_TIME);
            List<UUID> ids =
                    all.subList(from, to).stream().map(m -> m.attempt().id()).toList();
            Map<UUID, Map<String, JsonNode>> said = attempts.responsesOf(ids);
            Map<UUID, Map<String, LedgerMark>> marks = ledger.currentOf(ids);
            for (int i = from; i < to; i++) {
                UUID id = all.get(i).attempt().id();
                each.take(i, said.getOrDefault(id, Map.of()), marks.getOrDefault(id, Map.of()));
            }
        }
    }
}
