package org.scholion.core.maths;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.scholion.core.number.Fraction;

/**
 * The line of real numbers, cut at every point where one of several statements of one variable can begin or cease to
 * hold: each statement is true or false on the whole of each cell, so that two have the same solutions exactly when
 * they agree on all cells. For quotients of polynomials and absolute values of them.
 */
final class Cells {
    private static final int MOST_BARS = 3;

    private final String variable;
    private final Budget budget;
    private final List<Root> roots;
    private final Uni polynomial;

    private Cells(String variable, Budget budget, List<Root> roots, Uni polynomial) {
        this.variable = variable;
        this.budget = budget;
        this.roots = roots;
        this.polynomial = polynomial;
    }

    List<Root> roots() {
        return roots;
    }

    /** The polynomial that is 0 at every cut, and nowhere else. */
    Uni polynomial() {
        return polynomial;
    }

    /**
     * The common cells of some statements.
     *
     * @throws Undecided when they are of another kind or too large
     */
    static Cells of(List<Statement> statements, String variable, Budget budget) {
        Cells none = new Cells(variable, budget, List.of(), Uni.constant(Fraction.ONE));
        Uni all = Uni.constant(Fraction.ONE);
        for (Statement statement : statements) {
            if (statement instanceof Statement.Value) {
                throw new Undecided("it is no equation");
            }
            for (Statement.Relation relation : statement.relations().toList()) {
                for (Uni critical : none.critical(relation.difference())) {
                    Uni fresh = critical.squareFree(budget);
                    Uni common = fresh.degree() < 1 ? fresh : fresh.gcd(all, budget);
                    fresh = common.degree() < 1 ? fresh : fresh.divide(common, budget)[0];
                    all = fresh.isZero() ? all : all.times(fresh, budget);
                }
            }
        }
        List<Root> roots = Sturm.of(all, budget).roots();
        for (int i = 1; i < roots.size(); i++) {
            while (roots.get(i - 1).high().compareTo(roots.get(i).low()) >= 0) {
                roots.get(i - 1).halve();
                roots.get(i).halve();
            }
        }
        return new Cells(variable, budget, roots, all);
    }

    /** All polynomials whose roots matter, for every sign that the absolute values can take. */
    private List<Uni> critical(Term term) {
        List<Uni> all = new ArrayList<>();
        Optional<Term.Fn> bars = innermost(term);
        if (bars.isEmpty()) {
            Rational r = new Normal(budget).of(term);
            all.add(Uni.of(r.num(), variable));
            all.add(Uni.of(r.den(), variable));
            domain(term).forEach(d -> all.add(Uni.of(new Normal(budget).of(d).num(), variable)));
            return all;
        }
        if (term.all().filter(Cells::isBars).count() > MOST_BARS) {
            throw new Undecided("it has many absolute values");
        }
        all.addAll(critical(bars.get().argument()));
        all.addAll(critical(replaced(term, bars.get(), bars.get().argument())));
        all.addAll(critical(replaced(term, bars.get(), new Term.Neg(bars.get().argument()))));
        return all;
    }

    private static boolean isBars(Term term) {
        return term instanceof Term.Fn fn && fn.name().equals("abs");
    }

    private static Optional<Term.Fn> innermost(Term term) {
        return term.all()
                .filter(Cells::isBars)
                .map(t -> (Term.Fn) t)
                .filter(fn -> fn.argument().all().noneMatch(Cells::isBars))
                .findFirst();
    }

    static Term replaced(Term in, Term what, Term by) {
        return in.replaced(t -> t.equals(what) ? by : null);
    }

    /** What must not be 0 for a term to be defined. */
    private static List<Term> domain(Term term) {
        List<Term> all = new ArrayList<>();
        term.all().forEach(t -> {
            if (t instanceof Term.Div div) {
                all.add(div.right());
            } else if (t instanceof Term.Pow pow && pow.exponent().all().anyMatch(e -> e instanceof Term.Neg)) {
                all.add(pow.base());
            }
        });
        return all;
    }

    int count() {
        return 2 * roots.size() + 1;
    }

    /** Whether the statement holds on a cell; the odd ones are single points. */
    boolean holds(Statement statement, int cell) {
        return statement.holds(relation -> holdsOn(relation, cell));
    }

    private boolean holdsOn(Statement.Relation relation, int cell) {
        budget.spend(20);
        Optional<Integer> sign = cell % 2 == 0
                ? Exact.at(relation.difference(), between(cell / 2)).map(Fraction::signum)
                : signAt(relation.difference(), roots.get(cell / 2));
        return sign.isPresent() && relation.sign().holds(sign.get());
    }

    private Fraction between(int i) {
        if (roots.isEmpty()) {
            return Fraction.ZERO;
        }
        if (i == 0) {
            return roots.get(0).low().minus(Fraction.ONE);
        }
        return i == roots.size()
                ? roots.get(i - 1).high().plus(Fraction.ONE)
                : roots.get(i - 1).high().plus(roots.get(i).low()).over(2);
    }

    private Optional<Integer> signAt(Term term, Root root) {
        if (root.isRational()) {
            return Exact.at(term, root.low()).map(Fraction::signum);
        }
        Term plain = term;
        for (Optional<Term.Fn> bars = innermost(plain); bars.isPresent(); bars = innermost(plain)) {
            Optional<Integer> inside = signAt(bars.get().argument(), root);
            if (inside.isEmpty()) {
                return Optional.empty();
            }
            Term argument = bars.get().argument();
            plain = replaced(plain, bars.get(), inside.get() < 0 ? new Term.Neg(argument) : argument);
        }
        Normal normal = new Normal(budget);
        for (Term d : domain(plain)) {
            if (root.signOf(Uni.of(normal.of(d).num(), variable)) == 0) {
                return Optional.empty();
            }
        }
        Rational r = normal.of(plain);
        return Optional.of(root.signOf(Uni.of(r.num(), variable)) * root.signOf(Uni.of(r.den(), variable)));
    }

    /** The single points where one statement holds and the other does not. */
    List<String> pointsOnlyIn(Statement one, Statement other) {
        List<String> points = new ArrayList<>();
        for (int i = 0; i < roots.size(); i++) {
            if (holds(one, 2 * i + 1) && !holds(other, 2 * i + 1)) {
                points.add(roots.get(i).shown());
            }
        }
        return points;
    }

    /** The solutions, where they are single points; empty when there are whole intervals of them. */
    Optional<List<Root>> points(Statement statement) {
        List<Root> points = new ArrayList<>();
        for (int cell = 0; cell < count(); cell++) {
            if (holds(statement, cell)) {
                if (cell % 2 == 0) {
                    return Optional.empty();
                }
                points.add(roots.get(cell / 2));
            }
        }
        return Optional.of(points);
    }

    String shown(int cell) {
        return cell % 2 == 1 ? roots.get(cell / 2).shown() : between(cell / 2).toExact();
    }
}
