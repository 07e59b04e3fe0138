package org.scholion.formats.questions;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Pattern;

/** What people call the kinds of questions in their own tables. */
final class KindWords {
    /** What is asked first is the closer description: "fill in the number" is a number. */
    private static final List<Kind> KINDS = List.of(
            kind("truth", "\\btrue\\b.*\\bfalse\\b|\\bt ?f\\b|\\byes\\b.*\\bno\\b|\\bright\\b.*\\bwrong\\b"),
            kind("passage", "passage|reading text|text to read|information"),
            kind("correction", "correction|correct the|find the mistake|editing"),
            kind("formula", "formula|expression|equation|algebra"),
            kind("number", "numb|numer|calculat|figure|decimal|integer|quantity"),
            kind("order", "\\border|sequenc|rank|put in"),
            kind("pairs", "match|pair|assign"),
            kind(
                    "several",
                    "several|(multiple|many) (answers?|selections?|responses?|correct)|(multi|all)[ -]?(select|answer|response)|"
                            + "all (that|which|correct|right)|check ?box|more than one|tick all"),
            kind("open", "open|essay|long|paragraph|free|discuss|explain|writing|written"),
            kind("choice", "choice|choose|\\bmcq?s?\\b|\\bsc\\b|select|pick|tick|one of|single|radio|drop ?down"),
            kind("text", "short|text|word|gap|blank|fill|cloze|name|identif"));

    private record Kind(String id, Pattern words) {}

    private KindWords() {}

    private static Kind kind(String id, String words) {
        return new Kind(id, Pattern.compile(words));
    }

    static Optional<String> of(String said) {
        String plain =
                said.toLowerCase(Locale.ROOT).replaceAll("[_/\\-.,&+]+", " ").strip();
        return KINDS.stream()
                .filter(k -> k.words().matcher(plain).find())
                .map(Kind::id)
                .findFirst();
    }

    /** As a sentence names them to who has to choose another word. */
    static String all() {
        return "choice, several answers, true or false, short text, number, formula, correction, order, open, passage";
    }
}
