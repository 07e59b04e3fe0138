package org.scholion.core.item;

import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.scholion.core.number.Fraction;

/** Criteria, each with levels that carry points; a single scale is a rubric of one criterion. */
public record Rubric(List<Criterion> criteria) {

    /** One thing that is looked at; its weight multiplies its levels' points. */
    public record Criterion(String id, String title, Fraction weight, List<Level> levels, List<Alignment> standards) {
        public Criterion {
            levels = List.copyOf(levels);
            standards = List.copyOf(standards);
            Faulty.unless(!id.isBlank(), "id", "a criterion needs an id");
            Faulty.unless(weight.signum() > 0, "weight", "weight " + weight + " must be above 0");
            Faulty.unless(!levels.isEmpty(), "levels", "a criterion needs at least one level");
            Set<String> ids = new HashSet<>();
            for (int i = 0; i < levels.size(); i++) {
                Faulty.unless(
                        ids.add(levels.get(i).id()),
                        "levels[" + i + "].id",
                        "level '" + levels.get(i).id() + "' is there twice");
            }
        }

        public Optional<Level> level(String levelId) {
            return levels.stream().filter(l -> l.id().equals(levelId)).findFirst();
        }

        /** What the best level is worth, weight included. */
        public Fraction maximum() {
            return levels.stream()
                    .map(Level::points)
                    .reduce(Fraction::max)
                    .orElse(Fraction.ZERO)
                    .times(weight);
        }
    }

    /** How well a criterion can be met. */
    public record Level(String id, Fraction points, String text) {
        public Level {
            Faulty.unless(!id.isBlank(), "id", "a level needs an id");
        }
    }

    public Rubric {
        criteria = List.copyOf(criteria);
        Faulty.unless(!criteria.isEmpty(), "criteria", "a rubric needs at least one criterion");
        Set<String> ids = new HashSet<>();
        for (int i = 0; i < criteria.size(); i++) {
            Faulty.unless(
                    ids.add(criteria.get(i).id()),
                    "criteria[" + i + "].id",
                    "criterion '" + criteria.get(i).id() + "' is there twice");
        }
    }

    /** The sum of what the best levels are worth. */
    public Fraction maximum() {
        return criteria.stream().map(Criterion::maximum).reduce(Fraction.ZERO, Fraction::plus);
    }
}
