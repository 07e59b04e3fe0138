package org.scholion.core.maths;

import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** One way of writing for signs that look alike, before a line is taken apart. Nothing is decided here. */
final class Spelling {
    private static final String SUBSCRIPTS = "₀₁₂₃₄₅₆₇₈₉";

    /** What these commands hold is plain text. */
    private static final Pattern TEXT = Pattern.compile(
            "\\\\(?:text|mathrm|operatorname|mathbf|mathit|textbf|textit|textrm|mbox)\\*?\\s*\\{([^{}]*)}");

    private static final Pattern REALS = Pattern.compile("\\\\mathbb\\s*(?:\\{\\s*R\\s*}|R)|\\\\R(?![A-Za-z])");
    private static final Pattern BREAK = Pattern.compile("\\\\\\\\|\\r\\n|\\r");
    private static final Pattern DEGREES = Pattern.compile("\\^\\s*\\{?\\s*\\\\circ\\s*}?|\\\\degree(?![A-Za-z])");

    private Spelling() {}

    static String plain(String line) {
        StringBuilder out = new StringBuilder(line.length() + 8);
        for (int i = 0; i < line.length(); ) {
            int c = line.codePointAt(i);
            i += Character.charCount(c);
            if (Character.getType(c) != Character.FORMAT) {
                i = take(line, i, c, out);
            }
        }
        return out.indexOf("\\") < 0 ? out.toString() : commands(out.toString());
    }

    /** Takes a sign, and with it those that belong to it; returns where to go on. */
    private static int take(String line, int next, int c, StringBuilder out) {
        if (c >= 0xFF01 && c <= 0xFF5E) {
            out.append((char) (c - 0xFF01 + '!'));
            return next;
        }
        int subscript = c < 128 ? -1 : SUBSCRIPTS.indexOf(c);
        if (subscript >= 0) {
            out.append("_{").append(subscript);
            int i = next;
            while (i < line.length() && SUBSCRIPTS.indexOf(line.charAt(i)) >= 0) {
                out.append(SUBSCRIPTS.indexOf(line.charAt(i++)));
            }
            out.append('}');
            return i;
        }
        switch (c) {
            case '\u00A0', '\u202F', '\u2009', '\u3000', '\u2002', '\u2003' -> out.append(' ');
            case '\u2044', '\u2215' -> out.append('/');
            case '•', '∗', '∙', '⋅', '·', '×' -> out.append('*');
            case '−', '–', '—', '‐', '‑', '﹣' -> out.append('-');
            case 'º', '˚' -> out.append('°');
            case '𝕃' -> out.append('L');
            default -> out.appendCodePoint(c);
        }
        return next;
    }

    private static String commands(String line) {
        String plain = REALS.matcher(line).replaceAll("ℝ");
        plain = DEGREES.matcher(plain).replaceAll("°");
        plain = BREAK.matcher(plain).replaceAll("\n");
        Matcher text = TEXT.matcher(plain);
        return text.replaceAll(m -> Matcher.quoteReplacement(" " + m.group(1).strip() + " "));
    }
}
