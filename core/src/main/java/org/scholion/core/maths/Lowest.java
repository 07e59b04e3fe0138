package org.scholion.core.maths;

import java.math.BigInteger;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;

/** Whether a term is one fraction whose numerator and denominator have nothing in common; 3½ is such a fraction. */
final class Lowest {
    private static final String NOT = "not in lowest terms";

    private Lowest() {}

    static Optional<String> missing(Term term, Normal normal, Budget budget) {
        Term plain = term instanceof Term.Neg neg ? neg.inner() : term;
        if (plain instanceof Term.Num) {
            return Optional.empty();
        }
        List<Term> above = new ArrayList<>();
        List<Term> below = new ArrayList<>();
        gather(term, above, below);
        boolean nested = above.stream().anyMatch(Lowest::holdsAFraction)
                || below.stream().anyMatch(Lowest::holdsAFraction);
        if (nested) {
            return Optional.of("not a single fraction");
        }
        Polynomial num = product(above, normal, budget);
        Polynomial den = product(below, normal, budget);
        return haveCommon(num, den, budget) ? Optional.of(NOT) : Optional.empty();
    }

    private static void gather(Term term, List<Term> above, List<Term> below) {
        if (term instanceof Term.Neg neg) {
            gather(neg.inner(), above, below);
        } else if (term instanceof Term.Mul mul) {
            gather(mul.left(), above, below);
            gather(mul.right(), above, below);
        } else if (term instanceof Term.Div div) {
            gather(div.left(), above, below);
            gather(div.right(), below, above);
        } else {
            above.add(term);
        }
    }

    private static boolean holdsAFraction(Term term) {
        return term.all()
                .anyMatch(t -> t instanceof Term.Div
                        || t instanceof Term.Num n && !n.value().isWhole());
    }

    private static Polynomial product(List<Term> factors, Normal normal, Budget budget) {
        Polynomial product = Polynomial.ONE;
        for (Term factor : factors) {
            product = product.times(normal.of(factor).num(), budget);
        }
        return product;
    }

    private static boolean haveCommon(Polynomial num, Polynomial den, Budget budget) {
        BigInteger contents =
                Form.content(num).numerator().gcd(Form.content(den).numerator());
        if (!num.isZero() && !contents.equals(BigInteger.ONE)) {
            return true;
        }
        if (den.isConstant() || num.isConstant() && !num.isZero()) {
            return false;
        }
        Set<String> shared = new TreeSet<>(num.atoms());
        shared.retainAll(den.atoms());
        Set<String> all = new TreeSet<>(num.atoms());
        all.addAll(den.atoms());
        if (all.size() == 1) {
            String atom = all.iterator().next();
            return Uni.of(num, atom).gcd(Uni.of(den, atom), budget).degree() > 0;
        }
        return !shared.isEmpty() && haveCommonIn(num, den, shared, all, budget);
    }

    /**
     * In several variables: a variable that every term of both has is common; what shares a factor does so for every
     * number put in, so that one without a common factor shows that there is none.
     */
    private static boolean haveCommonIn(
            Polynomial num, Polynomial den, Set<String> shared, Set<String> all, Budget budget) {
        for (String atom : shared) {
            if (num.terms().keySet().stream().allMatch(m -> m.power(atom) > 0)
                    && den.terms().keySet().stream().allMatch(m -> m.power(atom) > 0)) {
                return true;
            }
        }
        boolean each = true;
        for (String kept : shared) {
            boolean none = false;
            for (int value = 2; value < 9 && !none; value++) {
                Uni a = Factors.with(num, kept, all, value);
                Uni b = Factors.with(den, kept, all, value);
                boolean whole = a.degree() == num.degree(kept) && b.degree() == den.degree(kept);
                none = whole && a.gcd(b, budget).degree() == 0;
            }
            each &= none;
        }
        if (each) {
            return false;
        }
        throw new Undecided("common factors in several variables are not found for certain");
    }
}
