package org.scholion.server.standard;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.scholion.core.number.Fraction;
import org.scholion.core.standard.Attainment;
import org.scholion.core.standard.Level;
import org.scholion.core.standard.Method;
import org.scholion.server.platform.Refused;

/**
 * How attainment is decided, in numbers that people type.
 *
 * @param n for the latest: how many assessments; for a count: how many must reach a level
 * @param of for a count: of how many of the last
 * @param weight for a decay: how much the newest counts, such as {@code 0.65}
 * @param levels in the school's own words, from the lowest
 * @param minEvidence with fewer questions, criteria or blanks there is no level
 */
public record AttainmentWay(Kind kind, int n, int of, String weight, List<LevelFrom> levels, int minEvidence) {
    private static final int MOST_LEVELS = 12;
    private static final int LONGEST = 60;
    private static final int MOST = 50;
    private static final int DIGITS = 0;

    /** The method. */
    public enum Kind {
        SHARE,
        LATEST,
        DECAY,
        BEST,
        COUNT
    }

    /** @param from the percentage from which it is reached */
    public record LevelFrom(String from, String label) {}

    static final AttainmentWay USUAL = new AttainmentWay(
            Kind.SHARE,
            3,
            5,
            "0.65",
            List.of(new LevelFrom("0", "not there yet"), new LevelFrom("50", "mostly"), new LevelFrom("75", "surely")),
            2);

    /** As the core has it; what cannot be is refused with its place. */
    public Attainment.Rule rule() {
        if (levels.isEmpty() || levels.size() > MOST_LEVELS) {
            throw Refused.invalid("levels", "There are from 1 to " + MOST_LEVELS + " levels.");
        }
        require(minEvidence >= 1 && minEvidence <= MOST, "minEvidence", "At least 1 and at most " + MOST + ".");
        Set<Fraction> froms = new HashSet<>();
        List<Level> made = new java.util.ArrayList<>();
        for (int i = 0; i < levels.size(); i++) {
            Level level = level("levels[" + i + "]", levels.get(i));
            require(froms.add(level.from()), "levels[" + i + "].from", "Two levels begin at the same percentage.");
            made.add(level);
        }
        made.sort(java.util.Comparator.comparing(Level::from));
        return new Attainment.Rule(method(), made, minEvidence, DIGITS);
    }

    /** The same with its levels from the lowest on, as they are read. */
    AttainmentWay inOrder() {
        List<LevelFrom> sorted = rule().levels().stream()
                .map(l -> new LevelFrom(l.from().toExact(), l.label()))
                .toList();
        return new AttainmentWay(kind, n, of, weight.strip(), sorted, minEvidence);
    }

    private static Level level(String place, LevelFrom level) {
        String label = level.label().strip();
        require(
                !label.isEmpty() && label.length() <= LONGEST,
                place + ".label",
                "A level needs a name of at most 60 letters.");
        Fraction from = number(place + ".from", level.from());
        require(
                from.signum() >= 0 && from.compareTo(Fraction.HUNDRED) <= 0,
                place + ".from",
                "A percentage from 0 to 100.");
        return new Level(from, label);
    }

    private Method method() {
        return switch (kind) {
            case SHARE -> new Method.Share();
            case BEST -> new Method.Best();
            case LATEST -> {
                require(n >= 1 && n <= MOST, "n", "How many of the latest assessments, from 1 to " + MOST + ".");
                yield new Method.Latest(n);
            }
            case DECAY -> {
                Fraction w = number("weight", weight);
                require(
                        w.signum() > 0 && w.compareTo(Fraction.ONE) <= 0,
                        "weight",
                        "A number above 0 and at most 1, such as 0.65.");
                yield new Method.Decay(w);
            }
            case COUNT -> {
                require(n >= 1 && n <= of && of <= MOST, "n", "How many of how many, such as 3 of 5.");
                yield new Method.Count(n, of);
            }
        };
    }

    private static Fraction number(String place, String typed) {
        String plain = typed.strip().replace(',', '.');
        return (plain.length() > 12 ? java.util.Optional.<Fraction>empty() : Fraction.parse(plain))
                .orElseThrow(() -> Refused.invalid(place, "“" + typed.strip() + "” is not a number."));
    }

    private static void require(boolean holds, String place, String words) {
        if (!holds) {
            throw Refused.invalid(place, words);
        }
    }
}
