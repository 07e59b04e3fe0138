package org.scholion.core.maths;

import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.scholion.core.number.Fraction;

/** Where a term can bend or end: the insides of absolute values, roots, logarithms and broken powers. */
final class Critical {
    private static final Set<String> OF = Set.of("abs", "sqrt", "cbrt", "ln", "asin", "acos");

    private Critical() {}

    /** The terms whose zeros matter, each with its factors, since a square is 0 where its base is. */
    static List<Term> of(Term... terms) {
        Set<Term> all = new LinkedHashSet<>();
        for (Term term : terms) {
            term.all().forEach(t -> {
                if (t instanceof Term.Fn fn && OF.contains(fn.name())) {
                    factors(fn.argument(), all);
                    if (fn.name().startsWith("a") && !fn.name().equals("abs")) {
                        all.add(new Term.Add(fn.argument(), Term.num(1)));
                        all.add(fn.argument().minus(Term.num(1)));
                    }
                } else if (t instanceof Term.Pow pow && isBroken(pow.exponent())) {
                    factors(pow.base(), all);
                } else if (t instanceof Term.Div div) {
                    factors(div.right(), all);
                }
            });
        }
        return all.stream().filter(t -> t.variables().findAny().isPresent()).toList();
    }

    private static boolean isBroken(Term exponent) {
        return !(exponent instanceof Term.Num n && n.value().isWhole());
    }

    private static void factors(Term term, Set<Term> all) {
        all.add(term);
        if (term instanceof Term.Neg neg) {
            factors(neg.inner(), all);
        } else if (term instanceof Term.Mul || term instanceof Term.Div) {
            term.parts().forEach(p -> factors(p, all));
        } else if (term instanceof Term.Pow pow && !isBroken(pow.exponent())) {
            factors(pow.base(), all);
        }
    }

    /** Whether a term is seen to have one sign only, by the bounds of what it is made of. */
    static boolean hasOneSign(Term term) {
        double[] bounds = bounds(term);
        return bounds[0] >= 0 || bounds[1] <= 0;
    }

    private static final double[] ALL = {Double.NEGATIVE_INFINITY, Double.POSITIVE_INFINITY};

    /** The least and the greatest value that a term can have, as far as its signs and functions tell. */
    private static double[] bounds(Term term) {
        if (term instanceof Term.Num num) {
            return same(num.value());
        }
        if (term instanceof Term.Sym sym) {
            return sym.isConstant() ? new double[] {2.7, 3.2} : ALL;
        }
        if (term instanceof Term.Neg neg) {
            double[] b = bounds(neg.inner());
            return new double[] {-b[1], -b[0]};
        }
        if (term instanceof Term.Add add) {
            double[] a = bounds(add.left());
            double[] b = bounds(add.right());
            return new double[] {a[0] + b[0], a[1] + b[1]};
        }
        if (term instanceof Term.Mul mul) {
            return mul.left().equals(mul.right()) ? above(0) : signs(bounds(mul.left()), bounds(mul.right()));
        }
        if (term instanceof Term.Div div) {
            double[] below = bounds(div.right());
            return signs(bounds(div.left()), below[0] >= 0 ? above(0) : below[1] <= 0 ? under(0) : ALL);
        }
        return term instanceof Term.Pow pow ? power(pow) : function((Term.Fn) term);
    }

    private static double[] power(Term.Pow pow) {
        boolean even = pow.exponent() instanceof Term.Num n
                && n.value().isWhole()
                && !n.value().numerator().testBit(0);
        return even || bounds(pow.base())[0] >= 0 ? above(0) : ALL;
    }

    private static double[] function(Term.Fn fn) {
        return switch (fn.name()) {
            case "abs", "sqrt" -> above(0);
            case "sin", "cos", "tanh" -> new double[] {-1, 1};
            case "cosh" -> above(1);
            case "asin", "atan" -> new double[] {-1.6, 1.6};
            case "acos" -> new double[] {0, 3.2};
            default -> ALL;
        };
    }

    private static double[] signs(double[] a, double[] b) {
        boolean finite =
                Double.isFinite(a[0]) && Double.isFinite(a[1]) && Double.isFinite(b[0]) && Double.isFinite(b[1]);
        if (finite) {
            double[] all = {a[0] * b[0], a[0] * b[1], a[1] * b[0], a[1] * b[1]};
            java.util.Arrays.sort(all);
            return new double[] {all[0], all[3]};
        }
        if (a[0] >= 0 && b[0] >= 0 || a[1] <= 0 && b[1] <= 0) {
            return above(0);
        }
        return a[0] >= 0 && b[1] <= 0 || a[1] <= 0 && b[0] >= 0 ? under(0) : ALL;
    }

    private static double[] same(Fraction value) {
        double v = value.toDouble();
        return new double[] {v, v};
    }

    private static double[] above(double low) {
        return new double[] {low, Double.POSITIVE_INFINITY};
    }

    private static double[] under(double high) {
        return new double[] {Double.NEGATIVE_INFINITY, high};
    }

    /** The term with numbers for all variables but one. */
    static Term along(Term term, Map<String, Fraction> others) {
        return term.replaced(t -> {
            Fraction value = t instanceof Term.Sym sym ? others.get(sym.name()) : null;
            return value == null ? null : new Term.Num(value);
        });
    }
}
