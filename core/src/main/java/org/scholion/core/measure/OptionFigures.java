package org.scholion.core.measure;

import org.scholion.core.number.Fraction;

/**
 * How one option of a choice was chosen.
 *
 * @param share of all attempts
 * @param upper share of the upper third by total, ties at the border shared; {@code middle} and {@code lower} alike
 * @param optionRest Pearson's r of choosing it with the rest of the total
 */
public record OptionFigures(
        String option,
        boolean keyed,
        int count,
        Figure share,
        Figure upper,
        Figure middle,
        Figure lower,
        Figure optionRest) {

    static OptionFigures of(Tally tally, int option, Groups groups) {
        double times = tally.times(option);
        Ranks ranks = groups.ranks();
        int n = ranks.attempts();
        Fraction third = Fraction.of(n, 3);
        Fraction upper = Ranks.weighted(groups.upperThird(), tally.chosen[option]);
        Fraction lower = Ranks.weighted(groups.lowerThird(), tally.chosen[option]);
        Fraction middle = Fraction.of((long) times).minus(upper).minus(lower);
        return new OptionFigures(
                tally.column.options().get(option),
                tally.column.isKeyed(option),
                (int) times,
                share(Fraction.of((long) times), Fraction.of(n)),
                share(upper, third),
                share(middle, third),
                share(lower, third),
                rest(tally, option, times, groups));
    }

    private static Figure share(Fraction part, Fraction of) {
        return of.isZero()
                ? Figure.undefined("nobody has answered yet")
                : Figure.of(part.over(of).toDouble());
    }

    private static Figure rest(Tally tally, int option, double times, Groups groups) {
        double n = groups.ranks().attempts();
        if (n < 3) {
            return Figure.undefined("needs at least 3 attempts");
        }
        if (times == 0 || times == n) {
            return Figure.undefined(times == 0 ? "nobody chose it" : "all chose it");
        }
        double spread = times * (n - times) / n;
        double withTotal = Tally.product(tally.chosen[option], times / n, groups.ranks(), groups.totals());
        double withRest = tally.column.counts() ? withTotal - tally.productWithScore(option, times) : withTotal;
        return Correlation.of(withRest, spread, groups.restSquares(tally));
    }
}
