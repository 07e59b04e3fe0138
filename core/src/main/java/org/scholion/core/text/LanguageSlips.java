package org.scholion.core.text;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.function.Predicate;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Where the language of an English text may be looked at again. It knows words and signs, not what is meant. */
public final class LanguageSlips {
    private static final Pattern WORD = Pattern.compile("[\\p{L}\\p{M}\\p{N}]+(?:['’-][\\p{L}\\p{M}\\p{N}]+)*");
    private static final Pattern TWICE = Pattern.compile(
            "(?<![\\p{L}\\p{M}\\p{N}'’-])(\\p{L}+)(\\s+)\\1(?![\\p{L}\\p{M}\\p{N}'’-])",
            Pattern.CASE_INSENSITIVE | Pattern.UNICODE_CASE);
    private static final Pattern SPACE_BEFORE = Pattern.compile("(?<=\\S)[ \\t]+[,.;:!?](?![.\\d])");
    private static final Pattern NONE_AFTER = Pattern.compile("\\p{L}[,;!?](?=\\p{L})|\\p{Ll}{2}\\.(?=\\p{Lu}\\p{Ll})");
    private static final Set<String> SAID_TWICE = Set.of("had", "that");
    /** A point after these ends no sentence. */
    private static final Set<String> SHORTENED = Set.of("e.g.", "i.e.", "etc.", "approx.", "no.", "vs.", "cf.", "ca.");

    private static final int SENTENCE = 4;

    private LanguageSlips() {}

    public enum Kind {
        /** A word that the dictionary does not have. */
        SPELLING,
        /** A sentence, or the word I, with a small letter. */
        CAPITAL,
        /** The same word twice in a row. */
        TWICE,
        /** A blank before a sign, or none after it. */
        SPACE,
        /** No sign at the end. */
        END
    }

    public record Slip(Kind kind, int from, int to) {}

    /**
     * @param known whether the dictionary has a word, as it stands in the text with a plain apostrophe
     * @return by their places
     */
    public static List<Slip> in(String text, Predicate<String> known) {
        List<Slip> slips = new ArrayList<>();
        List<Stretch> words = new ArrayList<>();
        Matcher word = WORD.matcher(text);
        while (word.find()) {
            words.add(new Stretch(word.start(), word.end()));
        }
        for (Stretch one : words) {
            boolean begins = begins(text, one.from());
            String said = one.of(text).replace('’', '\'');
            if (said.equals("i") || begins && Character.isLowerCase(said.codePointAt(0))) {
                slips.add(new Slip(Kind.CAPITAL, one.from(), one.to()));
            } else if (mayBeMisspelt(said, begins) && !isKnown(said, known)) {
                slips.add(new Slip(Kind.SPELLING, one.from(), one.to()));
            }
        }
        twice(text, slips);
        all(SPACE_BEFORE, text, slips);
        all(NONE_AFTER, text, slips);
        end(text, words, slips);
        slips.sort(Comparator.comparingInt(Slip::from).thenComparing(Slip::kind));
        return List.copyOf(slips);
    }

    /** A sentence begins with the text, with a line after one that ended, and after its end. */
    private static boolean begins(String text, int from) {
        int end = from;
        while (end > 0 && Character.isWhitespace(text.charAt(end - 1))) {
            end--;
        }
        if (end == 0) {
            return true;
        }
        if (end == from || ".!?".indexOf(text.charAt(end - 1)) < 0) {
            return false;
        }
        String last = text.substring(text.lastIndexOf(' ', end - 1) + 1, end).toLowerCase(Locale.ROOT);
        return !SHORTENED.contains(last) && !last.endsWith("...");
    }

    /** Numbers, signs of one letter, what is all in capitals, and names within a sentence are no words to look up. */
    private static boolean mayBeMisspelt(String word, boolean begins) {
        boolean digits = word.chars().anyMatch(Character::isDigit);
        boolean shout = word.equals(word.toUpperCase(Locale.ROOT));
        boolean name = Character.isUpperCase(word.codePointAt(0)) && !begins;
        return word.length() > 1 && !digits && !shout && !name;
    }

    private static boolean isKnown(String word, Predicate<String> known) {
        if (known.test(word) || known.test(word.toLowerCase(Locale.ROOT))) {
            return true;
        }
        String[] parts = word.split("-");
        if (parts.length < 2) {
            return false;
        }
        for (String part : parts) {
            if (!known.test(part)) {
                return false;
            }
        }
        return true;
    }

    private static void twice(String text, List<Slip> slips) {
        Matcher twice = TWICE.matcher(text);
        for (int at = 0; at < text.length() && twice.find(at); at = twice.end(1)) {
            if (!SAID_TWICE.contains(twice.group(1).toLowerCase(Locale.ROOT))) {
                slips.add(new Slip(Kind.TWICE, twice.start(), twice.end()));
            }
        }
    }

    private static void all(Pattern pattern, String text, List<Slip> slips) {
        Matcher m = pattern.matcher(text);
        while (m.find()) {
            slips.add(new Slip(Kind.SPACE, m.start(), m.end()));
        }
    }

    private static void end(String text, List<Stretch> words, List<Slip> slips) {
        String whole = text.stripTrailing();
        if (words.size() >= SENTENCE && ".!?…\"'”’)".indexOf(whole.charAt(whole.length() - 1)) < 0) {
            slips.add(new Slip(Kind.END, words.get(words.size() - 1).from(), whole.length()));
        }
    }
}
