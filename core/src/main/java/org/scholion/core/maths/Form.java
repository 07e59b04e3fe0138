package org.scholion.core.maths;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.scholion.core.number.Fraction;

/** In which form an expression is asked for; decided on the term as it was written. */
public enum Form {
    ANY,
    EXPANDED,
    FACTORED,
    LOWEST;

    /** Why the term is not in this form; empty when it is. */
    public Optional<String> missing(Term term) {
        Normal normal = new Normal(Budget.usual());
        return switch (this) {
            case ANY -> Optional.empty();
            case EXPANDED -> expanded(term, normal);
            case FACTORED -> Factors.missing(term, normal);
            case LOWEST -> lowest(term, normal);
        };
    }

    /** Whether it is in this form; not decided where that takes too much. */
    public Verdict of(Term term) {
        try {
            return missing(term)
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

    /** One fraction whose numerator and denominator have nothing in common. */
    private static Optional<String> lowest(Term term, Normal normal) {
        if (term instanceof Term.Num) {
            return Optional.empty();
        }
        List<Term> above = new ArrayList<>();
        List<Term> below = new ArrayList<>();
        gather(term, above, below);
        boolean nested =
                above.stream().anyMatch(Form::holdsAFraction) || below.stream().anyMatch(Form::holdsAFraction);
        if (nested) {
            return Optional.of("not a single fraction");
        }
        Polynomial num = product(above, normal);
        Polynomial den = product(below, normal);
        return haveCommon(num, den) ? Optional.of("not in lowest terms") : Optional.empty();
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

    private static Polynomial product(List<Term> factors, Normal normal) {
        Budget budget = Budget.usual();
        Polynomial product = Polynomial.ONE;
        for (Term factor : factors) {
            product = product.times(normal.of(factor).num(), budget);
        }
        return product;
    }

    private static boolean haveCommon(Polynomial num, Polynomial den) {
        Fraction contents = content(num);
        Fraction common = Fraction.of(contents.numerator().gcd(content(den).numerator()), java.math.BigInteger.ONE);
        if (!num.isZero() && !common.equals(Fraction.ONE)) {
            return true;
        }
        Set<String> atoms = new java.util.TreeSet<>(num.atoms());
        atoms.addAll(den.atoms());
        if (den.isConstant() || num.isConstant() && !num.isZero()) {
            return false;
        }
        if (atoms.size() > 1) {
            throw new Undecided("common factors in several variables are not looked for");
        }
        String atom = atoms.iterator().next();
        return Uni.of(num, atom).gcd(Uni.of(den, atom), Budget.usual()).degree() > 0;
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
