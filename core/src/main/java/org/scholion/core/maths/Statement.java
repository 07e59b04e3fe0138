package org.scholion.core.maths;

import java.util.List;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** A line of mathematics: an expression, or something that holds or does not. */
public sealed interface Statement {
    /** What has no solution. */
    Statement NONE = new Or(List.of());
    /** What every number solves. */
    Statement ALL = new And(List.of());

    String shown();

    Stream<Term> terms();

    /** An expression by itself. */
    record Value(Term term) implements Statement {
        @Override
        public String shown() {
            return term.shown();
        }

        @Override
        public Stream<Term> terms() {
            return Stream.of(term);
        }
    }

    /** How two sides relate. */
    enum Sign {
        EQUAL("="),
        NOT_EQUAL("≠"),
        LESS("<"),
        AT_MOST("≤"),
        GREATER(">"),
        AT_LEAST("≥");

        private final String shown;

        Sign(String shown) {
            this.shown = shown;
        }

        /** Whether it holds when left less right has this sign. */
        boolean holds(int difference) {
            return switch (this) {
                case EQUAL -> difference == 0;
                case NOT_EQUAL -> difference != 0;
                case LESS -> difference < 0;
                case AT_MOST -> difference <= 0;
                case GREATER -> difference > 0;
                case AT_LEAST -> difference >= 0;
            };
        }

        /** The sign that holds exactly where this one does not. */
        Sign negated() {
            return switch (this) {
                case EQUAL -> NOT_EQUAL;
                case NOT_EQUAL -> EQUAL;
                case LESS -> AT_LEAST;
                case AT_MOST -> GREATER;
                case GREATER -> AT_MOST;
                case AT_LEAST -> LESS;
            };
        }

        /** The sign that holds when the sides are exchanged. */
        Sign turned() {
            return switch (this) {
                case LESS -> GREATER;
                case GREATER -> LESS;
                case AT_MOST -> AT_LEAST;
                case AT_LEAST -> AT_MOST;
                default -> this;
            };
        }
    }

    record Relation(Term left, Sign sign, Term right) implements Statement {
        @Override
        public String shown() {
            return left.shown() + " " + sign.shown + " " + right.shown();
        }

        @Override
        public Stream<Term> terms() {
            return Stream.of(left, right);
        }

        String signShown() {
            return sign.shown;
        }

        Term difference() {
            return left.minus(right);
        }
    }

    /** All of them hold; of none, so an empty one holds always. */
    record And(List<Statement> all) implements Statement {
        public And {
            all = List.copyOf(all);
        }

        @Override
        public String shown() {
            return all.isEmpty()
                    ? "all real numbers"
                    : all.stream().map(Statement::shown).collect(Collectors.joining(" and "));
        }

        @Override
        public Stream<Term> terms() {
            return all.stream().flatMap(Statement::terms);
        }
    }

    /** At least one of them holds; none of none, so an empty one is what has no solution. */
    record Or(List<Statement> any) implements Statement {
        public Or {
            any = List.copyOf(any);
        }

        @Override
        public String shown() {
            return any.isEmpty()
                    ? "no solution"
                    : any.stream().map(Statement::shown).collect(Collectors.joining(" or "));
        }

        @Override
        public Stream<Term> terms() {
            return any.stream().flatMap(Statement::terms);
        }
    }

    /** All relations that it is made of. */
    default Stream<Relation> relations() {
        if (this instanceof And and) {
            return and.all().stream().flatMap(Statement::relations);
        }
        if (this instanceof Or or) {
            return or.any().stream().flatMap(Statement::relations);
        }
        return this instanceof Relation r ? Stream.of(r) : Stream.empty();
    }

    /** Whether it holds, when it is known of each of its relations. */
    default boolean holds(Predicate<Relation> each) {
        if (this instanceof And and) {
            return and.all().stream().allMatch(s -> s.holds(each));
        }
        return this instanceof Or or ? or.any().stream().anyMatch(s -> s.holds(each)) : each.test((Relation) this);
    }

    default Stream<String> variables() {
        return terms().flatMap(Term::variables).distinct();
    }
}
