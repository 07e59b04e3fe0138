package org.scholion.server.ledger;

import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.core.score.Mark;
import tools.jackson.databind.JsonNode;

/**
 * A line of the ledger: a mark, and who or what decided it, when, under which edition.
 *
 * @param person null when a rule decided
 * @param reading what a reader chose, said and noted; null for marks of rules
 */
public record LedgerMark(
        UUID attempt,
        String item,
        Mark mark,
        int edition,
        @Nullable UUID person,
        @Nullable String personName,
        @Nullable JsonNode reading,
        Instant at) {

    public boolean byPerson() {
        return person != null;
    }

    /** The levels that a reader chose, by criterion; empty for other marks. */
    public Map<String, String> levels() {
        Map<String, String> levels = new LinkedHashMap<>();
        if (reading != null) {
            JsonNode chosen = reading.path("levels");
            chosen.propertyNames().forEach(c -> levels.put(c, chosen.path(c).asString("")));
        }
        return levels;
    }

    /** What the reader says to the student; empty when nothing. */
    public String comment() {
        return reading == null ? "" : reading.path("comment").asString("");
    }
}
