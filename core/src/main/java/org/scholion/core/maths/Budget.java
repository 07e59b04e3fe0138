package org.scholion.core.maths;

/**
 * How much work one question may take. Counted in steps, not in seconds, so that the same answer is decided the same
 * way on every machine; a step is about a term of a polynomial multiplied.
 */
public final class Budget {
    private long left;

    Budget(long steps) {
        this.left = steps;
    }

    /** What one answer may take. */
    public static Budget usual() {
        return new Budget(300_000);
    }

    /** For a second look when the first took too long. */
    static Budget small() {
        return new Budget(80_000);
    }

    void spend(long steps) {
        left -= steps;
        if (left < 0) {
            throw new Undecided("it is too long to check");
        }
    }
}
