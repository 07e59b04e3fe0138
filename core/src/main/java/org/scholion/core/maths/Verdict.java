package org.scholion.core.maths;

import org.jspecify.annotations.Nullable;

/**
 * Whether two expressions or statements are the same.
 *
 * @param at where they differ, such as {@code x = 2}; empty when there is nothing to name
 * @param value what the first is there
 * @param expected what the second is there
 * @param why why it could not be decided, or how they differ
 */
public record Verdict(
        Kind kind,
        @Nullable String at,
        @Nullable String value,
        @Nullable String expected,
        @Nullable String why) {
    /** The same, different, or not decided. */
    public enum Kind {
        SAME,
        DIFFERENT,
        UNDECIDED
    }

    public static final Verdict SAME = new Verdict(Kind.SAME, null, null, null, null);
    static final Verdict DIFFERENT = new Verdict(Kind.DIFFERENT, null, null, null, null);

    static Verdict different(String at, String value, String expected) {
        return new Verdict(Kind.DIFFERENT, at, value, expected, null);
    }

    static Verdict undecided(String why) {
        return new Verdict(Kind.UNDECIDED, null, null, null, why);
    }

    public boolean isSame() {
        return kind == Kind.SAME;
    }

    public boolean isUndecided() {
        return kind == Kind.UNDECIDED;
    }
}
