package org.scholion.core.maths;

import java.util.List;
import java.util.function.Function;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.scholion.core.number.Fraction;

/** An expression as it was written, nothing evaluated. */
public sealed interface Term {
    /** What it is directly made of. */
    List<Term> parts();

    /** The same kind of term made of these parts. */
    Term of(List<Term> parts);

    /** As text that reads back to the same term. */
    String shown();

    record Num(Fraction value) implements Term {
        @Override
        public List<Term> parts() {
            return List.of();
        }

        @Override
        public Term of(List<Term> parts) {
            return this;
        }

        @Override
        public String shown() {
            return value.isWhole() ? value.toExact() : value.numerator() + "/" + value.denominator();
        }
    }

    /** A variable, or one of the constants π and e. */
    record Sym(String name) implements Term {
        public boolean isConstant() {
            return name.equals("π") || name.equals("ℯ");
        }

        @Override
        public List<Term> parts() {
            return List.of();
        }

        @Override
        public Term of(List<Term> parts) {
            return this;
        }

        @Override
        public String shown() {
            return name.equals("ℯ") ? "e" : name;
        }
    }

    /** A term of two parts, left and right of a sign. */
    sealed interface Pair extends Term {
        Term left();

        Term right();

        @Override
        default List<Term> parts() {
            return List.of(left(), right());
        }
    }

    record Neg(Term inner) implements Term {
        @Override
        public List<Term> parts() {
            return List.of(inner);
        }

        @Override
        public Term of(List<Term> parts) {
            return new Neg(parts.get(0));
        }

        @Override
        public String shown() {
            return "-" + inside(inner, inner instanceof Add || inner instanceof Neg);
        }
    }

    record Add(Term left, Term right) implements Pair {
        @Override
        public Term of(List<Term> parts) {
            return new Add(parts.get(0), parts.get(1));
        }

        @Override
        public String shown() {
            return right instanceof Neg neg
                    ? left.shown() + " - "
                            + inside(neg.inner(), neg.inner() instanceof Add || neg.inner() instanceof Neg)
                    : left.shown() + " + " + right.shown();
        }
    }

    record Mul(Term left, Term right) implements Pair {
        @Override
        public Term of(List<Term> parts) {
            return new Mul(parts.get(0), parts.get(1));
        }

        @Override
        public String shown() {
            return inside(left, left instanceof Add || left instanceof Neg) + "*"
                    + inside(
                            right,
                            right instanceof Add || right instanceof Neg || right instanceof Div || isBroken(right));
        }
    }

    record Div(Term left, Term right) implements Pair {
        @Override
        public Term of(List<Term> parts) {
            return new Div(parts.get(0), parts.get(1));
        }

        @Override
        public String shown() {
            return inside(left, left instanceof Add || left instanceof Neg) + "/"
                    + inside(right, !(right instanceof Sym || right instanceof Num) || isBroken(right));
        }
    }

    record Pow(Term base, Term exponent) implements Term {
        @Override
        public List<Term> parts() {
            return List.of(base, exponent);
        }

        @Override
        public Term of(List<Term> parts) {
            return new Pow(parts.get(0), parts.get(1));
        }

        @Override
        public String shown() {
            return inside(base, !(base instanceof Sym || base instanceof Num || base instanceof Fn) || isBroken(base))
                    + "^"
                    + inside(exponent, !(exponent instanceof Sym || exponent instanceof Num) || isBroken(exponent));
        }
    }

    /** A function of one argument: sqrt, abs, sin, ln and the like. */
    record Fn(String name, Term argument) implements Term {
        @Override
        public List<Term> parts() {
            return List.of(argument);
        }

        @Override
        public Term of(List<Term> parts) {
            return new Fn(name, parts.get(0));
        }

        @Override
        public String shown() {
            return name + "(" + argument.shown() + ")";
        }
    }

    static Term num(long value) {
        return new Num(Fraction.of(value));
    }

    default Term minus(Term other) {
        return new Add(this, new Neg(other));
    }

    /** This term with parts of it replaced: what a change answers null for is looked into. */
    default Term replaced(Function<Term, @Nullable Term> change) {
        Term changed = change.apply(this);
        return changed == null
                ? of(parts().stream().map(p -> p.replaced(change)).toList())
                : changed;
    }

    /** This term and all below it. */
    default Stream<Term> all() {
        return Stream.concat(Stream.of(this), parts().stream().flatMap(Term::all));
    }

    /** The names of its variables. */
    default Stream<String> variables() {
        return all().filter(t -> t instanceof Sym s && !s.isConstant())
                .map(t -> ((Sym) t).name())
                .distinct();
    }

    private static String inside(Term term, boolean brackets) {
        return brackets ? "(" + term.shown() + ")" : term.shown();
    }

    private static boolean isBroken(Term term) {
        return term instanceof Num n && (!n.value().isWhole() || n.value().signum() < 0);
    }
}
