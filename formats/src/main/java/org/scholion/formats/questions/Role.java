package org.scholion.formats.questions;

import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** What a column of questions can be, and by which names it is known. */
public enum Role {
    PROMPT("question", "prompt", "text", "what is asked", "question text", "item"),
    KIND("kind", "type", "question type", "format"),
    OPTION("option", "choice", "alternative", "answer option"),
    KEY("key", "answer", "correct", "correct answer", "right answer", "right", "solution", "accepted"),
    MORE("also accepted", "other answers", "synonyms", "accept"),
    POINTS("points", "pts", "marks", "score", "weight"),
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

    private final List<String> names;

    Role(String... names) {
        this.names = List.of(names);
    }

    /** The role of a column that is named like this; a single letter from A to H is an option. */
    static Optional<Role> named(String header) {
        String name = header.toLowerCase(Locale.ROOT).replaceAll("[_*:]+", " ").strip();
        if (name.matches("[a-h]") || name.matches("(option|choice|alternative|answer)\\s*([a-h]|\\d)")) {
            return Optional.of(OPTION);
        }
        for (Role role : values()) {
            if (role.names.contains(name)) {
                return Optional.of(role);
            }
        }
        return Optional.empty();
    }
}
