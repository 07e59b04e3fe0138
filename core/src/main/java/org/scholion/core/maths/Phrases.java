package org.scholion.core.maths;

import java.util.List;
import java.util.Locale;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/** What a line says in words rather than in signs, and what of it is no mathematics. */
final class Phrases {
    private static final Pattern LEADING =
            Pattern.compile("(?i)^(?:therefore|hence|thus|then|so|∴)(?![\\p{L}])[:,]?\\s*"
                    + "|^(?:the )?(?:answers?|ans|solutions?|solution set|result)(?: (?:is|are))?\\s*[:=]?\\s+"
                    + "|^[LS𝕊]\\s*=\\s*(?=[{(\\[\\]∅ℝ]|\\\\\\{)");

    private static final String NO =
            "(?:there (?:is|are) )?(?:no|not any)(?: real)? (?:solutions?|roots?|answers?|values?(?: of \\p{L})?|x)"
                    + "(?: exists?)?(?: in (?:ℝ|R))?";
    private static final Pattern NONE = Pattern.compile(
            "(?i)" + NO + "|none|(?:the )?empty set|impossible|unsolvable|not solvable|\\\\?\\{\\s*\\\\?}");
    private static final String ANY =
            "(?:x is |for )?(?:all|any|every|each) (?:the )?(?:reals?|real numbers?|real values?|numbers?|values?|\\p{L})"
                    + "(?: of \\p{L})?(?: (?:is|are) (?:a )?solutions?)?|always true|true for (?:all|every|any) \\p{L}|∀\\s*\\p{L}";
    private static final Pattern ALL = Pattern.compile("(?i)" + ANY);

    private static final Pattern OPEN_COMMA = Pattern.compile("\\d\\s?,\\s?\\d|\\d[ '’]\\d{3}");
    private static final Pattern SET = Pattern.compile("[{\\[\\]]|(?:^|[∈=]|\\bin\\b)\\s*\\(");

    private Phrases() {}

    /** Without a full stop at its end, an equals sign that nothing follows, and words that only lead to it. */
    static String trimmed(String line) {
        String plain = line.strip();
        if (plain.matches("(?s).*[^.][.,;]")) {
            plain = plain.substring(0, plain.length() - 1).strip();
        }
        if (plain.matches("(?s).*[^=<>!]=") && plain.length() > 2) {
            plain = plain.substring(0, plain.length() - 1).strip();
        }
        return LEADING.matcher(plain).replaceFirst("");
    }

    /** No solution, or every number; null where the line says neither in words. */
    static @Nullable Statement read(String plain, MathNames names) {
        if (plain.length() > 80) {
            return null;
        }
        if (NONE.matcher(plain).matches()) {
            return Statement.NONE;
        }
        boolean reals = plain.equals("ℝ") || plain.equals("R") && !names.isDeclared("R");
        return reals || ALL.matcher(plain.toLowerCase(Locale.ROOT)).matches() ? Statement.ALL : null;
    }

    /** Whether a comma, or a space, may stand inside a number or between two. */
    static boolean hasOpenComma(String plain) {
        return OPEN_COMMA.matcher(plain).find();
    }

    /** In sets, intervals and pairs a comma stands between numbers, unless a semicolon does. */
    static boolean looksLikeASet(String plain) {
        return plain.indexOf(';') < 0 && SET.matcher(plain).find();
    }

    /** The words that a reader knows, for teachers. */
    static List<String> told() {
        return List.of("no solution", "none", "empty set", "all real numbers", "all reals", "any x", "always true");
    }
}
