package org.scholion.server.ledger;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.JsonNode;

/**
 * Words of an answer that a reader points at, and what they say of them to the student.
 *
 * @param from where the words begin in the answer as it is shown, in UTF-16 units from 0
 * @param to where they end, after their last unit
 * @param brief whether it is a short mark, shown as a sign at its place
 */
public record Remark(int from, int to, String text, boolean brief) {

    /** Those that a reading keeps, by their places; none where it keeps none. */
    static List<Remark> in(@Nullable JsonNode reading) {
        List<Remark> all = new ArrayList<>();
        if (reading != null) {
            for (JsonNode one : reading.path("remarks")) {
                all.add(new Remark(
                        one.path("from").asInt(0),
                        one.path("to").asInt(0),
                        one.path("text").asString(""),
                        one.path("brief").asBoolean(false)));
            }
        }
        return List.copyOf(all);
    }

    /** As a reading keeps them. */
    public static List<Map<String, Object>> plain(List<Remark> remarks) {
        List<Map<String, Object>> all = new ArrayList<>();
        for (Remark one : remarks) {
            Map<String, Object> plain = new LinkedHashMap<>();
            plain.put("from", one.from());
            plain.put("to", one.to());
            plain.put("text", one.text());
            plain.put("brief", one.brief());
            all.add(plain);
        }
        return all;
    }

    /** The same place with other words. */
    public Remark saying(String words) {
        return new Remark(from, to, words, brief);
    }
}
