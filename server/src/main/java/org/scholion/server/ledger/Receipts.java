package org.scholion.server.ledger;

import java.time.Instant;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import java.util.UUID;
import org.scholion.formats.json.Json;
import org.scholion.server.platform.Veil;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;

/**
 * The code that proves what was handed in and when: it follows from the answers, the moment and the server's secret, so
 * that nobody makes one up, and an answer that was changed afterwards would be seen.
 */
@Component
class Receipts {
    private static final int GROUP = 4;

    private final Veil veil;

    Receipts(Veil veil) {
        this.veil = veil;
    }

    /** @param answers as the database gives them, by item */
    String of(UUID attempt, Instant handedInAt, Map<String, JsonNode> answers) {
        StringBuilder said = new StringBuilder(attempt + "\0" + handedInAt);
        new TreeMap<>(answers)
                .forEach((item, answer) ->
                        said.append('\0').append(item).append('\0').append(Json.write(answer)));
        return grouped(veil.name("receipt", said.toString()).toUpperCase(Locale.ROOT));
    }

    /** The code as it is kept, however it was typed; empty for what cannot be one. */
    static String plain(String typed) {
        String letters = typed.toUpperCase(Locale.ROOT).replaceAll("[^A-Z2-7]", "");
        return letters.length() == 3 * GROUP ? grouped(letters) : "";
    }

    private static String grouped(String letters) {
        return letters.substring(0, GROUP) + "-" + letters.substring(GROUP, 2 * GROUP) + "-"
                + letters.substring(2 * GROUP);
    }
}
