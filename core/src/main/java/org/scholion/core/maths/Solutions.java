package org.scholion.core.maths;

import java.math.BigDecimal;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import org.jspecify.annotations.Nullable;
import org.scholion.core.number.Fraction;

/** Whether two statements have the same solutions. */
public final class Solutions {
    private static final int TRIES = 40;
    private static final int ENOUGH = 8;

    /** So narrow an interval tells a root apart from its neighbours in all digits that are compared. */
    private static final Fraction FINE = Fraction.of(java.math.BigInteger.ONE, java.math.BigInteger.TEN.pow(45));

    private Solutions() {}

    public static Verdict of(Statement a, Statement b) {
        try {
            return decided(a, b, Budget.usual());
        } catch (Undecided e) {
            return Verdict.undecided(String.valueOf(e.getMessage()));
        } catch (StackOverflowError e) {
            return Verdict.undecided("it has too many brackets inside brackets");
        }
    }

    private static Verdict decided(Statement a, Statement b, Budget budget) {
        if (a instanceof Statement.Value left && b instanceof Statement.Value right) {
            return Equality.of(left.term(), right.term());
        }
        if (a instanceof Statement.Value || b instanceof Statement.Value) {
            return Verdict.DIFFERENT;
        }
        Set<String> variables = new TreeSet<>();
        a.variables().forEach(variables::add);
        b.variables().forEach(variables::add);
        if (variables.size() <= 1 && isRational(a) && isRational(b)) {
            return byCells(
                    a, b, variables.isEmpty() ? "x" : variables.iterator().next(), budget);
        }
        Optional<Verdict> alike = rearranged(a, b, variables, budget);
        if (alike.isPresent()) {
            return alike.get();
        }
        if (variables.size() == 1) {
            String variable = variables.iterator().next();
            if (isRational(b)) {
                return byPoints(b, a, variable, budget, false);
            }
            if (isRational(a)) {
                return byPoints(a, b, variable, budget, true);
            }
        }
        return Verdict.undecided("statements of this kind are not compared");
    }

    /** Made of numbers, variables, the four operations, whole powers and absolute values. */
    private static boolean isRational(Statement s) {
        return s.terms().flatMap(Term::all).allMatch(t -> {
            if (t instanceof Term.Sym sym) {
                return !sym.isConstant();
            }
            if (t instanceof Term.Pow pow) {
                return Exact.at(pow.exponent(), Fraction.ZERO)
                                .filter(Fraction::isWhole)
                                .isPresent()
                        && pow.exponent().variables().findAny().isEmpty();
            }
            return !(t instanceof Term.Fn fn) || fn.name().equals("abs");
        });
    }

    private static Verdict byCells(Statement a, Statement b, String variable, Budget budget) {
        Cells cells = Cells.of(List.of(a, b), variable, budget);
        for (int cell = 0; cell < cells.count(); cell++) {
            boolean first = cells.holds(a, cell);
            if (first != cells.holds(b, cell)) {
                return Verdict.different(
                        variable + " = " + cells.shown(cell),
                        first ? "a solution" : "no solution",
                        first ? "no solution" : "a solution");
            }
        }
        return Verdict.SAME;
    }

    /** Two relations whose differences are multiples of one another; or one of them solved for a variable. */
    private static Optional<Verdict> rearranged(Statement a, Statement b, Set<String> variables, Budget budget) {
        if (!(a instanceof Statement.Relation left) || !(b instanceof Statement.Relation right)) {
            return Optional.empty();
        }
        int factor = factorSign(left.difference(), right.difference(), variables, budget);
        boolean same = factor > 0 && left.sign() == right.sign()
                || factor < 0 && left.sign().turned() == right.sign();
        if (same) {
            return Optional.of(Verdict.SAME);
        }
        boolean equations = left.sign() == Statement.Sign.EQUAL && right.sign() == Statement.Sign.EQUAL;
        return equations && variables.size() > 1 ? bySolving(left, right, variables, budget) : Optional.empty();
    }

    /** The sign of the constant by which one is the other, as many points show it; 0 when there is none. */
    private static int factorSign(Term f, Term g, Set<String> variables, Budget budget) {
        BigDecimal ratio = null;
        int agreed = 0;
        for (int i = 0; i < TRIES && agreed < 2 * ENOUGH; i++) {
            Map<String, BigDecimal> point = Equality.numbers(Equality.point(variables, i + 4));
            Optional<BigDecimal> u = Numeric.of(f, point, budget);
            Optional<BigDecimal> v = Numeric.of(g, point, budget);
            if (u.isEmpty() && v.isEmpty()) {
                continue;
            }
            if (u.isEmpty() || v.isEmpty() || Numeric.sign(u.get()) == 0 || Numeric.sign(v.get()) == 0) {
                return 0;
            }
            BigDecimal now = u.get().divide(v.get(), Numeric.DIGITS);
            if (ratio != null && !Numeric.agree(ratio, now)) {
                return 0;
            }
            ratio = now;
            agreed++;
        }
        return ratio == null || agreed < ENOUGH ? 0 : ratio.signum();
    }

    /** A variable that stands linearly in both: wherever one equation gives it, the other must give the same. */
    private static Optional<Verdict> bySolving(
            Statement.Relation a, Statement.Relation b, Set<String> variables, Budget budget) {
        for (String variable : variables) {
            int agreed = 0;
            for (int i = 0; i < TRIES && agreed < ENOUGH; i++) {
                Map<String, Fraction> point = Equality.point(variables, i + 4);
                BigDecimal first = solved(a.difference(), variable, point, budget);
                BigDecimal second = solved(b.difference(), variable, point, budget);
                if (first == null || second == null) {
                    continue;
                }
                if (!Numeric.agree(first, second)) {
                    return Optional.of(Verdict.DIFFERENT);
                }
                agreed++;
            }
            if (agreed >= ENOUGH) {
                return Optional.of(Verdict.SAME);
            }
        }
        return Optional.empty();
    }

