package org.scholion.core.measure;

import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;
import org.scholion.core.answer.Answer;
import org.scholion.core.item.Item;
import org.scholion.core.item.NumberItem;
import org.scholion.core.number.Fraction;
import org.scholion.core.score.TypedValue;

/**
 * Where the numbers that were typed lie, against what is accepted. Numbers in another unit than the expected one are
 * only counted, since they would lie elsewhere.
 *
 * @param low the least of all that lies on the line, in decimals; {@code high} the greatest
 * @param elsewhere how many answers are no number, or one in another unit
 */
public record NumberLine(
        String low, String high, List<NumberAt> numbers, List<AcceptedStretch> accepted, int elsewhere) {
    private static final int DECIMALS = 6;

    /**
     * A number that was typed.
     *
     * @param place where on the line, from 0 to 1
     */
    public record NumberAt(String value, int count, double place) {}

    /** A stretch that is accepted: from where to where on the line. */
    public record AcceptedStretch(String shown, String credit, double from, double to) {}

    /** Null for other kinds, and where no number was typed. */
    public static @Nullable NumberLine of(Item item, Collection<Answer> answers) {
        if (!(item instanceof NumberItem number)) {
            return null;
        }
        Map<Fraction, Integer> counts = new TreeMap<>();
        int elsewhere = 0;
        for (Answer answer : answers) {
            Fraction value = TypedValue.of(number, answer).orElse(null);
            if (value == null) {
                elsewhere++;
            } else {
                counts.merge(value, 1, Integer::sum);
            }
        }
        return counts.isEmpty() ? null : of(number, counts, elsewhere);
    }

    private static NumberLine of(NumberItem item, Map<Fraction, Integer> counts, int elsewhere) {
        List<Fraction> all = new ArrayList<>(counts.keySet());
        item.accept().forEach(a -> {
            all.add(a.from());
            all.add(a.to());
        });
        Fraction low = all.stream().min(Fraction::compareTo).orElseThrow();
        Fraction high = all.stream().max(Fraction::compareTo).orElseThrow();
        List<NumberAt> numbers = new ArrayList<>();
        counts.forEach((value, n) -> numbers.add(new NumberAt(value.toReadable(), n, place(value, low, high))));
        List<AcceptedStretch> accepted = item.accept().stream()
                .map(a -> new AcceptedStretch(
                        a.shown(), a.credit().toExact(), place(a.from(), low, high), place(a.to(), low, high)))
                .toList();
        return new NumberLine(low.toDecimal(DECIMALS), high.toDecimal(DECIMALS), numbers, accepted, elsewhere);
    }

    private static double place(Fraction value, Fraction low, Fraction high) {
        return low.equals(high) ? 0.5 : value.minus(low).over(high.minus(low)).toDouble();
    }
}
