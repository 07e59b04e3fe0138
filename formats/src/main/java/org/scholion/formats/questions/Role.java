package org.scholion.formats.questions;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** What a column of questions can be, and by which names it is known. */
public enum Role {
    PROMPT("question", "prompt", "text", "what is asked", "question text", "item", "q", "stem"),
    KIND("kind", "type", "question type", "format", "kind of question", "type of question"),
    OPTION("option", "choice", "alternative", "answer option"),
    /** All options in one cell. */
    OPTIONS("options", "choices", "alternatives", "answer options", "answer choices", "possible answers"),
    /** An option that is not the right one: the right one stands in the column of the key. */
    OTHER_OPTION(
            "wrong answer", "incorrect answer", "wrong", "incorrect", "distractor", "other answer", "other option"),
    KEY(
            "key",
            "answer",
            "correct",
            "correct answer",
            "right answer",
            "right",
            "solution",
            "accepted",
            "answer key",
            "correct option",
            "right option"),
    MORE("also accepted", "other answers", "synonyms", "accept"),
    POINTS("points", "pts", "marks", "score", "weight", "max points", "maximum"),
    STANDARD("standard", "standards", "code", "codes", "outcome", "outcomes"),
    TAGS("tag", "tags", "topic", "topics", "keyword", "keywords"),
    HINT("hint"),
    RIGHT("feedback right", "feedback if right", "feedback"),
    WRONG("feedback wrong", "feedback if wrong"),
    TOLERANCE("tolerance", "within", "±", "+/-"),
    UNIT("unit", "units"),
    DIFFICULTY("difficulty", "expected mean", "share expected", "expected"),
    MINUTES("minutes", "time", "min"),
    LEFT_OUT();

    /** "option 2", "answer C", "optionB": what it is, and which. */
    private static final Pattern NUMBERED = Pattern.compile(
            "(?:answer option|option|choice|alternative|answer|opt)(?:\\s*#?([a-rt-z]|\\d{1,2})|\\s+(s))");

    private final List<String> names;

    Role(String... names) {
        this.names = List.of(names);
    }

    /** The role of a column that is named like this; single letters are options where they begin with an A. */
    static Optional<Role> named(String header) {
        String name = plain(header);
        if (NUMBERED.matcher(name).matches()) {
            return Optional.of(OPTION);
        }
        String unnumbered = name.replaceFirst("\\s*#?\\d{1,2}$", "");
        if (OTHER_OPTION.names.contains(unnumbered)) {
            return Optional.of(OTHER_OPTION);
        }
        for (Role role : values()) {
            if (role.names.contains(name)) {
                return Optional.of(role);
            }
        }
        return Optional.empty();
    }

    /** What an option's column calls its option: a letter, or a number; empty where its name says neither. */
    static String mark(String header) {
        String name = plain(header);
        Matcher numbered = NUMBERED.matcher(name);
        if (!numbered.matches()) {
            return name.matches("[a-z]") ? name : "";
        }
        return numbered.group(1) != null ? numbered.group(1) : numbered.group(2);
    }

    /** Whether several columns of a table can be this. */
    boolean isOften() {
        return this == OPTION || this == OTHER_OPTION || this == MORE || this == LEFT_OUT;
    }

    static String plain(String header) {
        return header.toLowerCase(Locale.ROOT)
                .replaceAll("[_*:()\\[\\]]+", " ")
                .strip()
                .replaceAll("\\s+", " ");
    }
}
