package org.scholion.formats.batch;

import java.util.Arrays;
import java.util.HashSet;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.scholion.core.number.Fraction;
import org.scholion.core.standard.Alignments;
import org.scholion.core.standard.Evidence;
import org.scholion.core.total.AttemptTotal;
import tools.jackson.databind.JsonNode;

/** Scores rows one after the other; belongs to one thread. */
final class RowScorer {
    private static final @Nullable Evidence[] NO_EVIDENCE = {};

    private final Key key;
    private final ItemScoring[] items;
    private final boolean standards;
    private final Alignments.Gathering gathering;
    private final boolean table;
    private int size = 1 << 12;

    /** @param table whether the rows of scores.csv are wanted */
    RowScorer(Key key, boolean table) {
        this.key = key;
        this.table = table;
        this.standards = table && !key.alignments.isEmpty();
        this.gathering = key.alignments.new Gathering();
        this.items = new ItemScoring[key.items.size()];
        Arrays.setAll(items, i -> new ItemScoring(key, i));
    }

    /** A part that is as large as the last one was. */
    Chunk.Part part() {
        return new Chunk.Part(size);
    }

    void remember(Chunk.Part part) {
        size = Math.max(1 << 12, part.scores.length() + part.scores.length() / 16);
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
        int[] kinds = new int[items.length];
        @Nullable Fraction[] counted = new Fraction[items.length];
        boolean[] waits = new boolean[items.length];
        int undecided = 0;
        for (int i = 0; i < items.length; i++) {
            Scored answer = answers[i] == null ? items[i].blank : answers[i];
            answers[i] = answer;
            kinds[i] = answer.kind();
            counted[i] = answer.counts();
            waits[i] = answer.waits();
            undecided += answer.mark().state().isUndecided() ? 1 : 0;
            for (int s = 0; standards && s < answer.shown().size(); s++) {
                gathering.add(answer.shown().get(s));
            }
        }
        AttemptTotal total = key.totals.of(counted, waits, head.daysLate());
        if (table) {
            write(head, answers, counted, part.scores);
        }
        part.rows.add(new Row(line, head, total, kinds, undecided, standards ? gathering.take() : NO_EVIDENCE));
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

    private static void write(Head head, @Nullable Scored[] answers, @Nullable Fraction[] counted, Bytes out) {
        byte[] who = Bytes.utf8(Csv.cell(head.student()) + "," + head.attempt());
        for (int i = 0; i < answers.length; i++) {
            Scored answer = answers[i];
            if (answer != null) {
                out.add(who).add(counted[i] == null ? answer.uncounted() : answer.row());
            }
        }
    }
}
