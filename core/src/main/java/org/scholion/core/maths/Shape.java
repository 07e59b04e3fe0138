package org.scholion.core.maths;

import java.util.ArrayList;
import java.util.List;
import java.util.TreeSet;
import org.scholion.core.number.Fraction;

/**
 * A statement as text that is the same for statements that differ only in the order of terms, factors, sides and
 * cases, and in how their numbers are written. Nothing is multiplied out or collected, so that 2x = 4 is not x = 2.
 */
public final class Shape {
    private final Budget budget;

    private Shape(Budget budget) {
        this.budget = budget;
    }

    /** Whether two statements have the same shape; false where that takes too much. */
    public static boolean same(Statement a, Statement b) {
        return same(a, b, Budget.usual());
    }

    /** The same within what is left of a budget. */
    public static boolean same(Statement a, Statement b, Budget budget) {
        try {
            return of(a, budget).equals(of(b, budget));
        } catch (Undecided | StackOverflowError e) {
            return false;
        }
    }

    private static String of(Statement statement, Budget budget) {
        return new Shape(budget).statement(statement);
    }

    private String statement(Statement s) {
        if (s instanceof Statement.Value value) {
            return term(value.term());
        }
        if (s instanceof Statement.And and) {
            return "and" + new TreeSet<>(and.all().stream().map(this::statement).toList());
        }
        if (s instanceof Statement.Or or) {
            TreeSet<String> cases =
                    new TreeSet<>(or.any().stream().map(this::statement).toList());
            return cases.size() == 1 ? cases.first() : "or" + cases;
        }
        Statement.Relation r = (Statement.Relation) s;
        String left = term(r.left());
        String right = term(r.right());
        return left.compareTo(right) <= 0
                ? left + " " + r.sign() + " " + right
                : right + " " + r.sign().turned() + " " + left;
    }

    private String term(Term t) {
        budget.spend(5);
        if (t.variables().findAny().isEmpty()) {
            return number(t);
        }
        if (t instanceof Term.Add) {
            List<Term> terms = new ArrayList<>();
            summands(t, false, terms);
            return sorted("sum", terms.stream().map(this::term).toList());
        }
        if (t instanceof Term.Neg || t instanceof Term.Mul || t instanceof Term.Div) {
            return product(t);
        }
        if (t instanceof Term.Pow pow) {
            return "(" + term(pow.base()) + ")^" + term(pow.exponent());
        }
        return t instanceof Term.Fn fn ? fn.name() + "(" + term(fn.argument()) + ")" : t.shown();
    }

    private String number(Term t) {
        Rational value = new Normal(budget).of(t);
        return value.shown();
    }

    private static void summands(Term t, boolean minus, List<Term> all) {
        if (t instanceof Term.Add add) {
            summands(add.left(), minus, all);
            summands(add.right(), minus, all);
        } else if (t instanceof Term.Neg neg) {
            summands(neg.inner(), !minus, all);
        } else {
            all.add(minus ? new Term.Neg(t) : t);
        }
    }

    /** The numbers of a product become one; the other factors keep their shape. */
    private String product(Term t) {
        List<Term> above = new ArrayList<>();
        List<Term> below = new ArrayList<>();
        boolean minus = factors(t, above, below);
        Rational number = Rational.of(Fraction.of(minus ? -1 : 1));
        List<String> shapes = new ArrayList<>();
        for (Term factor : above) {
            if (factor.variables().findAny().isEmpty()) {
                number = number.times(new Normal(budget).of(factor), budget);
            } else {
                shapes.add(term(factor));
            }
        }
        for (Term factor : below) {
            if (factor.variables().findAny().isEmpty()) {
                number = number.over(new Normal(budget).of(factor), budget);
            } else {
                shapes.add("1/" + term(factor));
            }
        }
        String shown = number.shown();
        if (shown.equals("1") && shapes.size() == 1) {
            return shapes.get(0);
        }
        return (shown.equals("1") ? "" : shown + " ") + sorted("product", shapes);
    }

    private static boolean factors(Term t, List<Term> above, List<Term> below) {
        if (t instanceof Term.Neg neg) {
            return !factors(neg.inner(), above, below);
        }
        if (t instanceof Term.Mul mul) {
            return factors(mul.left(), above, below) ^ factors(mul.right(), above, below);
        }
        if (t instanceof Term.Div div) {
            return factors(div.left(), above, below) ^ factors(div.right(), below, above);
        }
        above.add(t);
        return false;
    }

    private static String sorted(String name, List<String> parts) {
        return name + parts.stream().sorted().toList();
    }
}
