package org.scholion.core.maths;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.scholion.core.number.Fraction;

/** In which form an expression is asked for; decided on the term as it was written. */
public enum Form {
    ANY,
    EXPANDED,
    FACTORED,
    LOWEST;

    /** Why the term is not in this form; empty when it is. */
    private Optional<String> missing(Term term, Budget budget) {
        Normal normal = new Normal(budget);
        return switch (this) {
            case ANY -> Optional.empty();
            case EXPANDED -> expanded(term, normal);
            case FACTORED -> Factors.missing(term, normal, budget);
            case LOWEST -> Lowest.missing(term, normal, budget);
        };
    }

    /** Whether it is in this form; not decided where that takes too much. */
    public Verdict of(Term term) {
        return of(term, Budget.usual());
    }

    /** The same within what is left of a budget. */
    public Verdict of(Term term, Budget budget) {
        try {
            return missing(term, budget)
                    .map(why -> new Verdict(Verdict.Kind.DIFFERENT, null, null, null, why))
                    .orElse(Verdict.SAME);
        } catch (Undecided e) {
            return Verdict.undecided(String.valueOf(e.getMessage()));
        } catch (StackOverflowError e) {
            return Verdict.undecided("it has too many brackets inside brackets");
        }
    }

    /** No product or power holds a sum, and no two terms could be collected. */
    private static Optional<String> expanded(Term term, Normal normal) {
        boolean open = term.all().anyMatch(Form::multipliesASum);
        if (open) {
            return Optional.of("not multiplied out");
        }
        Rational r = normal.of(term);
        boolean collected = !r.den().isConstant()
                || summands(term).size() <= Math.max(1, r.num().terms().size());
        return collected ? Optional.empty() : Optional.of("like terms are not collected");
    }

    private static boolean multipliesASum(Term term) {
        if (term instanceof Term.Mul mul) {
            return isSum(mul.left()) || isSum(mul.right());
        }
        if (term instanceof Term.Div div) {
            return isSum(div.left());
        }
        return term instanceof Term.Pow pow && isSum(pow.base()) && pow.exponent() instanceof Term.Num
                || term instanceof Term.Neg neg && isSum(neg.inner());
    }

    private static boolean isSum(Term term) {
        return term instanceof Term.Add || term instanceof Term.Neg neg && isSum(neg.inner());
    }

    private static List<Term> summands(Term term) {
        if (term instanceof Term.Add add) {
            List<Term> all = new ArrayList<>(summands(add.left()));
            all.addAll(summands(add.right()));
            return all;
        }
        return List.of(term);
    }

    /** The greatest whole number that divides all coefficients, which are whole. */
    static Fraction content(Polynomial p) {
        java.math.BigInteger gcd = java.math.BigInteger.ZERO;
        for (Fraction c : p.terms().values()) {
            gcd = gcd.gcd(c.isWhole() ? c.numerator() : java.math.BigInteger.ONE);
        }
        return Fraction.of(gcd.signum() == 0 ? java.math.BigInteger.ONE : gcd, java.math.BigInteger.ONE);
    }
}
