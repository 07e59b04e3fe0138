package org.scholion.core.text;

import com.ibm.icu.lang.UCharacter;
import com.ibm.icu.lang.UProperty;
import com.ibm.icu.text.Normalizer2;
import java.util.List;

/**
 * Brings two ways of writing the same thing to one form, in six fixed steps: compatibility form without invisible
 * signs and with plain quotes and dashes, accents, case, marks, space, articles. Which of the later five run is the
 * item's choice.
 */
public record Normaliser(
        boolean ignoreAccents, boolean ignoreCase, boolean ignoreMarks, boolean ignoreSpace, List<String> articles) {

    private static final Normalizer2 NFKC = Normalizer2.getNFKCInstance();
    private static final Normalizer2 NFD = Normalizer2.getNFDInstance();
    private static final Normalizer2 NFC = Normalizer2.getNFCInstance();

    public Normaliser {
        articles = List.copyOf(articles);
    }

    /** The articles of a language; none where none are known. */
    public static List<String> articlesOf(String language) {
        return language.equals("en") || language.startsWith("en-") ? List.of("a", "an", "the") : List.of();
    }

    /** The same but for leading articles, for words that are looked for inside an answer. */
    public Normaliser keepingArticles() {
        return articles.isEmpty() ? this : new Normaliser(ignoreAccents, ignoreCase, ignoreMarks, true, List.of());
    }

    public String apply(String text) {
        String plain = AsciiForm.of(text, this);
        return plain == null ? inFull(text) : withoutArticle(plain);
    }

    /** All six steps, for any text. */
    String inFull(String text) {
        String t = plainPunctuation(NFKC.normalize(seen(text))).replace('\u2044', '/');
        if (ignoreAccents) {
            t = NFC.normalize(PlainLetters.of(NFD.normalize(t)));
        }
        if (ignoreCase) {
            t = NFC.normalize(UCharacter.foldCase(t, true));
        }
        if (ignoreMarks) {
            t = NFC.normalize(withoutMarks(t));
        }
        if (singleSpaces()) {
            t = singleSpaced(t);
        }
        return withoutArticle(t);
    }

    boolean singleSpaces() {
        return ignoreSpace || ignoreMarks || !articles.isEmpty();
    }

    /** Without signs that nobody sees; an acute accent by itself is a quote, which the compatibility form would hide. */
    private static String seen(String text) {
        StringBuilder out = null;
        for (int i = 0; i < text.length(); ) {
            int c = text.codePointAt(i);
            boolean kept = Character.getType(c) != Character.FORMAT && c != '\u00B4';
            if (!kept && out == null) {
                out = new StringBuilder(text.length()).append(text, 0, i);
            }
            if (out != null && (kept || c == '\u00B4')) {
                out.appendCodePoint(kept ? c : '\'');
            }
            i += Character.charCount(c);
        }
        return out == null ? text : out.toString();
    }

    /** Curly quotes and every dash in their plain form. */
    public static String plainPunctuation(String text) {
        StringBuilder out = null;
        for (int i = 0; i < text.length(); i++) {
            char c = text.charAt(i);
            char plain = plain(c);
            if (plain != c && out == null) {
                out = new StringBuilder(text);
            }
            if (out != null) {
                out.setCharAt(i, plain);
            }
        }
        return out == null ? text : out.toString();
    }

    private static char plain(char c) {
        if (c < 0xAB) {
            return c == '`' ? '\'' : c;
        }
        return switch (c) {
            case '\u2018', '\u2019', '\u201A', '\u201B', '\u2032', '\u02BC', '\u00B4' -> '\'';
            case '\u201C', '\u201D', '\u201E', '\u201F', '\u00AB', '\u00BB' -> '"';
            case '\u2010', '\u2011', '\u2012', '\u2013', '\u2014', '\u2015', '\u2212' -> '-';
            default -> c;
        };
    }

    /** Marks that make one number of digits stay; a dash or a slash elsewhere parts words, other marks vanish. */
    private static String withoutMarks(String text) {
        int[] points = Slips.codePoints(text);
        StringBuilder out = new StringBuilder(text.length());
        for (int i = 0; i < points.length; i++) {
            int c = points[i];
            if (!isPunctuation(c) || isOfANumber(points, i)) {
                out.appendCodePoint(c);
            } else if (c == '-' || c == '/') {
                out.append(' ');
            }
        }
        return out.toString();
    }

    private static boolean isOfANumber(int[] points, int i) {
        boolean digitAfter = i + 1 < points.length && Character.isDigit(points[i + 1]);
        if (!digitAfter || ".,/:-".indexOf(points[i]) < 0) {
            return false;
        }
        int before = i == 0 ? ' ' : points[i - 1];
        return Character.isDigit(before) || points[i] == '-' && !Character.isLetter(before);
    }

    private static boolean isPunctuation(int c) {
        return switch (Character.getType(c)) {
            case Character.CONNECTOR_PUNCTUATION,
                    Character.DASH_PUNCTUATION,
                    Character.START_PUNCTUATION,
                    Character.END_PUNCTUATION,
                    Character.INITIAL_QUOTE_PUNCTUATION,
                    Character.FINAL_QUOTE_PUNCTUATION,
                    Character.OTHER_PUNCTUATION -> true;
            default -> false;
        };
    }

    static boolean isSpace(int c) {
        return c == ' ' || c >= 9 && c <= 13 || c > 127 && UCharacter.hasBinaryProperty(c, UProperty.WHITE_SPACE);
    }

    /** Trimmed, each run of white space a single space. */
    public static String singleSpaced(String text) {
        StringBuilder out = new StringBuilder(text.length());
        boolean pending = false;
        for (int i = 0; i < text.length(); i++) {
            char c = text.charAt(i);
            if (isSpace(c)) {
                pending = out.length() > 0;
            } else {
                if (pending) {
                    out.append(' ');
                    pending = false;
                }
                out.append(c);
            }
        }
        return out.toString();
    }

    private String withoutArticle(String text) {
        for (String article : articles) {
            int n = article.length();
            if (text.length() > n + 1 && text.charAt(n) == ' ' && text.regionMatches(true, 0, article, 0, n)) {
                return text.substring(n + 1);
            }
        }
        return text;
    }
}
