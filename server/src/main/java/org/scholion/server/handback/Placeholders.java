package org.scholion.server.handback;

import org.scholion.server.ledger.Attempt;

/** What stands for something of the student in a teacher's words: {@code {given name}}. */
final class Placeholders {
    private static final String GIVEN_NAME = "{given name}";

    private Placeholders() {}

    static String filled(String words, Attempt attempt) {
        return words.replace(GIVEN_NAME, attempt.given());
    }
}
