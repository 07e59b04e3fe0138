package org.scholion.core.text;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;

/** The words of a text: runs of letters, combining marks and decimal digits. */
public final class WordRuns {
    private WordRuns() {}

    public static List<String> of(String text) {
        List<String> words = new ArrayList<>();
        each(text, (from, to) -> words.add(text.substring(from, to)));
        return words;
    }

    /** The same as places in the text. */
    public static List<Stretch> places(String text) {
        List<Stretch> words = new ArrayList<>();
        each(text, (from, to) -> words.add(new Stretch(from, to)));
        return words;
    }

    private interface Run {
        void at(int from, int to);
    }

    private static void each(String text, Run run) {
        int start = -1;
        for (int i = 0; i < text.length(); ) {
            int c = text.codePointAt(i);
            if (isWordPart(c)) {
                start = start < 0 ? i : start;
            } else if (start >= 0) {
                run.at(start, i);
                start = -1;
            }
            i += Character.charCount(c);
        }
        if (start >= 0) {
            run.at(start, text.length());
        }
    }

    /** Whether the phrase's words stand in the text's words as neighbours in that order; an empty phrase never does. */
    public static boolean hold(List<String> words, List<String> phrase) {
        return !phrase.isEmpty() && Collections.indexOfSubList(words, phrase) >= 0;
    }

    private static boolean isWordPart(int c) {
        return switch (Character.getType(c)) {
            case Character.UPPERCASE_LETTER,
                    Character.LOWERCASE_LETTER,
                    Character.TITLECASE_LETTER,
                    Character.MODIFIER_LETTER,
                    Character.OTHER_LETTER,
                    Character.NON_SPACING_MARK,
                    Character.COMBINING_SPACING_MARK,
                    Character.ENCLOSING_MARK,
                    Character.DECIMAL_DIGIT_NUMBER -> true;
            default -> false;
        };
    }
}
