package org.scholion.core.maths;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import org.jspecify.annotations.Nullable;
import org.scholion.core.maths.Statement.Relation;
import org.scholion.core.maths.Statement.Sign;

/** Statements in several letters: solved for the same one, equations that are multiples, linear systems. */
final class Letters {
    private final Budget budget;

    private Letters(Budget budget) {
        this.budget = budget;
    }

    static Verdict compare(Statement a, Statement b, Budget budget) {
        Letters letters = new Letters(budget);
        return letters.solvedForTheSame(a, b)
                .or(() -> letters.relations(a, b))
                .or(() -> LinearSystem.compare(a, b, budget))
                .or(() -> letters.solutionsOf(a, b))
                .or(() -> letters.solutionsOf(b, a))
                .orElseThrow(() -> new Undecided("statements of this kind are not compared"));
    }

    /** Each case gives the same letters their values: every case of one must be one of the other. */
    private Optional<Verdict> solvedForTheSame(Statement a, Statement b) {
        List<Map<String, Term>> first = cases(a);
        List<Map<String, Term>> second = cases(b);
        if (first.isEmpty() || second.isEmpty()) {
            return Optional.empty();
        }
        boolean sameLetters = first.stream()
                        .allMatch(c -> c.keySet().equals(second.get(0).keySet()))
                && second.stream().allMatch(c -> c.keySet().equals(first.get(0).keySet()));
        if (!sameLetters) {
            return Optional.empty();
        }
        return Optional.of(among(first, second) && among(second, first) ? Verdict.SAME : Verdict.DIFFERENT);
    }

    private boolean among(List<Map<String, Term>> these, List<Map<String, Term>> those) {
        for (Map<String, Term> one : these) {
            boolean found = false;
            boolean open = false;
            for (Map<String, Term> other : those) {
                Verdict verdict = same(one, other);
                found |= verdict.isSame();
                open |= verdict.isUndecided();
            }
            if (!found && open) {
                throw new Undecided("two solutions are not told apart");
            }
            if (!found) {
                return false;
            }
        }
        return true;
    }

    private Verdict same(Map<String, Term> one, Map<String, Term> other) {
        Verdict all = Verdict.SAME;
        for (Map.Entry<String, Term> letter : one.entrySet()) {
            Term with = other.getOrDefault(letter.getKey(), letter.getValue());
            Verdict verdict = Equality.of(letter.getValue(), with, budget);
            if (verdict.kind() == Verdict.Kind.DIFFERENT) {
                return verdict;
            }
            all = verdict.isUndecided() ? verdict : all;
        }
        return all;
    }

    /** The cases of a solved statement, each with the values of its letters; none when it is not solved. */
    private static List<Map<String, Term>> cases(Statement s) {
        List<Statement> any = s instanceof Statement.Or or ? or.any() : List.of(s);
        List<Map<String, Term>> cases = new ArrayList<>();
        for (Statement one : any) {
            Map<String, Term> values = new LinkedHashMap<>();
            List<Statement> all = one instanceof Statement.And and ? and.all() : List.of(one);
            for (Statement part : all) {
                Map.Entry<String, Term> given = given(part);
                if (given == null || values.put(given.getKey(), given.getValue()) != null) {
                    return List.of();
                }
            }
            boolean circular = values.values().stream().flatMap(Term::variables).anyMatch(values::containsKey);
            if (circular) {
                return List.of();
            }
            cases.add(values);
        }
        return cases;
    }

    private static Map.@Nullable Entry<String, Term> given(Statement s) {
        if (!(s instanceof Relation r) || r.sign() != Sign.EQUAL) {
            return null;
        }
        if (r.left() instanceof Term.Sym sym && !sym.isConstant()) {
            return Map.entry(sym.name(), r.right());
        }
        return r.right() instanceof Term.Sym sym && !sym.isConstant() ? Map.entry(sym.name(), r.left()) : null;
    }

    private Optional<Verdict> relations(Statement a, Statement b) {
        if (!(a instanceof Relation left) || !(b instanceof Relation right)) {
            return Optional.empty();
        }
        if (Rearranged.areMultiples(left, right, budget)) {
            return Optional.of(Verdict.SAME);
        }
        if (left.sign() != Sign.EQUAL || right.sign() != Sign.EQUAL) {
            return Optional.empty();
        }
        return linear(left, right).or(() -> onePolynomial(left, right));
    }

