package org.scholion.server.ledger;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.scholion.core.item.Item;
import org.scholion.server.key.Edition;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;

/** Makes briefs of what ledger and responses say. */
@Component
class Briefs {
    /** Of so many attempts at a time, whatever is asked for. */
    private static final int AT_ONCE = 500;

    private final Ledger ledger;
    private final Attempts attempts;

    Briefs(Ledger ledger, Attempts attempts) {
        this.ledger = ledger;
        this.attempts = attempts;
    }

    /** The briefs of some attempts, read from the ledger, in the order of an edition. */
    Map<UUID, List<Brief>> of(Edition edition, List<Attempt> some) {
        Map<UUID, List<Brief>> all = new HashMap<>();
        for (int from = 0; from < some.size(); from += AT_ONCE) {
            List<UUID> ids = some.subList(from, Math.min(some.size(), from + AT_ONCE)).stream()
                    .map(Attempt::id)
                    .toList();
            Map<UUID, Map<String, LedgerMark>> marks = ledger.currentOf(ids);
            Map<UUID, Map<String, JsonNode>> responses = attempts.responsesOf(ids);
            ids.forEach(id ->
                    all.put(id, of(edition, marks.getOrDefault(id, Map.of()), responses.getOrDefault(id, Map.of()))));
        }
        return all;
    }

    static List<Brief> of(Edition edition, Map<String, LedgerMark> marks, Map<String, JsonNode> responses) {
        List<Brief> briefs = new ArrayList<>();
        for (Item item : edition.items()) {
            briefs.add(Brief.of(item, marks.get(item.id()), Said.to(item, responses)));
        }
        return briefs;
    }
}
