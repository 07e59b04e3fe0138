package org.scholion.core.maths;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import org.scholion.core.maths.Statement.Relation;
import org.scholion.core.maths.Statement.Value;
import org.scholion.core.number.Fraction;

/**
 * Finds the one change after which a wrong line would follow: a sign, a term that is left out or not multiplied, a
 * number. Of several the first in this order is told.
 */
final class Repairs {
    private static final int MOST = 24;

    private final Statement before;
    private final Statement line;
    private final Budget budget;
    private final Edge edge;
    private final Edge edgeOfLine;

    private Repairs(Statement before, Statement line, Budget budget) {
        this.before = before;
        this.line = line;
        this.budget = budget;
        this.edge = Edge.of(before, budget);
        this.edgeOfLine = Edge.of(line, budget);
    }

    static Optional<String> of(Statement before, Statement line, Budget budget) {
        boolean alike = before instanceof Value == line instanceof Value;
        boolean single = (before instanceof Value || before instanceof Relation)
                && (line instanceof Value || line instanceof Relation);
        if (!alike || !single) {
            return Optional.empty();
        }
        Repairs repairs = new Repairs(before, line, budget);
        return repairs.sign()
                .or(repairs::notMultiplied)
                .or(repairs::notOnBothSides)
                .or(repairs::dropped)
                .or(() -> repairs.number(false))
                .or(() -> repairs.number(true));
    }

    /** Whether a line in place of the wrong one would follow. */
    private boolean follows(Statement other) {
        return edge.allows(other) && Solutions.of(before, other, budget).isSame();
    }

    /** The line with one of its sides, or its only one, replaced in every way given. */
    private List<Statement> withSides(java.util.function.Function<Term, List<Term>> variants) {
        List<Statement> all = new ArrayList<>();
        if (line instanceof Value v) {
            variants.apply(v.term()).forEach(t -> all.add(new Value(t)));
        } else if (line instanceof Relation r) {
            variants.apply(r.left()).forEach(t -> all.add(new Relation(t, r.sign(), r.right())));
            variants.apply(r.right()).forEach(t -> all.add(new Relation(r.left(), r.sign(), t)));
        }
        return all.size() > MOST ? all.subList(0, MOST) : all;
    }

    private Optional<String> sign() {
        return withSides(Repairs::withOneSignChanged).stream()
                .filter(this::follows)
                .findFirst()
                .map(t -> "a sign has changed: right would be " + t.shown());
    }

    private static List<Term> withOneSignChanged(Term term) {
        List<Term> all = new ArrayList<>();
        if (term instanceof Term.Add add) {
            withOneSignChanged(add.left()).forEach(t -> all.add(new Term.Add(t, add.right())));
            withOneSignChanged(add.right()).forEach(t -> all.add(new Term.Add(add.left(), t)));
            return all;
        }
        all.add(term instanceof Term.Neg neg ? neg.inner() : new Term.Neg(term));
        return all;
    }

    /** a(b + c) in the line before, of which one part was multiplied and the other was not. */
    private Optional<String> notMultiplied() {
        for (Term product : before.terms().flatMap(Term::all).toList()) {
            if (product instanceof Term.Mul mul) {
                Optional<String> found = mul.right() instanceof Term.Add sum
                        ? notMultiplied(product, mul.left(), sum)
                        : mul.left() instanceof Term.Add sum
                                ? notMultiplied(product, mul.right(), sum)
                                : Optional.empty();
                if (found.isPresent()) {
                    return found;
                }
            }
        }
        return Optional.empty();
    }

    private Optional<String> notMultiplied(Term product, Term factor, Term.Add sum) {
        List<Term> parts = summands(sum);
        for (Term left : parts.size() > 4 ? List.<Term>of() : parts) {
            Term wrong = Term.num(0);
            for (Term part : parts) {
                wrong = new Term.Add(wrong, part == left ? part : new Term.Mul(factor, part));
            }
            if (isLine(product, wrong)) {
                return Optional.of(left.shown() + " is not multiplied by " + factor.shown());
            }
        }
        return Optional.empty();
    }

    /** Whether the line is the one before with a part of it replaced. */
    private boolean isLine(Term what, Term by) {
        return Solutions.of(replaced(before, t -> Cells.replaced(t, what, by)), line, budget)
                .isSame();
    }

    private boolean isSame(Statement other) {
        return edgeOfLine.allows(other) && Solutions.of(other, line, budget).isSame();
    }

    private static Statement replaced(Statement s, UnaryOperator<Term> change) {
        if (s instanceof Value v) {
            return new Value(change.apply(v.term()));
        }
        if (s instanceof Relation r) {
            return new Relation(change.apply(r.left()), r.sign(), change.apply(r.right()));
        }
        throw new Undecided("several statements");
    }

