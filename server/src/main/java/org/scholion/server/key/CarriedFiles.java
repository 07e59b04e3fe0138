package org.scholion.server.key;

import java.util.Base64;
import java.util.LinkedHashSet;
import java.util.Set;
import java.util.regex.Pattern;
import org.scholion.server.file.Files;
import org.scholion.server.platform.Me;
import org.scholion.server.platform.Refused;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** The pictures, recordings and papers of a key, carried inside its assessment file, so that another school has them. */
@Component
class CarriedFiles {
    private static final Pattern IN_TEXT = Pattern.compile("/api/files/([0-9a-f]{64})");

    private final Files files;

    CarriedFiles(Files files) {
        this.files = files;
    }

    /** Puts what the key names into its file; what is no longer kept is left out. */
    void pack(Me me, ObjectNode file) {
        ArrayNode packed = file.arrayNode();
        for (String id : named(file)) {
            files.find(me, id)
                    .ifPresent(content -> packed.addObject()
                            .put("id", id)
                            .put("type", content.type())
                            .put("data", Base64.getEncoder().encodeToString(content.bytes())));
        }
        if (!packed.isEmpty()) {
            file.set("files", packed);
        }
    }

    private static Set<String> named(JsonNode file) {
        Set<String> ids = new LinkedHashSet<>();
        String text = file.toString();
        IN_TEXT.matcher(text).results().forEach(m -> ids.add(m.group(1)));
        file.path("items").forEach(i -> ids.add(i.path("picture").path("file").asString("")));
        file.path("questions").forEach(q -> ids.add(q.path("file").asString("")));
        ids.remove("");
        return ids;
    }

    /** Keeps what came in a file, each under the name that its own bytes have. */
    void unpack(Me me, JsonNode file) {
        JsonNode packed = file.path("files");
        for (int i = 0; i < packed.size(); i++) {
            JsonNode one = packed.get(i);
            String place = "files[" + i + "]";
            byte[] bytes;
            try {
                bytes = Base64.getDecoder().decode(one.path("data").asString(""));
            } catch (IllegalArgumentException e) {
                throw Refused.invalid(place + ".data", "this is not Base64");
            }
            String id = files.take(me, place, bytes).id();
            if (!id.equals(one.path("id").asString(""))) {
                throw Refused.invalid(place + ".id", "this is not the SHA-256 of its bytes");
            }
        }
    }
}
