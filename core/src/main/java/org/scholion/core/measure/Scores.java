package org.scholion.core.measure;

import java.math.BigInteger;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.scholion.core.number.Fraction;

/**
 * The scores of N attempts on k items: what every measure is computed from. Scores are held as whole multiples of
 * one unit, so that totals are exact, ties are ties and what does not vary has no variance.
 */
public final class Scores {
    /** Whole numbers up to here are exact in a double. */
    private static final double EXACT = 9e15;

    private final List<Column> items;
    private final double scale;
    private final double[][] values;
    private final int attempts;

    private Scores(List<Column> items, int attempts) {
        this.items = List.copyOf(items);
        this.attempts = attempts;
        this.scale = scale(items);
        this.values = items.stream().map(this::values).toArray(double[][]::new);
    }

    /**
     * The scores of these items.
     *
     * @throws IllegalArgumentException when the items do not hold the same attempts
     */
    public static Scores of(List<Column> items) {
        int attempts = items.isEmpty() ? 0 : items.get(0).attempts();
        for (Column item : items) {
            if (item.attempts() != attempts) {
                throw new IllegalArgumentException(
                        "item " + item.item() + " holds " + item.attempts() + " attempts, not " + attempts);
            }
        }
        return new Scores(items, attempts);
    }

    /** How many units make a point: the least common denominator, or the finest that sums of can be held exactly. */
    private static double scale(List<Column> items) {
        BigInteger common = BigInteger.ONE;
        double greatest = 1;
        for (Column item : items) {
            Fraction most = item.points().abs();
            for (Column.Kind kind : item.kinds()) {
                BigInteger den = kind.score().denominator();
                common = common.divide(common.gcd(den)).multiply(den);
                most = most.max(kind.score().abs());
            }
            greatest += most.toDouble();
        }
        double room = Math.floor(EXACT / greatest);
        return common.doubleValue() <= room ? common.doubleValue() : Math.max(1, room);
    }

    private double[] values(Column item) {
        return item.kinds().stream()
                .mapToDouble(k ->
                        Math.rint(k.score().times(Fraction.of((long) scale)).toDouble()))
                .toArray();
    }

    /**
     * The same, with the responses to one item told apart by what was answered, as a choice is by its options.
     *
     * @param j the item's place
     * @param group for each attempt the place of its answer among {@code groups}; below 0 for none
     * @param keyed which of the groups have full credit
     */
    public Scores grouped(int j, int[] group, List<String> groups, List<String> keyed) {
        Column was = items.get(j);
        Map<Column.Kind, Integer> codeOf = new LinkedHashMap<>();
        int[] codes = new int[attempts];
        for (int i = 0; i < attempts; i++) {
            Column.Kind kind = was.kinds().get(was.codes()[i]);
            Column.Kind own = new Column.Kind(
                    kind.score(),
                    kind.blank(),
                    kind.silent(),
                    kind.solved(),
                    group[i] < 0 ? List.of() : List.of(group[i]));
            Integer known = codeOf.putIfAbsent(own, codeOf.size());
            codes[i] = known == null ? codeOf.size() - 1 : known;
        }
        List<Column> all = new ArrayList<>(items);
        all.set(
                j,
                new Column(
                        was.item(),
                        codes,
                        List.copyOf(codeOf.keySet()),
                        was.points(),
                        was.counts(),
                        groups,
                        keyed,
                        was.ofOne()));
        return of(all);
    }

    public int attempts() {
        return attempts;
    }

    public List<Column> items() {
        return items;
    }

    Column item(int j) {
        return items.get(j);
    }

    /** The places of the items that the total is made of. */
    int[] counting() {
        return java.util.stream.IntStream.range(0, items.size())
                .filter(j -> items.get(j).counts())
                .toArray();
    }

    double scale() {
        return scale;
    }

    /** What each kind of response to an item is worth, in units. */
    double[] values(int j) {
        return values[j];
    }

    /** Each attempt's total, in units. */
    double[] totals() {
        double[] totals = new double[attempts];
        for (int j : counting()) {
            int[] codes = items.get(j).codes();
            double[] worth = values[j];
            for (int i = 0; i < totals.length; i++) {
                totals[i] += worth[codes[i]];
            }
        }
        return totals;
    }

    /** On how many of the counting items each attempt has full points. */
    public int[] solved() {
        int[] solved = new int[attempts];
        for (int j : counting()) {
            int[] codes = items.get(j).codes();
            int[] full = solvedKinds(j);
            for (int i = 0; i < solved.length; i++) {
                solved[i] += full[codes[i]];
            }
        }
        return solved;
    }

    int[] solvedKinds(int j) {
        return items.get(j).kinds().stream().mapToInt(k -> k.solved() ? 1 : 0).toArray();
    }
}
