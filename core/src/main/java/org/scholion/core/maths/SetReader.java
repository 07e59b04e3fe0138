package org.scholion.core.maths;

import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.scholion.core.maths.Statement.Relation;
import org.scholion.core.maths.Statement.Sign;

/** Reads {2; 3}, (2; 5], ]2; 5], ℝ, ∅, ℝ \ {2}, pairs and {x | x > 2}. */
final class SetReader {
    private final TermReader terms;
    private final Solved solved;
    private final StatementReader statements;

    SetReader(TermReader terms, Solved solved, StatementReader statements) {
        this.terms = terms;
        this.solved = solved;
        this.statements = statements;
    }

    boolean beginsSet() {
        Token t = terms.peek();
        return t.is("{") || t.is("∅") || isReals(t) || t.is("]");
    }

    private boolean isReals(Token t) {
        boolean named = t.kind() == Token.Kind.NAME
                && t.text().equals("R")
                && !terms.names().isDeclared("R");
        return t.is("ℝ")
                || named
                        && (terms.peek(1).kind() == Token.Kind.END
                                || terms.peek(1).kind() == Token.Kind.SIGN);
    }

    /** A set of the variable that is looked for, or a pair of the two; null when what comes is neither. */
    @Nullable
    Statement standingAlone() throws Unreadable {
        Token t = terms.peek();
        if (t.is("{")) {
            return bracesOrBack();
        }
        if (t.is("∅") || t.is("ℝ")) {
            return members(solved.subject());
        }
        if (!t.is("(") && !t.is("[") && !t.is("]")) {
            return null;
        }
        int mark = terms.mark();
        Statement pair = t.is("(") ? pair() : null;
        if (pair != null) {
            return pair;
        }
        terms.back(mark);
        Statement interval = interval(solved.subject());
        if (interval == null) {
            terms.back(mark);
        }
        return interval;
    }

    /** {2; 3} is a set; braces that only hold a term together, as a maths keyboard writes them, are none. */
    private @Nullable Statement bracesOrBack() throws Unreadable {
        int mark = terms.mark();
        try {
            Statement set = members(solved.subject());
            boolean group = set instanceof Relation r
                    && r.sign() == Sign.EQUAL
                    && r.left().equals(solved.subject())
                    && r.right().variables().findAny().isPresent();
            if (!group && endsStatement()) {
                return set;
            }
        } catch (Unreadable e) {
            if (e.why().startsWith("a list of values")) {
                throw e;
            }
        }
        terms.back(mark);
        return null;
    }

    private boolean endsStatement() {
        Token t = terms.peek();
        return t.kind() == Token.Kind.END
                || List.of("or", "and", "∪", "∩", ",", ";", "\n", "⇒").stream().anyMatch(t::is);
    }

    /** What comes behind ∈. */
    Statement members(Term of) throws Unreadable {
        Statement set = one(of);
        boolean behind =
                terms.peek().is("{") || terms.peek().is("[") || terms.peek().is("(");
        if (terms.accept("\\") || set.equals(Statement.ALL) && behind) {
            return without(set, of);
        }
        return set;
    }

    private Statement one(Term of) throws Unreadable {
        if (terms.accept("∅")) {
            return Statement.NONE;
        }
        if (isReals(terms.peek())) {
            terms.next();
            return Statement.ALL;
        }
        if (terms.accept("{")) {
            return braces(of);
        }
        Statement interval = interval(of);
        if (interval == null) {
            throw terms.unexpected("a set is missing");
        }
        return interval;
    }

    private Statement without(Statement set, Term of) throws Unreadable {
        Statement rest = negated(one(of));
        return set.equals(Statement.ALL) ? rest : new Statement.And(List.of(set, rest));
    }

    private static Statement negated(Statement s) {
        if (s instanceof Relation r) {
            return new Relation(r.left(), r.sign().negated(), r.right());
        }
        return s instanceof Statement.And and
                ? new Statement.Or(and.all().stream().map(SetReader::negated).toList())
                : new Statement.And(((Statement.Or) s)
                        .any().stream().map(SetReader::negated).toList());
    }

