package org.scholion.formats.questions;

import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/**
 * Blanks written where they stand: {@code [ebb]}, {@code [ebb|ebbs]} with two accepted texts, {@code [=12.5 ± 2%]} a
 * number, {@code [*ebb/flood]} a choice of which the starred is right.
 */
final class TextBlanks {
    private static final Pattern BLANK = Pattern.compile("\\[([^\\[\\]\n]+)]");

    private final ObjectNode item;
    private final ArrayNode parts;

    TextBlanks(ObjectNode item) {
        this.item = item;
        this.parts = item.putArray("parts");
    }

    void read(String sentence) {
        StringBuilder prompt = new StringBuilder();
        Matcher found = BLANK.matcher(sentence);
        while (found.find()) {
            String id = "b" + (parts.size() + 1);
            parts.add(part(id, found.group(1).strip()));
            found.appendReplacement(prompt, Matcher.quoteReplacement("{" + id + "}"));
        }
        item.put("prompt", found.appendTail(prompt).toString());
    }

    private static ObjectNode part(String id, String inside) {
        ObjectNode part = JsonNodeFactory.instance.objectNode().put("id", id);
        if (inside.startsWith("=")) {
            part.put("kind", "number");
            TextNumber.read(inside.substring(1).strip(), part.putArray("accept"), part);
            return part;
        }
        String[] listed = inside.split("\\s*/\\s*");
        if (listed.length > 1 && inside.contains("*")) {
            return choice(part, listed);
        }
        part.put("kind", "text");
        ArrayNode accept = part.putArray("accept");
        for (String text : inside.split("\\s*\\|\\s*")) {
            accept.addObject().put("text", text);
        }
        ArrayNode ignore = part.putArray("ignore");
        List.of("case", "space", "articles", "marks").forEach(ignore::add);
        return part.put("spelling", "length");
    }

    private static ObjectNode choice(ObjectNode part, String[] listed) {
        part.put("kind", "choice");
        ArrayNode options = part.putArray("options");
        ArrayNode key = part.putArray("key");
        for (int i = 0; i < listed.length; i++) {
            String id = String.valueOf((char) ('a' + i));
            options.addObject().put("id", id).put("text", listed[i].replaceFirst("^\\*", ""));
            if (listed[i].startsWith("*")) {
                key.add(id);
            }
        }
        return part;
    }
}
