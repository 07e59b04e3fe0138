package org.scholion.core.maths;

import org.jspecify.annotations.Nullable;

/**
 * How much work one question may take. Counted in steps, not in seconds, so that the same answer is decided the same
 * way on every machine; a step is about a term of a polynomial multiplied.
 */
public final class Budget {
    private long left;
    private @Nullable Budget second;

    Budget(long steps) {
        this.left = steps;
    }

    /** What one answer may take. */
    public static Budget usual() {
        return new Budget(300_000);
    }

    /** What is left for second looks where a first took too long: little, and once for all of them together. */
    Budget again() {
        second = second == null ? new Budget(80_000) : second;
        return second;
    }

    void spend(long steps) {
        left -= steps;
        if (left < 0) {
            throw new Undecided("it is too long to check");
        }
    }
}
