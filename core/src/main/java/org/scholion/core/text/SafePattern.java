package org.scholion.core.text;

import com.google.re2j.Pattern;
import com.google.re2j.PatternSyntaxException;

/**
 * A regular expression that runs in linear time whatever it says, and whose compiled size is bounded: counted
 * repeats multiply when they are nested, so their product is limited before anything is compiled.
 */
public final class SafePattern {
    private static final int LONGEST = 1_000;
    private static final int MOST_REPEATS = 1_000;

    private final Pattern compiled;

    private SafePattern(Pattern compiled) {
        this.compiled = compiled;
    }

    /**
     * Compiles a pattern that has to match a whole text.
     *
     * @throws IllegalArgumentException saying in words why the pattern cannot be used
     */
    public static SafePattern compile(String pattern, boolean ignoreCase) {
        if (pattern.length() > LONGEST) {
            throw new IllegalArgumentException(
                    "the pattern is " + pattern.length() + " characters long; at most " + LONGEST + " are allowed");
        }
        int repeats = nestedRepeats(pattern);
        if (repeats > MOST_REPEATS) {
            throw new IllegalArgumentException("the pattern's counted repeats multiply to more than " + MOST_REPEATS);
        }
        try {
            return new SafePattern(Pattern.compile(pattern, ignoreCase ? Pattern.CASE_INSENSITIVE : 0));
        } catch (PatternSyntaxException e) {
            throw new IllegalArgumentException("the pattern cannot be read: " + e.getDescription(), e);
        } catch (StackOverflowError e) {
            throw new IllegalArgumentException("the pattern is nested too deeply", e);
        }
    }

    public boolean matches(String whole) {
        return compiled.matches(whole);
    }

    /** The greatest product of counted repeats along any nesting; a repeat of a group multiplies what is in it. */
    static int nestedRepeats(String pattern) {
        return new RepeatCount(pattern).greatest();
    }
}
