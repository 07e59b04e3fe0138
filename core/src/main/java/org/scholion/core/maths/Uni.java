package org.scholion.core.maths;

import java.math.BigInteger;
import java.util.Arrays;
import java.util.Map;
import org.scholion.core.number.Fraction;

/**
 * A polynomial in one variable up to a positive factor: whole coefficients without a common divisor. Its roots and its
 * signs are exact; that is all it is used for.
 */
final class Uni {
    private static final int HIGHEST = 40;

    /** Coefficients from the constant up, the last not 0; empty for 0. */
    private final BigInteger[] c;

    private Uni(BigInteger[] coefficients) {
        int n = coefficients.length;
        while (n > 0 && coefficients[n - 1].signum() == 0) {
            n--;
        }
        if (n > HIGHEST + 1) {
            throw new Undecided("its degree is too high");
        }
        BigInteger content = BigInteger.ZERO;
        for (int i = 0; i < n && !content.equals(BigInteger.ONE); i++) {
            content = content.gcd(coefficients[i]);
        }
        c = Arrays.copyOf(coefficients, n);
        for (int i = 0; i < n && content.compareTo(BigInteger.ONE) > 0; i++) {
            c[i] = c[i].divide(content);
        }
    }

    /** The polynomial of these coefficients, from the constant up. */
    static Uni of(Fraction... coefficients) {
        BigInteger den = BigInteger.ONE;
        for (Fraction a : coefficients) {
            den = den.divide(den.gcd(a.denominator())).multiply(a.denominator());
        }
        BigInteger[] whole = new BigInteger[coefficients.length];
        for (int i = 0; i < whole.length; i++) {
            whole[i] = coefficients[i].numerator().multiply(den.divide(coefficients[i].denominator()));
        }
        return new Uni(whole);
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
        return of(c);
    }

    static Uni constant(Fraction value) {
        return of(value);
    }

    BigInteger coefficient(int i) {
        return c[i];
    }

    boolean isZero() {
        return c.length == 0;
    }

    int degree() {
        return c.length - 1;
    }

    BigInteger lead() {
        return c[c.length - 1];
    }

    /** The sign at n/d, by n^k and d^k alone, so that nothing is reduced on the way. */
    int signAt(Fraction x, Budget budget) {
        if (c.length == 0) {
            return 0;
        }
        BigInteger num = x.numerator();
        BigInteger den = x.denominator();
        BigInteger value = c[c.length - 1];
        BigInteger power = BigInteger.ONE;
        for (int i = c.length - 2; i >= 0; i--) {
            power = power.multiply(den);
            value = value.multiply(num).add(c[i].multiply(power));
            budget.spend(cost(value.bitLength() + power.bitLength()));
        }
        return value.signum();
    }

    Uni times(Uni other, Budget budget) {
        if (isZero() || other.isZero()) {
            return new Uni(new BigInteger[0]);
        }
        BigInteger[] product = new BigInteger[c.length + other.c.length - 1];
        Arrays.fill(product, BigInteger.ZERO);
        budget.spend(c.length * other.c.length * cost(widest() + other.widest()));
        for (int i = 0; i < c.length; i++) {
            for (int j = 0; j < other.c.length; j++) {
                product[i + j] = product[i + j].add(c[i].multiply(other.c[j]));
            }
        }
        return new Uni(product);
    }

    /** What a multiplication of so many bits takes, in steps; and what is common to all of them afterwards. */
    private static long cost(int bits) {
        return 2L + bits / 128 + (long) bits * bits / 400_000;
    }

    private int widest() {
        int bits = 0;
        for (BigInteger a : c) {
            bits = Math.max(bits, a.bitLength());
        }
        return bits;
    }

    Uni derivative() {
        BigInteger[] d = new BigInteger[Math.max(0, c.length - 1)];
        for (int i = 1; i < c.length; i++) {
            d[i - 1] = c[i].multiply(BigInteger.valueOf(i));
        }
        return new Uni(d);
    }

    Uni negate() {
        return new Uni(Arrays.stream(c).map(BigInteger::negate).toArray(BigInteger[]::new));
    }

    /** Quotient and rest, each up to a positive factor. */
    Uni[] divide(Uni by, Budget budget) {
        BigInteger[] rest = c.clone();
        BigInteger[] quotient = new BigInteger[Math.max(0, c.length - by.c.length + 1)];
        Arrays.fill(quotient, BigInteger.ZERO);
        BigInteger scale = by.lead().abs();
        boolean minus = by.lead().signum() < 0;
        for (int i = quotient.length - 1; i >= 0; i--) {
            BigInteger top = rest[i + by.c.length - 1];
            if (top.signum() == 0) {
                continue;
            }
            budget.spend(rest.length * cost(top.bitLength() + scale.bitLength()));
            for (int j = 0; j < quotient.length; j++) {
                quotient[j] = quotient[j].multiply(scale);
            }
            BigInteger factor = minus ? top.negate() : top;
            quotient[i] = quotient[i].add(factor);
            for (int j = 0; j < rest.length; j++) {
                BigInteger scaled = rest[j].multiply(scale);
                int k = j - i;
                rest[j] = k >= 0 && k < by.c.length ? scaled.subtract(factor.multiply(by.c[k])) : scaled;
            }
        }
        return new Uni[] {new Uni(quotient), new Uni(rest)};
    }

    Uni gcd(Uni other, Budget budget) {
        Uni a = this;
        Uni b = other;
        while (!b.isZero()) {
            Uni rest = a.divide(b, budget)[1];
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
        return common.degree() < 1 ? this : divide(common, budget)[0];
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
