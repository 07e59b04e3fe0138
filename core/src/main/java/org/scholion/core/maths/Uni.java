package org.scholion.core.maths;

import java.math.BigInteger;
import java.util.Arrays;
import java.util.Map;
import org.scholion.core.number.Fraction;

/**
 * An exact polynomial in one variable.
 *
 * @param c coefficients from the constant up, the last not 0; empty for 0
 */
record Uni(Fraction[] c) {
    private static final int HIGHEST = 40;

    Uni {
        int n = c.length;
        while (n > 0 && c[n - 1].isZero()) {
            n--;
        }
        c = Arrays.copyOf(c, n);
        if (n > HIGHEST + 1) {
            throw new Undecided("its degree is too high");
        }
    }

    /** A polynomial that has no atom but this one. */
    static Uni of(Polynomial p, String atom) {
        Fraction[] c = new Fraction[p.degree(atom) + 1];
        Arrays.fill(c, Fraction.ZERO);
        for (Map.Entry<Monomial, Fraction> term : p.terms().entrySet()) {
            if (!term.getKey().without(atom).powers().isEmpty()) {
                throw new Undecided("it holds more than " + atom);
            }
            c[term.getKey().power(atom)] = term.getValue();
        }
        return new Uni(c);
    }

    static Uni constant(Fraction value) {
        return new Uni(new Fraction[] {value});
    }

    int degree() {
        return c.length - 1;
    }

    boolean isZero() {
        return c.length == 0;
    }

    Fraction lead() {
        return c[c.length - 1];
    }

    Fraction at(Fraction x) {
        Fraction value = Fraction.ZERO;
        for (int i = c.length - 1; i >= 0; i--) {
            value = value.times(x).plus(c[i]);
        }
        return value;
    }

    Uni times(Uni other, Budget budget) {
        if (isZero() || other.isZero()) {
            return new Uni(new Fraction[0]);
        }
        budget.spend((long) c.length * other.c.length);
        Fraction[] product = new Fraction[c.length + other.c.length - 1];
        Arrays.fill(product, Fraction.ZERO);
        for (int i = 0; i < c.length; i++) {
            for (int j = 0; j < other.c.length; j++) {
                product[i + j] = product[i + j].plus(c[i].times(other.c[j]));
            }
        }
        return new Uni(product);
    }

    private Uni times(Fraction factor) {
        return new Uni(Arrays.stream(c).map(a -> a.times(factor)).toArray(Fraction[]::new));
    }

    Uni derivative() {
        Fraction[] d = new Fraction[Math.max(0, c.length - 1)];
        for (int i = 1; i < c.length; i++) {
            d[i - 1] = c[i].times(i);
        }
        return new Uni(d);
    }

    /** Quotient and rest. */
    Uni[] divide(Uni by, Budget budget) {
        Fraction[] rest = c.clone();
        Fraction[] quotient = new Fraction[Math.max(0, c.length - by.c.length + 1)];
        Arrays.fill(quotient, Fraction.ZERO);
        for (int i = quotient.length - 1; i >= 0; i--) {
            budget.spend(by.c.length);
            Fraction factor = rest[i + by.c.length - 1].over(by.lead());
            quotient[i] = factor;
            for (int j = 0; j < by.c.length; j++) {
                rest[i + j] = rest[i + j].minus(factor.times(by.c[j]));
            }
        }
        return new Uni[] {new Uni(quotient), new Uni(rest)};
    }

    /** The same roots and sign, whole coefficients without a common factor. */
    Uni primitive() {
        if (isZero()) {
            return this;
        }
        BigInteger den = BigInteger.ONE;
        for (Fraction a : c) {
            den = den.divide(den.gcd(a.denominator())).multiply(a.denominator());
        }
        BigInteger num = BigInteger.ZERO;
        for (Fraction a : c) {
            num = num.gcd(a.numerator().multiply(den.divide(a.denominator())));
        }
        return times(Fraction.of(den, num));
    }

    Uni gcd(Uni other, Budget budget) {
        Uni a = primitive();
        Uni b = other.primitive();
        while (!b.isZero()) {
            Uni rest = a.divide(b, budget)[1].primitive();
            a = b;
            b = rest;
        }
        return a;
    }

    /** The same roots, each once. */
    Uni squareFree(Budget budget) {
        if (degree() < 1) {
            return this;
        }
        Uni common = gcd(derivative(), budget);
        return common.degree() < 1 ? primitive() : divide(common, budget)[0].primitive();
    }

    @Override
    public boolean equals(@org.jspecify.annotations.Nullable Object o) {
        return o instanceof Uni u && Arrays.equals(c, u.c);
    }

    @Override
    public int hashCode() {
        return Arrays.hashCode(c);
    }

    @Override
    public String toString() {
        return Arrays.toString(c);
    }
}
