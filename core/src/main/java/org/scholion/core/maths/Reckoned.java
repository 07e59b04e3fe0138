package org.scholion.core.maths;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.scholion.core.number.Fraction;

/** The sum or product of two numbers that a wrong number was meant to be. */
final class Reckoned {
    private static final String SIGN = "a sign has changed: ";

    private Reckoned() {}

    /** In words, {@code 3 · 4 is 12, not 13}; empty when no two of the numbers come to the right one. */
    static Optional<String> of(List<Fraction> numbers, Fraction right, Fraction wrong) {
        List<String> all = new ArrayList<>();
        for (int i = 0; i < numbers.size(); i++) {
            for (int j = 0; j < numbers.size(); j++) {
                if (i != j) {
                    two(numbers.get(i), numbers.get(j), right, wrong).ifPresent(all::add);
                }
            }
        }
        // What explains the wrong number as well is likelier than what only explains the right one.
        return all.stream()
                .filter(s -> s.startsWith(SIGN))
                .findFirst()
                .or(() -> all.stream().findFirst());
    }

    private static Optional<String> two(Fraction a, Fraction b, Fraction right, Fraction wrong) {
        Fraction size = right.abs();
        boolean trivial = a.abs().equals(Fraction.ONE) || b.abs().equals(Fraction.ONE);
        if (!trivial && a.times(b).abs().equals(size)) {
            return said(a, "·", b, right, wrong);
        }
        if (!a.isZero() && !b.isZero() && a.plus(b).equals(size)) {
            Optional<String> said = said(a, "+", b, size, wrong.abs());
            return a.minus(b).abs().equals(wrong.abs()) ? said.map(s -> SIGN + s) : said;
        }
        if (!b.isZero() && a.minus(b).equals(right)) {
            Optional<String> said = said(a, "−", b, right, wrong);
            return a.plus(b).equals(wrong) ? said.map(s -> SIGN + s) : said;
        }
        return !trivial && !b.isZero() && a.over(b).abs().equals(size)
                ? said(a, "÷", b, right, wrong)
                : Optional.empty();
    }

    private static Optional<String> said(Fraction a, String sign, Fraction b, Fraction right, Fraction wrong) {
        return Optional.of(a.toReadable() + " " + sign + " " + b.toReadable() + " is " + right.toReadable() + ", not "
                + wrong.toReadable());
    }
}
