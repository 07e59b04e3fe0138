package org.scholion.formats.batch;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.scholion.core.number.Fraction;
import org.scholion.core.score.Mark;
import org.scholion.core.standard.Evidence;
import org.scholion.core.total.AttemptTotal;
import tools.jackson.databind.JsonNode;

/** Scores rows one after the other; belongs to one thread. */
final class RowScorer {
    private static final @Nullable Evidence[] NO_EVIDENCE = {};

    private final Key key;
    private final ItemScoring[] items;
    private final boolean standards;
    private final boolean table;

    /** @param table whether the rows of scores.csv are wanted */
    RowScorer(Key key, boolean table) {
        this.key = key;
        this.table = table;
        this.standards = table && !key.alignments.isEmpty();
        this.items = new ItemScoring[key.items.size()];
        Arrays.setAll(items, i -> new ItemScoring(key, i));
    }

    Key key() {
        return key;
    }

    ItemScoring item(int place) {
        return items[place];
    }

    /** Scores one answer, naming student and item in what is wrong with it. */
    @Nullable
    Scored answer(int place, JsonNode node, @Nullable Object form, Chunk.Part part, int line, String student) {
        return items[place].score(
                node,
                form,
                (item, fault) -> part.faults.add(new Chunk.Fault(line, where(student, item), fault.toString())));
    }

    static String where(String student, String item) {
        return student.isEmpty() ? "item " + item : "student " + student + ", item " + item;
    }

    /** Adds the row to the part unless something of it was wrong. */
    void finish(int line, Head head, @Nullable Scored[] answers, int faultsBefore, Chunk.Part part) {
        excuse(line, head, answers, part);
        if (part.faults.size() > faultsBefore) {
            return;
        }
        List<Mark> marks = new ArrayList<>(items.length);
        int[] kinds = new int[items.length];
        int undecided = 0;
        for (int i = 0; i < items.length; i++) {
            Scored answer = answers[i];
            if (answer == null) {
                answer = items[i].blank;
                answers[i] = answer;
            }
            marks.add(answer.mark());
            kinds[i] = answer.kind();
            undecided += answer.mark().state().isUndecided() ? 1 : 0;
        }
        AttemptTotal total = key.totals.of(marks, head.daysLate());
        if (table) {
            write(head, answers, total, part.scores);
        }
        part.rows.add(new Row(
                line,
                head,
                total.withoutCounted(),
                kinds,
                undecided,
                standards ? key.alignments.inOrder(marks) : NO_EVIDENCE));
    }

    private void excuse(int line, Head head, @Nullable Scored[] answers, Chunk.Part part) {
        Set<String> seen = new HashSet<>();
        for (String id : head.excused()) {
            Integer place = key.places.get(id);
            if (place == null || !seen.add(id)) {
                part.faults.add(new Chunk.Fault(
                        line,
                        "student " + head.student(),
                        place == null
                                ? "excused from '" + id + "', which is no item that is scored"
                                : "excused from '" + id + "' twice"));
            } else {
                answers[place] = items[place].excused;
            }
        }
    }

    private void write(Head head, @Nullable Scored[] answers, AttemptTotal total, Bytes out) {
        byte[] who = Bytes.utf8(Csv.cell(head.student()) + "," + head.attempt());
        List<@Nullable Fraction> counted = total.counted();
        for (int i = 0; i < answers.length; i++) {
            Scored answer = answers[i];
            if (answer != null) {
                out.add(who).add(answer.before());
                if (counted.get(i) != null) {
                    out.add(answer.counted());
                }
                out.add(answer.after());
            }
        }
    }
}