    /** A term of the line before is missing on one side. */
    private Optional<String> dropped() {
        List<Term> terms = new ArrayList<>();
        before.terms().forEach(t -> terms.addAll(summands(t)));
        for (Term term : terms.size() > 6 ? terms.subList(0, 6) : terms) {
            boolean found = terms.size() > 1
                    && withSides(side -> List.of(new Term.Add(side, term), side.minus(term))).stream()
                            .anyMatch(this::follows);
            if (found) {
                return Optional.of("a term is left out: " + term.shown());
            }
        }
        return Optional.empty();
    }

    private static List<Term> summands(Term t) {
        if (t instanceof Term.Add add) {
            List<Term> all = new ArrayList<>(summands(add.left()));
            all.addAll(summands(add.right()));
            return all;
        }
        return List.of(t);
    }

    /** A number that would have to be another one; with the two it comes from, where there are such. */
    private Optional<String> number(boolean coefficients) {
        List<Fraction> sources = new ArrayList<>();
        before.terms().flatMap(Term::all).forEach(t -> {
            if (t instanceof Term.Num n && !sources.contains(n.value())) {
                sources.add(n.value());
            }
        });
        Optional<String> plain = Optional.empty();
        for (Statement variant : withSides(side -> withUnknown(side, coefficients))) {
            Optional<Fraction> right = RightNumber.of(before, edge, variant, budget);
            if (right.isEmpty()) {
                continue;
            }
            Fraction wrong = written(variant);
            Optional<String> reckoned = Reckoned.of(sources, right.get(), wrong);
            if (reckoned.isPresent()) {
                return reckoned;
            }
            plain = plain.isPresent()
                    ? plain
                    : Optional.of(
                            wrong.toReadable() + " should be " + right.get().toReadable());
        }
        return plain;
    }

    static final String UNKNOWN = "□";

    /** The term with one of its numbers unknown, each in its turn; those that multiply a letter only where asked. */
    private static List<Term> withUnknown(Term term, boolean coefficients) {
        List<Term> all = new ArrayList<>();
        if (term instanceof Term.Num n) {
            all.add(new Term.Fn(UNKNOWN, n));
            return all;
        }
        if (!coefficients && !(term instanceof Term.Add || term instanceof Term.Neg)) {
            return all;
        }
        if (term instanceof Term.Sym sym && !sym.isConstant()) {
            all.add(new Term.Mul(new Term.Fn(UNKNOWN, Term.num(1)), term));
            return all;
        }
        List<Term> parts = term.parts();
        for (int i = 0; i < parts.size() && !(term instanceof Term.Pow && i == 1); i++) {
            boolean coefficient = term instanceof Term.Mul && parts.stream().anyMatch(p -> p instanceof Term.Num);
            if (coefficient && !(parts.get(i) instanceof Term.Num)) {
                continue;
            }
            for (Term part : withUnknown(parts.get(i), coefficients)) {
                List<Term> changed = new ArrayList<>(parts);
                changed.set(i, part);
                all.add(term.of(changed));
            }
        }
        return all;
    }

    private static Fraction written(Statement variant) {
        return variant.terms()
                .flatMap(Term::all)
                .filter(t -> t instanceof Term.Fn fn && fn.name().equals(UNKNOWN))
                .map(t -> ((Term.Num) ((Term.Fn) t).argument()).value())
                .findFirst()
                .orElse(Fraction.ONE);
    }

    /** A whole side was divided or multiplied, and one of its terms was not. */
    private Optional<String> notOnBothSides() {
        if (!(before instanceof Relation b)) {
            return Optional.empty();
        }
        List<Term> terms = new ArrayList<>(summands(b.left()));
        terms.addAll(summands(b.right()));
        List<Term> factors = new ArrayList<>();
        b.terms().flatMap(Term::all).forEach(t -> {
            if (t instanceof Term.Div div && div.right() instanceof Term.Num) {
                factors.add(div.right());
            } else if (t instanceof Term.Mul mul
                    && mul.left() instanceof Term.Num n
                    && !n.value().isZero()) {
                factors.add(new Term.Div(Term.num(1), n));
            }
        });
        for (Term factor : factors.size() > 3 ? factors.subList(0, 3) : factors) {
            for (Term kept : terms.size() > 5 ? List.<Term>of() : terms) {
                Relation wrong =
                        new Relation(multiplied(b.left(), factor, kept), b.sign(), multiplied(b.right(), factor, kept));
                if (isSame(wrong)) {
                    boolean by = factor instanceof Term.Num;
                    return Optional.of(kept.shown() + " is not " + (by ? "multiplied by " : "divided by ")
                            + (by ? factor : ((Term.Div) factor).right()).shown());
                }
            }
        }
        return Optional.empty();
    }

    private static Term multiplied(Term side, Term factor, Term kept) {
        Term sum = Term.num(0);
        for (Term part : summands(side)) {
            sum = new Term.Add(sum, part == kept ? part : new Term.Mul(factor, part));
        }
        return sum;
    }
}
