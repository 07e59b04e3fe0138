package org.scholion.core.effect;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.scholion.core.answer.Answer;
import org.scholion.core.item.Item;
import org.scholion.core.measure.Figures;
import org.scholion.core.measure.ScoresBuilder;
import org.scholion.core.number.Fraction;
import org.scholion.core.score.Mark;
import org.scholion.core.score.Scorer;
import org.scholion.core.total.Assessment;
import org.scholion.core.total.AttemptTotal;
import org.scholion.core.total.Outcome;
import org.scholion.core.total.Outcomes;
import org.scholion.core.total.Totals;

/**
 * What happens when the same answers are scored under another edition, or under other settings.
 *
 * @param marks the marks that move
 * @param students the students whose result moves, from what to what, and who crosses a bound
 * @param before the measures as they are; {@code after} as they would be
 */
public record Change(List<MarkMove> marks, Effect students, Figures before, Figures after) {

    /** An attempt as it came in. */
    public record Sat(
            String student, int attempt, Map<String, Answer> answers, Fraction daysLate, Set<String> excused) {
        public static Sat of(String student, Map<String, Answer> answers) {
            return new Sat(student, 1, answers, Fraction.ZERO, Set.of());
        }
    }

    /** A mark before and after; one of them is null for an item that only one side has. */
    public record MarkMove(
            String student,
            int attempt,
            String item,
            @Nullable Mark before,
            @Nullable Mark after) {}

    public Change {
        marks = List.copyOf(marks);
    }

    public static Change between(Assessment before, Assessment after, List<Sat> attempts) {
        Side left = new Side(before, attempts);
        Side right = new Side(after, attempts);
        List<MarkMove> moves = new ArrayList<>();
        for (int i = 0; i < attempts.size(); i++) {
            moves(attempts.get(i), left.marks(i), right.marks(i), moves);
        }
        return new Change(moves, Effect.between(left.students(), right.students()), left.figures(), right.figures());
    }

    private static void moves(Sat sat, Map<String, Mark> before, Map<String, Mark> after, List<MarkMove> moves) {
        Map<String, Mark> all = new LinkedHashMap<>(before);
        after.forEach(all::putIfAbsent);
        for (String item : all.keySet()) {
            Mark was = before.get(item);
            Mark is = after.get(item);
            boolean same = was != null
                    && is != null
                    && was.state() == is.state()
                    && was.credit().equals(is.credit());
            if (!same) {
                moves.add(new MarkMove(sat.student(), sat.attempt(), item, was, is));
            }
        }
    }

    /** All attempts under one assessment. */
    private static final class Side {
        private final Assessment assessment;
        private final List<Sat> attempts;
        private final List<Map<String, Mark>> marks = new ArrayList<>();
        private final List<AttemptTotal> totals = new ArrayList<>();
        private final ScoresBuilder scores;
        private final Map<String, Standing> standings;

        Side(Assessment assessment, List<Sat> attempts) {
            this.assessment = assessment;
            this.attempts = attempts;
            this.scores = new ScoresBuilder(assessment);
            List<Item> items = assessment.scorable();
            List<Scorer> scorers = items.stream().map(Scorer::of).toList();
            Totals adding = new Totals(assessment);
            for (Sat sat : attempts) {
                List<Mark> row = new ArrayList<>();
                List<Answer> answers = new ArrayList<>();
                for (int j = 0; j < items.size(); j++) {
                    Answer answer = sat.answers().getOrDefault(items.get(j).id(), Answer.NONE);
                    answers.add(answer);
                    row.add(
                            sat.excused().contains(items.get(j).id())
                                    ? Mark.EXCUSED
                                    : scorers.get(j).score(answer));
                }
                totals.add(adding.of(row, sat.daysLate()));
                scores.add(row, answers);
                Map<String, Mark> byItem = new LinkedHashMap<>();
                for (int j = 0; j < items.size(); j++) {
                    byItem.put(items.get(j).id(), row.get(j));
                }
                marks.add(byItem);
            }
            this.standings = standings();
        }

        Map<String, Mark> marks(int attempt) {
            return marks.get(attempt);
        }

        /** A student's result, and the place of the attempt that stands for it: the one that counts, else the last. */
        private record Standing(int place, Outcome outcome) {}

        private Map<String, Standing> standings() {
            List<Outcome> outcomes = Outcomes.of(assessment.grading(), totals);
            Map<String, List<Integer>> own = new LinkedHashMap<>();
            for (int i = 0; i < outcomes.size(); i++) {
                own.computeIfAbsent(attempts.get(i).student(), s -> new ArrayList<>())
                        .add(i);
            }
            Map<String, Standing> standings = new LinkedHashMap<>();
            own.forEach((student, places) -> {
                places.sort(Comparator.comparing(i -> attempts.get(i).attempt()));
                Outcomes.Result result = Outcomes.result(
                        assessment.grading(), places.stream().map(outcomes::get).toList());
                int place = places.get(result.standing(places.size()));
                Outcome one = outcomes.get(place);
                standings.put(
                        student,
                        new Standing(
                                place,
                                new Outcome(
                                        one.total(), one.exact(), result.percent(), result.band(), result.passed())));
            });
            return standings;
        }

        Map<String, Outcome> students() {
            Map<String, Outcome> students = new LinkedHashMap<>();
            standings.forEach((student, s) -> students.put(student, s.outcome()));
            return students;
        }

        Figures figures() {
            return Figures.of(scores.build(
                    standings.values().stream().mapToInt(Standing::place).toArray()));
        }
    }
}
