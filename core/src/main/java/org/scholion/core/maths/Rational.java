package org.scholion.core.maths;

import org.scholion.core.number.Fraction;

/**
 * A quotient of two polynomials. Nothing is cancelled but constants, so that what must not be 0 stays visible in the
 * denominator; two quotients are equal when they are so crosswise.
 */
record Rational(Polynomial num, Polynomial den) {
    static Rational of(Polynomial num) {
        return new Rational(num, Polynomial.ONE);
    }

    static Rational of(Fraction value) {
        return of(Polynomial.constant(value));
    }

    Rational {
        if (den.isZero()) {
            throw new Undecided("it divides by 0");
        }
        if (den.isConstant() && !den.constant().equals(Fraction.ONE)) {
            num = num.times(Fraction.ONE.over(den.constant()));
            den = Polynomial.ONE;
        }
    }

    Rational plus(Rational other, Budget budget) {
        return den.equals(other.den)
                ? new Rational(num.plus(other.num), den)
                : new Rational(
                        num.times(other.den, budget).plus(other.num.times(den, budget)), den.times(other.den, budget));
    }

    Rational negate() {
        return new Rational(num.negate(), den);
    }

    Rational times(Rational other, Budget budget) {
        return new Rational(num.times(other.num, budget), den.times(other.den, budget));
    }

    Rational over(Rational other, Budget budget) {
        return new Rational(num.times(other.den, budget), den.times(other.num, budget));
    }

    Rational power(int n, Budget budget) {
        return n >= 0
                ? new Rational(num.power(n, budget), den.power(n, budget))
                : new Rational(den.power(-n, budget), num.power(-n, budget));
    }

    boolean isSame(Rational other, Budget budget) {
        return num.times(other.den, budget)
                .plus(other.num.times(den, budget).negate())
                .isZero();
    }

    boolean isConstant() {
        return num.isConstant() && den.isConstant();
    }

    /** Whether it is made of variables alone, so that equality of normal forms is all there is. */
    boolean isPlain() {
        return num.atoms().stream().allMatch(Rational::isPlain)
                && den.atoms().stream().allMatch(Rational::isPlain);
    }

    /** A variable or the root of a prime; roots of primes are independent over the rationals. */
    private static boolean isPlain(String atom) {
        return !atom.contains("(") && !atom.equals("π") && !atom.equals("ℯ");
    }

    String shown() {
        return den.equals(Polynomial.ONE) ? num.shown() : "(" + num.shown() + ")/(" + den.shown() + ")";
    }
}
