package org.scholion.core.score;

import org.scholion.core.answer.Answer;
import org.scholion.core.item.Item;

/** Answers arrive in the form of their item's kind, or are refused by name. */
final class Expect {
    private Expect() {}

    static Answer.Chosen chosen(Item item, Answer answer) {
        if (answer instanceof Answer.Chosen chosen) {
            return chosen;
        }
        if (answer.isBlank()) {
            return Answer.Chosen.of();
        }
        throw new IllegalArgumentException("item " + item.id() + ": a choice is answered with option ids");
    }

    static String typed(Item item, Answer answer) {
        if (answer instanceof Answer.Typed typed) {
            return typed.text();
        }
        if (answer.isBlank()) {
            return "";
        }
        throw new IllegalArgumentException("item " + item.id() + ": a " + item.kind() + " is answered with a text");
    }
}
