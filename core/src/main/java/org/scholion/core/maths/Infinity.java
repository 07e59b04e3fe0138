package org.scholion.core.maths;

import org.jspecify.annotations.Nullable;
import org.scholion.core.maths.Statement.Sign;

/** The ends of the line of numbers, which only intervals and inequalities name. */
final class Infinity {
    private static final Term PLUS = new Term.Sym("∞");
    private static final Term MINUS = new Term.Neg(PLUS);

    private Infinity() {}

    /** ∞, +∞ or -∞ where it stands by itself; null where something else does. */
    private static @Nullable Term read(TermReader terms) {
        boolean signed = terms.peek().is("-") || terms.peek().is("+");
        if (!terms.peek(signed ? 1 : 0).is("∞")) {
            return null;
        }
        boolean minus = signed && terms.next().is("-");
        if (signed && !minus) {
            // The plus is taken already.
            terms.next();
            return PLUS;
        }
        terms.next();
        return minus ? MINUS : PLUS;
    }

    /** An end of the line, or the term that comes. */
    static Term orTerm(TermReader terms) throws Unreadable {
        Term infinity = read(terms);
        return infinity == null ? terms.sum() : infinity;
    }

    static boolean is(Term term) {
        return term.equals(PLUS) || term.equals(MINUS);
    }

    /**
     * Whether a relation holds for every number, having an end of the line on its far side.
     *
     * @throws Unreadable when an end of the line is named in any other way
     */
    static boolean isTrue(Term left, Sign sign, Term right) throws Unreadable {
        if (!is(left) && !is(right)) {
            return false;
        }
        boolean below = left.equals(MINUS) || right.equals(PLUS);
        boolean above = left.equals(PLUS) || right.equals(MINUS);
        if (below && (sign == Sign.LESS || sign == Sign.AT_MOST)
                || above && (sign == Sign.GREATER || sign == Sign.AT_LEAST)) {
            return true;
        }
        throw new Unreadable("∞ is no number");
    }
}
