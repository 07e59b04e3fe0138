package org.scholion.core.maths;

import java.math.BigInteger;
import org.scholion.core.number.Fraction;

/** From a written term to its normal form; what is no polynomial becomes an atom named by its own normal form. */
final class Normal {
    private static final int HIGHEST = 60;

    private final Budget budget;

    Normal(Budget budget) {
        this.budget = budget;
    }

    Rational of(Term term) {
        budget.spend(1);
        if (term instanceof Term.Num num) {
            return Rational.of(num.value());
        }
        if (term instanceof Term.Sym sym) {
            return Rational.of(Polynomial.atom(sym.name()));
        }
        if (term instanceof Term.Neg neg) {
            return of(neg.inner()).negate();
        }
        if (term instanceof Term.Add add) {
            return of(add.left()).plus(of(add.right()), budget);
        }
        if (term instanceof Term.Mul mul) {
            return of(mul.left()).times(of(mul.right()), budget);
        }
        if (term instanceof Term.Div div) {
            return of(div.left()).over(of(div.right()), budget);
        }
        return term instanceof Term.Pow pow ? power(pow) : function((Term.Fn) term);
    }

    private Rational power(Term.Pow pow) {
        Rational exponent = of(pow.exponent());
        if (!exponent.isConstant()) {
            return atom("^", of(pow.base()).shown() + "," + exponent.shown());
        }
        Fraction n = exponent.num().constant();
        if (n.isWhole()) {
            if (n.abs().compareTo(Fraction.of(HIGHEST)) > 0) {
                throw new Undecided("a power is too high");
            }
            return of(pow.base()).power(n.numerator().intValueExact(), budget);
        }
        if (n.times(2).isWhole() && n.abs().compareTo(Fraction.of(HIGHEST)) < 0) {
            return root(of(pow.base())).power(n.times(2).numerator().intValueExact(), budget);
        }
        return atom("^", of(pow.base()).shown() + "," + n.toExact());
    }

    private Rational function(Term.Fn fn) {
        Rational argument = of(fn.argument());
        if (fn.name().equals("sqrt")) {
            return root(argument);
        }
        if (fn.name().equals("abs") && argument.isConstant()) {
            return Rational.of(argument.num().constant().abs());
        }
        if (fn.name().equals("cbrt")) {
            return atom("^", argument.shown() + "," + Fraction.of(1, 3).toExact());
        }
        return atom(fn.name(), argument.shown());
    }

    private static Rational atom(String name, String argument) {
        return Rational.of(Polynomial.atom(name + "(" + argument + ")"));
    }

    /** √(n/d) of numbers is √(n·d)/d, taken apart into primes, so that √8 is 2√2 and √6 is √2·√3. */
    private Rational root(Rational argument) {
        if (!argument.isConstant() || argument.num().constant().signum() < 0) {
            return atom("sqrt", argument.shown());
        }
        Fraction value = argument.num().constant();
        BigInteger inside = value.numerator().multiply(value.denominator());
        if (inside.bitLength() > 40) {
            return atom("sqrt", argument.shown());
        }
        Fraction outside = Fraction.ONE.over(Fraction.of(value.denominator(), BigInteger.ONE));
        long rest = inside.longValueExact();
        Polynomial roots = Polynomial.ONE;
        for (long p = 2; p * p <= rest; p++) {
            budget.spend(p % 16 == 0 ? 1 : 0);
            int times = 0;
            while (rest % p == 0) {
                rest /= p;
                times++;
            }
            for (int i = 0; i < times / 2; i++) {
                outside = outside.times(p);
            }
            roots = times % 2 == 1 ? roots.times(Polynomial.rootOfPrime(p), budget) : roots;
        }
        roots = rest > 1 ? roots.times(Polynomial.rootOfPrime(rest), budget) : roots;
        return value.isZero() ? Rational.of(Fraction.ZERO) : Rational.of(roots.times(outside));
    }
}