    private Statement braces(Term of) throws Unreadable {
        boolean built = terms.peek().kind() == Token.Kind.NAME
                && (terms.peek(1).is("|")
                        || terms.peek(1).is("/")
                        || terms.peek(1).is("∈"));
        if (built) {
            return built();
        }
        List<Statement> any = new ArrayList<>();
        while (!terms.accept("}")) {
            Statement pair = terms.peek().is("(") ? pairOrBack() : null;
            any.add(pair == null ? new Relation(of, Sign.EQUAL, terms.sum()) : pair);
            if (!terms.peek().is("}") && !terms.accept(",") && !terms.accept(";")) {
                throw terms.unexpected("a list of values is not closed");
            }
        }
        return any.size() == 1 ? any.get(0) : new Statement.Or(any);
    }

    /** {x | x > 2}, {x : x > 2}, {x ∈ ℝ | x > 2}. */
    private Statement built() throws Unreadable {
        terms.next();
        if (terms.accept("∈")) {
            terms.next();
        }
        if (!terms.accept("|") && !terms.accept("/")) {
            throw terms.unexpected("a set is not closed");
        }
        Statement inside = statements.alternatives();
        terms.expect("}");
        return inside;
    }

    private @Nullable Statement pairOrBack() throws Unreadable {
        int mark = terms.mark();
        Statement pair = pair();
        if (pair == null) {
            terms.back(mark);
        }
        return pair;
    }

    /** (2; 3) where two variables are looked for, and (x; y) = (2; 3); null when it is no pair. */
    private @Nullable Statement pair() throws Unreadable {
        List<Term> first = tuple();
        if (first == null) {
            return null;
        }
        if (terms.accept("=")) {
            List<Term> second = tuple();
            if (second == null || second.size() != first.size()) {
                throw terms.unexpected("a pair is missing");
            }
            return equal(first, second);
        }
        List<Term> subjects = solved.subjects();
        return subjects.size() > 1 && subjects.size() == first.size() ? equal(subjects, first) : null;
    }

    private static Statement equal(List<Term> left, List<Term> right) {
        List<Statement> all = new ArrayList<>();
        for (int i = 0; i < left.size(); i++) {
            all.add(new Relation(left.get(i), Sign.EQUAL, right.get(i)));
        }
        return new Statement.And(all);
    }

    private @Nullable List<Term> tuple() {
        if (!terms.accept("(")) {
            return null;
        }
        try {
            List<Term> all = new ArrayList<>(List.of(terms.sum()));
            while (terms.accept(",") || terms.accept(";")) {
                all.add(terms.sum());
            }
            return terms.accept(")") && all.size() > 1 ? all : null;
        } catch (Unreadable e) {
            // Another reading of the bracket is tried.
            return null;
        }
    }

    /** Two ends between brackets of any kind; null when it is none. */
    private @Nullable Statement interval(Term of) throws Unreadable {
        String open = terms.peek().text();
        if (!terms.accept("(") && !terms.accept("[") && !terms.accept("]")) {
            return null;
        }
        try {
            Term low = Infinity.orTerm(terms);
            if (!terms.accept(",") && !terms.accept(";")) {
                return null;
            }
            Term high = Infinity.orTerm(terms);
            String close = terms.peek().text();
            if (!terms.accept(")") && !terms.accept("]") && !terms.accept("[")) {
                return null;
            }
            List<Statement> all = new ArrayList<>();
            Sign from = open.equals("[") ? Sign.AT_LEAST : Sign.GREATER;
            Sign to = close.equals("]") ? Sign.AT_MOST : Sign.LESS;
            if (!Infinity.isTrue(of, from, low)) {
                all.add(new Relation(of, from, low));
            }
            if (!Infinity.isTrue(of, to, high)) {
                all.add(new Relation(of, to, high));
            }
            return all.size() == 1 ? all.get(0) : new Statement.And(all);
        } catch (Unreadable e) {
            // Another reading of the bracket is tried.
            return null;
        }
    }
}