    /** A letter that stands linearly in both: where one equation gives it, the other must give the same. */
    private Optional<Verdict> linear(Relation a, Relation b) {
        TreeSet<String> letters = new TreeSet<>();
        a.variables().forEach(letters::add);
        b.variables().forEach(letters::add);
        for (String letter : letters) {
            Term first = solvedFor(a, letter);
            Term second = solvedFor(b, letter);
            if (first != null && second != null) {
                Verdict verdict = Equality.of(first, second, budget);
                return verdict.isUndecided()
                        ? Optional.empty()
                        : Optional.of(verdict.isSame() ? verdict : Verdict.DIFFERENT);
            }
        }
        return Optional.empty();
    }

    /** What an equation gives for a letter that it holds linearly: −f(0) / (f(1) − f(0)); null where it does not. */
    private @Nullable Term solvedFor(Relation r, String letter) {
        Term f = r.difference();
        Term at0 = Substituted.put(f, letter, Term.num(0));
        Term slope = Substituted.put(f, letter, Term.num(1)).minus(at0);
        Term again = Substituted.put(f, letter, Term.num(3)).minus(Substituted.put(f, letter, Term.num(2)));
        Term far = Substituted.put(f, letter, Term.num(-5)).minus(Substituted.put(f, letter, Term.num(-6)));
        boolean linear = Equality.of(slope, again, budget).isSame()
                && Equality.of(slope, far, budget).isSame()
                && !Equality.of(slope, Term.num(0), budget).isSame();
        boolean bends = f.all()
                .anyMatch(t ->
                        t instanceof Term.Fn fn && fn.argument().variables().anyMatch(letter::equals));
        return linear && !bends ? new Term.Div(new Term.Neg(at0), slope) : null;
    }

    /** Polynomials that are multiples of one another; that others differ is told only by a point. */
    private Optional<Verdict> onePolynomial(Relation a, Relation b) {
        Rational left = new Normal(budget).of(a.difference());
        Rational right = new Normal(budget).of(b.difference());
        boolean same = left.isPlain()
                && right.isPlain()
                && !left.num().multipleOf(right.num()).isZero();
        return same ? Optional.of(Verdict.SAME) : Optional.empty();
    }

    /** One names as many solutions for a letter as the polynomial of the other has in it, and each of them holds. */
    private Optional<Verdict> solutionsOf(Statement solved, Statement equation) {
        List<Map<String, Term>> cases = cases(solved);
        if (cases.isEmpty() || cases.get(0).size() != 1 || !Rearranged.isEquation(equation)) {
            return Optional.empty();
        }
        String letter = cases.get(0).keySet().iterator().next();
        Term f = ((Relation) equation).difference();
        List<Term> distinct = new ArrayList<>();
        for (Map<String, Term> one : cases) {
            Term value = one.get(letter);
            if (value == null) {
                return Optional.empty();
            }
            Verdict zero = Equality.of(Substituted.put(f, letter, value), Term.num(0), budget);
            if (zero.kind() == Verdict.Kind.DIFFERENT) {
                return Optional.of(Verdict.DIFFERENT);
            }
            if (zero.isUndecided()) {
                return Optional.empty();
            }
            if (distinct.stream().allMatch(d -> Equality.of(d, value, budget).kind() == Verdict.Kind.DIFFERENT)) {
                distinct.add(value);
            }
        }
        Rational r = new Normal(budget).of(f);
        boolean all = r.isPlain() && r.num().degree(letter) == distinct.size();
        return all && isFree(r, letter) ? Optional.of(Verdict.SAME) : Optional.empty();
    }

    /** The highest coefficient of the letter is a number, so that there are never more solutions. */
    private static boolean isFree(Rational r, String letter) {
        int degree = r.num().degree(letter);
        Set<Monomial> highest = new TreeSet<>();
        r.num().terms().keySet().stream().filter(m -> m.power(letter) == degree).forEach(highest::add);
        return degree == 1 || highest.stream().allMatch(m -> m.degree() == degree);
    }
}
