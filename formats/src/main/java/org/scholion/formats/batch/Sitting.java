package org.scholion.formats.batch;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.scholion.core.number.Fraction;
import org.scholion.core.standard.Evidence;
import org.scholion.core.total.AttemptTotal;
import org.scholion.core.total.Grading;
import org.scholion.core.total.Outcome;
import org.scholion.core.total.Outcomes;

/** What is kept of every attempt until all are read, since the curve and the attempts rule need the whole sitting. */
final class Sitting {
    private final Grading grading;
    private final List<Kept> attempts = new ArrayList<>();
    private final Map<String, List<Integer>> byStudent = new LinkedHashMap<>();
    /** Equal amounts and equal evidence are kept once. */
    private final Map<Fraction, Fraction> amounts = new HashMap<>();

    private final Map<Evidence, Evidence> shown = new HashMap<>();

    record Kept(
            String student,
            int attempt,
            @Nullable String section,
            AttemptTotal total,
            @Nullable Evidence[] evidence) {}

    Sitting(Grading grading) {
        this.grading = grading;
    }

    /** Keeps the row; false when this attempt of the student is there already. */
    boolean add(Row row) {
        List<Integer> own = byStudent.computeIfAbsent(row.head().student(), s -> new ArrayList<>(1));
        for (int other : own) {
            if (attempts.get(other).attempt() == row.head().attempt()) {
                return false;
            }
        }
        own.add(attempts.size());
        attempts.add(new Kept(
                row.head().student(),
                row.head().attempt(),
                row.head().section(),
                kept(row.total()),
                kept(row.evidence())));
        return true;
    }

    private AttemptTotal kept(AttemptTotal t) {
        Fraction percent = t.percent();
        return new AttemptTotal(
                List.of(),
                once(t.score()),
                once(t.possible()),
                percent == null ? null : once(percent),
                t.provisional());
    }

    private @Nullable Evidence[] kept(@Nullable Evidence[] evidence) {
        for (int c = 0; c < evidence.length; c++) {
            Evidence e = evidence[c];
            evidence[c] = e == null ? null : shown.computeIfAbsent(e, same -> same);
        }
        return evidence;
    }

    private Fraction once(Fraction amount) {
        return amounts.computeIfAbsent(amount, a -> a);
    }

    List<Kept> attempts() {
        return attempts;
    }

    /**
     * A student's result.
     *
     * @param own places of the student's attempts, in the order of their numbers
     */
    record Result(String student, List<Integer> own, Outcomes.Result result) {
        /** The place of the attempt that stands for the student: the one that counts, with the mean the last. */
        int standing() {
            return own.get(result.standing(own.size()));
        }

        boolean counts(int place) {
            return result.counting() < 0 || own.get(result.counting()) == place;
        }
    }

    List<Outcome> outcomes() {
        return Outcomes.of(grading, attempts.stream().map(Kept::total).toList());
    }

    /** The students in the order of their first appearance. */
    List<Result> results(List<Outcome> outcomes) {
        List<Result> results = new ArrayList<>();
        byStudent.forEach((student, places) -> {
            List<Integer> own = places;
            if (own.size() > 1) {
                own.sort(Comparator.comparing(p -> attempts.get(p).attempt()));
            }
            results.add(new Result(
                    student,
                    own,
                    Outcomes.result(grading, own.stream().map(outcomes::get).toList())));
        });
        return results;
    }
}
