package org.scholion.core.measure;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import org.scholion.core.number.Fraction;
import org.scholion.core.standard.Wilson;

/**
 * What the answers tell about one item.
 *
 * @param n attempts
 * @param difficulty mean score as a share of the points, a blank counting 0 (the facility of the textbooks)
 * @param low lower end of Wilson's 95 % interval of the difficulty, with the attempts as trials; {@code high} the upper
 * @param thirds the mean share of the points in the upper, middle and lower third by total
 * @param itemRest Pearson's r of the item's score with the rest of the total
 * @param upperLower mean share of the points in the upper 27 % by total less that in the lower 27 %
 * @param alphaWithout reliability of the other items
 * @param blank share of attempts that left it blank
 * @param notReached share of attempts that left it and all after it blank
 * @param options how each option was chosen; empty when it is no choice
 */
public record ItemMeasures(
        String item,
        int n,
        Figure difficulty,
        Figure low,
        Figure high,
        Thirds thirds,
        Figure itemRest,
        Figure upperLower,
        Figure alphaWithout,
        Figure blank,
        Figure notReached,
        List<OptionFigures> options) {

    private static final String NOBODY = "nobody has answered yet";

    public ItemMeasures {
        options = List.copyOf(options);
    }

    /** An item without figures, and why. */
    public static ItemMeasures none(String item, String why) {
        Figure none = Figure.undefined(why);
        return new ItemMeasures(
                item, 0, none, none, none, Thirds.missing(why), none, none, none, none, none, List.of());
    }

    /** The measures of every item, in the order of the scores. Items are counted side by side. */
    public static List<ItemMeasures> of(Scores scores) {
        return of(scores, Paper.of(scores));
    }

    static List<ItemMeasures> of(Scores scores, Paper paper) {
        int[] unreached = notReached(scores);
        List<ItemMeasures> all = new ArrayList<>();
        for (int j = 0; j < scores.items().size(); j++) {
            all.add(one(scores, paper, j, unreached[j]));
        }
        return all;
    }

    private static ItemMeasures one(Scores scores, Paper paper, int j, int unreached) {
        Tally tally = paper.tally(j);
        int n = scores.attempts();
        Figure difficulty = difficulty(tally, scores);
        Double p = difficulty.value();
        Wilson interval = p == null ? null : Wilson.of(p, n);
        return new ItemMeasures(
                tally.column.item(),
                n,
                difficulty,
                interval == null ? difficulty : Figure.of(interval.low()),
                interval == null ? difficulty : Figure.of(interval.high()),
                thirds(tally, paper.groups(), scores),
                itemRest(tally, paper.groups()),
                upperLower(tally, paper.groups(), scores),
                paper.alphaWithout(j),
                share(tally.count(Column.Kind::blank), n),
                share(unreached, n),
                IntStream.range(0, tally.column.options().size())
                        .mapToObj(o -> OptionFigures.of(tally, o, paper.groups()))
                        .toList());
    }

    private static Figure difficulty(Tally tally, Scores scores) {
        if (scores.attempts() == 0) {
            return Figure.undefined(NOBODY);
        }
        double sum = 0;
        for (int k = 0; k < tally.values.length; k++) {
            sum += tally.counts[k] * tally.values[k];
        }
        Fraction whole = tally.points(scores.scale()).times(scores.attempts());
        return whole.isZero()
                ? Figure.undefined("the item has no points")
                : Figure.of(Fraction.of((long) sum).over(whole).toDouble());
    }

    private static Figure itemRest(Tally tally, Groups groups) {
        if (groups.ranks().attempts() < 3) {
            return Figure.undefined("needs at least 3 attempts");
        }
        double xx = tally.moments().squares();
        double withTotal = tally.productWithTotal(groups.ranks(), groups.totals());
        return Correlation.of(tally.column.counts() ? withTotal - xx : withTotal, xx, groups.restSquares(tally));
    }

    private static Figure upperLower(Tally tally, Groups groups, Scores scores) {
        int n = scores.attempts();
        Fraction whole = tally.points(scores.scale()).times(Fraction.of(27L * n, 100));
        if (n < 4) {
            return Figure.undefined("needs at least 4 attempts");
        }
        if (whole.isZero()) {
            return Figure.undefined("the item has no points");
        }
        Fraction upper = Ranks.weighted(groups.upper(), tally.sums);
        Fraction lower = Ranks.weighted(groups.lower(), tally.sums);
        return Figure.of(upper.minus(lower).over(whole).toDouble());
    }

    private static Thirds thirds(Tally tally, Groups groups, Scores scores) {
        int n = scores.attempts();
        Fraction whole = tally.points(scores.scale()).times(Fraction.of(n, 3));
        if (n < 3) {
            return Thirds.missing("needs at least 3 attempts");
        }
        if (whole.isZero()) {
            return Thirds.missing("the item has no points");
        }
        double all = 0;
        for (double sum : tally.sums) {
            all += sum;
        }
        Fraction upper = Ranks.weighted(groups.upperThird(), tally.sums);
        Fraction lower = Ranks.weighted(groups.lowerThird(), tally.sums);
        Fraction middle = Fraction.of((long) all).minus(upper).minus(lower);
        return new Thirds(
                Figure.of(upper.over(whole).toDouble()),
                Figure.of(middle.over(whole).toDouble()),
                Figure.of(lower.over(whole).toDouble()));
    }

    private static Figure share(int part, int n) {
        return n == 0 ? Figure.undefined(NOBODY) : Figure.of((double) part / n);
    }

    /** For each item, how many attempts left it and everything after it unanswered, the item itself being blank. */
    private static int[] notReached(Scores scores) {
        int[] unreached = new int[scores.items().size()];
        // Whoever has answered something is out for all items before it, so that few are looked at twice.
        int[] silent = IntStream.range(0, scores.attempts()).toArray();
        int left = silent.length;
        for (int j = unreached.length - 1; j >= 0 && left > 0; j--) {
            Column column = scores.item(j);
            int still = 0;
            for (int s = 0; s < left; s++) {
                Column.Kind kind = column.kinds().get(column.codes()[silent[s]]);
                unreached[j] += kind.blank() ? 1 : 0;
                if (kind.silent()) {
                    silent[still++] = silent[s];
                }
            }
            left = still;
        }
        return unreached;
    }
}
