package org.scholion.core.maths;

import java.util.Optional;
import org.scholion.core.number.Fraction;

/** The exact value of a term of one variable at a rational point. */
final class Exact {
    private static final Fraction HIGHEST = Fraction.of(60);
    private static final int MOST_BITS = 8_000;

    private Exact() {}

    /** Empty where it is not defined. */
    static Optional<Fraction> at(Term term, Fraction x) {
        try {
            return Optional.of(value(term, x));
        } catch (ArithmeticException e) {
            return Optional.empty();
        }
    }

    private static Fraction value(Term term, Fraction x) {
        if (term instanceof Term.Num num) {
            return num.value();
        }
        if (term instanceof Term.Sym) {
            return x;
        }
        if (term instanceof Term.Neg neg) {
            return value(neg.inner(), x).negate();
        }
        if (term instanceof Term.Add add) {
            return value(add.left(), x).plus(value(add.right(), x));
        }
        if (term instanceof Term.Mul mul) {
            return bounded(value(mul.left(), x).times(value(mul.right(), x)));
        }
        if (term instanceof Term.Div div) {
            return value(div.left(), x).over(value(div.right(), x));
        }
        if (term instanceof Term.Pow pow) {
            return power(value(pow.base(), x), value(pow.exponent(), x));
        }
        return value(((Term.Fn) term).argument(), x).abs();
    }

    private static Fraction power(Fraction base, Fraction exponent) {
        if (!exponent.isWhole() || exponent.abs().compareTo(HIGHEST) > 0) {
            throw new Undecided("a power is too high");
        }
        int n = exponent.numerator().intValueExact();
        Fraction result = Fraction.ONE;
        for (int i = 0; i < Math.abs(n); i++) {
            result = bounded(result.times(base));
        }
        return n < 0 ? Fraction.ONE.over(result) : result;
    }

    /** A number of that many digits is no answer of a student's. */
    static Fraction bounded(Fraction value) {
        if (value.numerator().bitLength() + value.denominator().bitLength() > MOST_BITS) {
            throw new Undecided("a number is too large");
        }
        return value;
    }
}
