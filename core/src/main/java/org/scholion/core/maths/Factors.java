package org.scholion.core.maths;

import java.math.BigInteger;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.scholion.core.number.Fraction;

/** Whether a product is taken apart as far as it goes over the rational numbers. */
final class Factors {
    private static final int LARGEST = 100_000;

    private Factors() {}

    static Optional<String> missing(Term term, Normal normal, Budget budget) {
        List<Term> factors = new ArrayList<>();
        gather(term, factors);
        if (factors.stream().anyMatch(f -> f.variables().findAny().isPresent() && holdsAFraction(f))
                && hasWholeCoefficients(normal.of(term))) {
            // 6(x + 1.5) is 3(2x + 3) over the whole numbers.
            return Optional.of("not factored over the whole numbers");
        }
        for (Term factor : factors) {
            Rational value = normal.of(factor);
            Polynomial p = value.num();
            if (!value.den().isConstant()) {
                throw new Undecided("a factor is a quotient");
            }
            if (p.isConstant() || p.terms().size() == 1) {
                continue;
            }
            if (!Form.content(p).equals(Fraction.ONE) || hasCommonVariable(p) || !isIrreducible(p, budget)) {
                return Optional.of("not fully factored");
            }
        }
        return Optional.empty();
    }

    private static boolean hasWholeCoefficients(Rational value) {
        return value.den().isConstant() && value.num().terms().values().stream().allMatch(Fraction::isWhole);
    }

    private static boolean holdsAFraction(Term term) {
        return term instanceof Term.Add
                && term.all()
                        .anyMatch(t -> t instanceof Term.Num n && !n.value().isWhole()
                                || t instanceof Term.Div div
                                        && div.right().variables().findAny().isEmpty());
    }

    private static void gather(Term term, List<Term> factors) {
        if (term instanceof Term.Neg neg) {
            gather(neg.inner(), factors);
        } else if (term instanceof Term.Mul mul) {
            gather(mul.left(), factors);
            gather(mul.right(), factors);
        } else if (term instanceof Term.Div div
                && div.right().variables().findAny().isEmpty()) {
            gather(div.left(), factors);
        } else if (term instanceof Term.Pow pow && pow.exponent() instanceof Term.Num) {
            gather(pow.base(), factors);
        } else {
            factors.add(term);
        }
    }

    private static boolean hasCommonVariable(Polynomial p) {
        return p.atoms().stream().anyMatch(a -> p.terms().keySet().stream().allMatch(m -> m.power(a) > 0));
    }

    private static boolean isIrreducible(Polynomial p, Budget budget) {
        if (p.degree() <= 1) {
            return true;
        }
        if (p.atoms().size() == 1) {
            return isIrreducible(Uni.of(p, p.atoms().iterator().next()), budget);
        }
        return byValues(p, budget);
    }

    /**
     * In several variables: what is irreducible with numbers for all but one variable, its leading coefficient being a
     * number, is irreducible. What looks reducible for every number is left open.
     */
    private static boolean byValues(Polynomial p, Budget budget) {
        for (String kept : p.atoms()) {
            boolean leadIsNumber = p.terms().keySet().stream()
                    .filter(m -> m.power(kept) == p.degree(kept))
                    .allMatch(m -> m.degree() == m.power(kept));
            for (int value = 2; value < 9 && leadIsNumber; value++) {
                if (isIrreducible(with(p, kept, p.atoms(), value), budget)) {
                    return true;
                }
            }
        }
        throw new Undecided("whether a factor can be taken apart further is not known");
    }

    /** The polynomial in one variable that is left when the others become different whole numbers. */
    static Uni with(Polynomial p, String kept, Set<String> atoms, int value) {
        Fraction[] c = new Fraction[p.degree(kept) + 1];
        java.util.Arrays.fill(c, Fraction.ZERO);
        p.terms().forEach((m, coefficient) -> {
            Fraction v = coefficient;
            int next = value;
            for (String atom : atoms) {
                if (!atom.equals(kept)) {
                    for (int i = 0; i < m.power(atom); i++) {
                        v = v.times(next);
                    }
                    next = next * 2 + 1;
                }
            }
            c[m.power(kept)] = c[m.power(kept)].plus(v);
        });
        return Uni.of(c);
    }

    private static boolean isIrreducible(Uni p, Budget budget) {
        if (p.degree() <= 1) {
            return p.degree() == 1;
        }
        if (p.coefficient(0).signum() == 0
                || p.squareFree(budget).degree() < p.degree()
                || hasRationalRoot(p, budget)) {
            return false;
        }
        if (p.degree() <= 3) {
            return true;
        }
        if (p.degree() > 5) {
            throw new Undecided("its degree is too high");
        }
        return !hasQuadraticFactor(p, budget);
    }

    private static boolean hasRationalRoot(Uni p, Budget budget) {
        return Sturm.of(p, budget).roots().stream().anyMatch(Root::isRational);
    }

    /** Every whole quadratic ax² + bx + c whose a, c and value at 1 divide those of p is tried (Kronecker). */
    private static boolean hasQuadraticFactor(Uni p, Budget budget) {
        for (long a : divisors(p.lead())) {
            for (long c : divisors(p.coefficient(0))) {
                for (long at1 : divisors(sum(p))) {
                    for (int signs = 0; signs < 4; signs++) {
                        long cc = (signs & 1) == 0 ? c : -c;
                        long b = ((signs & 2) == 0 ? at1 : -at1) - a - cc;
                        Uni q = Uni.of(Fraction.of(cc), Fraction.of(b), Fraction.of(a));
                        if (p.divide(q, budget)[1].isZero()) {
                            return true;
                        }
                    }
                }
            }
        }
        return false;
    }

    private static BigInteger sum(Uni p) {
        BigInteger sum = BigInteger.ZERO;
        for (int i = 0; i <= p.degree(); i++) {
            sum = sum.add(p.coefficient(i));
        }
        return sum;
    }

    private static List<Long> divisors(BigInteger whole) {
        BigInteger n = whole.abs();
        if (n.compareTo(BigInteger.valueOf(LARGEST)) > 0) {
            throw new Undecided("its coefficients are too large");
        }
        List<Long> all = new ArrayList<>();
        for (long d = 1; d <= n.longValueExact(); d++) {
            if (n.longValueExact() % d == 0) {
                all.add(d);
            }
        }
        return all;
    }
}