    /** The value that makes a term 0 in which the variable is linear; null when it is not, or there is none. */
    private static @Nullable BigDecimal solved(Term term, String variable, Map<String, Fraction> point, Budget budget) {
        Map<String, BigDecimal> at = new HashMap<>(Equality.numbers(point));
        BigDecimal[] values = new BigDecimal[3];
        for (int i = 0; i < 3; i++) {
            at.put(variable, BigDecimal.valueOf(i + 1L));
            Optional<BigDecimal> value = Numeric.of(term, at, budget);
            if (value.isEmpty()) {
                return null;
            }
            values[i] = value.get();
        }
        BigDecimal slope = values[1].subtract(values[0]);
        if (Numeric.sign(slope) == 0 || !Numeric.agree(values[2].subtract(values[1]), slope)) {
            return null;
        }
        return BigDecimal.ONE.subtract(values[0].divide(slope, Numeric.DIGITS));
    }

    /** One statement has exact single solutions: they are tried in the other, which must have no more near them. */
    private static Verdict byPoints(
            Statement exact, Statement other, String variable, Budget budget, boolean exactFirst) {
        Cells cells = Cells.of(List.of(exact), variable, budget);
        List<Root> points =
                cells.points(exact).orElseThrow(() -> new Undecided("inequalities of this kind are not compared"));
        List<BigDecimal> known = points.stream().map(Solutions::middle).toList();
        for (int i = 0; i < points.size(); i++) {
            Root point = points.get(i);
            if (!holdsAt(other, variable, known.get(i), budget)) {
                return Verdict.different(
                        variable + " = " + point.shown(),
                        exactFirst ? "a solution" : "no solution",
                        exactFirst ? "no solution" : "a solution");
            }
        }
        List<Statement.Relation> equations = equations(other);
        return equations.stream().anyMatch(e -> hasOthers(e, variable, known, budget))
                ? Verdict.different(
                        "another " + variable,
                        exactFirst ? "no solution" : "a solution",
                        exactFirst ? "a solution" : "no solution")
                : Verdict.SAME;
    }

    /** An equation, or several of which one has to hold. */
    private static List<Statement.Relation> equations(Statement statement) {
        List<Statement> all = statement instanceof Statement.Or or ? or.any() : List.of(statement);
        return all.stream()
                .map(s -> {
                    if (s instanceof Statement.Relation r && r.sign() == Statement.Sign.EQUAL) {
                        return r;
                    }
                    throw new Undecided("statements of this kind are not compared");
                })
                .toList();
    }

    private static BigDecimal middle(Root root) {
        while (root.high().minus(root.low()).compareTo(FINE) > 0) {
            root.halve();
        }
        return Numeric.of(root.low().plus(root.high()).over(2));
    }

    private static boolean holdsAt(Statement statement, String variable, BigDecimal x, Budget budget) {
        if (statement instanceof Statement.And and) {
            return and.all().stream().allMatch(s -> holdsAt(s, variable, x, budget));
        }
        if (statement instanceof Statement.Or or) {
            return or.any().stream().anyMatch(s -> holdsAt(s, variable, x, budget));
        }
        Statement.Relation relation = (Statement.Relation) statement;
        return Numeric.of(relation.difference(), Map.of(variable, x), budget)
                .filter(d -> relation.sign().holds(Numeric.sign(d)))
                .isPresent();
    }

    /** Whether it changes its sign where no known solution lies, looking from -60 to 60. */
    private static boolean hasOthers(
            Statement.Relation relation, String variable, List<BigDecimal> known, Budget budget) {
        BigDecimal step = new BigDecimal("0.37");
        BigDecimal x = new BigDecimal("-60.005");
        int before = 0;
        for (int i = 0; i < 325; i++, x = x.add(step)) {
            BigDecimal to = x;
            int sign = Numeric.of(relation.difference(), Map.of(variable, x), budget)
                    .map(Numeric::sign)
                    .orElse(0);
            boolean isKnown = known.stream().anyMatch(k -> k.compareTo(to) <= 0 && k.compareTo(to.subtract(step)) >= 0);
            if (sign != 0
                    && before != 0
                    && sign != before
                    && !isKnown
                    && isRoot(relation, variable, x.subtract(step), x, budget)) {
                return true;
            }
            before = sign;
        }
        return false;
    }

    /** A change of sign is a solution when the values come near 0 there, and not when they grow beyond all bounds. */
    private static boolean isRoot(
            Statement.Relation relation, String variable, BigDecimal from, BigDecimal to, Budget budget) {
        BigDecimal low = from;
        BigDecimal high = to;
        int below = Numeric.of(relation.difference(), Map.of(variable, low), budget)
                .map(Numeric::sign)
                .orElse(0);
        BigDecimal value = BigDecimal.ONE;
        for (int i = 0; i < 40; i++) {
            BigDecimal middle = low.add(high).divide(BigDecimal.valueOf(2), Numeric.DIGITS);
            Optional<BigDecimal> here = Numeric.of(relation.difference(), Map.of(variable, middle), budget);
            if (here.isEmpty()) {
                return false;
            }
            value = here.get();
            if (Numeric.sign(value) == below) {
                low = middle;
            } else {
                high = middle;
            }
        }
        return value.abs().compareTo(new BigDecimal("1e-6")) < 0;
    }
}
