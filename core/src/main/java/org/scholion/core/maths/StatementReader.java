package org.scholion.core.maths;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.scholion.core.maths.Statement.Relation;
import org.scholion.core.maths.Statement.Sign;

/** Reads relations, lists of solutions, sets, intervals and pairs from the signs of a line. */
final class StatementReader {
    private static final Map<String, Sign> SIGNS = Map.of(
            "=", Sign.EQUAL,
            "≠", Sign.NOT_EQUAL,
            "<", Sign.LESS,
            "≤", Sign.AT_MOST,
            ">", Sign.GREATER,
            "≥", Sign.AT_LEAST);

    private final TermReader terms;
    private final SetReader sets;
    private final Solved solved;

    StatementReader(TermReader terms) {
        this.terms = terms;
        this.solved = new Solved(terms.names());
        this.sets = new SetReader(terms, solved, this);
    }

    /** Two readings of ±; for values alone, of the variable that is looked for. */
    static Statement either(Statement first, Statement second, MathNames names) throws Unreadable {
        return new Solved(names).any(List.of(first, second));
    }

    Statement whole() throws Unreadable {
        while (terms.accept("⇒")) {
            // A sign that it follows from the line above.
        }
        if (terms.peek().is("=")) {
            // A line that goes on from the one above begins with its equals sign.
            terms.next();
        }
        Statement statement = alternatives();
        if (terms.peek().kind() != Token.Kind.END) {
            throw terms.unexpected("something is missing");
        }
        return statement;
    }

    Statement alternatives() throws Unreadable {
        List<Statement> any = new ArrayList<>(List.of(listed()));
        while (terms.peek().is("or") || terms.peek().is("∪")) {
            terms.next();
            any.add(solved.after(any.get(any.size() - 1), listed()));
        }
        return any.size() == 1 ? any.get(0) : solved.any(any);
    }

    /** x = 2, x = 3 are solutions; x = 2, y = 3 are one. */
    private Statement listed() throws Unreadable {
        while (isSeparator(terms.peek())) {
            terms.next();
        }
        List<Statement> all = new ArrayList<>(List.of(together()));
        boolean or = false;
        while (isSeparator(terms.peek())) {
            while (isSeparator(terms.peek())) {
                terms.next();
            }
            or |= terms.accept("or");
            terms.accept("and");
            while (isSeparator(terms.peek())) {
                terms.next();
            }
            if (terms.peek().kind() == Token.Kind.END) {
                break;
            }
            all.add(solved.after(all.get(all.size() - 1), together()));
        }
        return all.size() == 1 ? all.get(0) : solved.list(all, or);
    }

    private static boolean isSeparator(Token token) {
        return token.is(",") || token.is(";") || token.is("\n");
    }

    private Statement together() throws Unreadable {
        List<Statement> all = new ArrayList<>(List.of(relation()));
        while (terms.peek().is("and") || terms.peek().is("∩")) {
            terms.next();
            all.add(solved.after(all.get(all.size() - 1), relation()));
        }
        return all.size() == 1 ? all.get(0) : solved.both(all);
    }

    private Statement relation() throws Unreadable {
        Statement set = sets.standingAlone();
        if (set != null) {
            return set;
        }
        Term left = Infinity.orTerm(terms);
        if (terms.accept("∈")) {
            return sets.members(left);
        }
        List<Statement> chain = new ArrayList<>();
        int mark = terms.mark();
        while (terms.peek().kind() == Token.Kind.SIGN
                && SIGNS.containsKey(terms.peek().text())) {
            Sign sign = SIGNS.getOrDefault(terms.next().text(), Sign.EQUAL);
            if (sign == Sign.EQUAL && sets.beginsSet()) {
                return sets.members(left);
            }
            Term right = Infinity.orTerm(terms);
            if (!Infinity.isTrue(left, sign, right)) {
                chain.add(new Relation(left, sign, right));
            }
            left = right;
        }
        if (chain.isEmpty() && terms.mark() > mark) {
            return Statement.ALL;
        }
        if (chain.isEmpty()) {
            if (Infinity.is(left)) {
                throw new Unreadable("∞ is no number");
            }
            return new Statement.Value(left);
        }
        return chain.size() == 1 ? chain.get(0) : new Statement.And(chain);
    }
}
