package org.scholion.formats.questions;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.scholion.formats.json.Fault;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** One question as it is typed: its lines by their signs, and the item that they make. */
final class TextBlock {
    private final int line;
    private final boolean passage;
    private final Set<String> codes;
    private final List<Fault> faults = new ArrayList<>();
    private final StringBuilder asked = new StringBuilder();
    private final List<String> right = new ArrayList<>();
    private final List<String> others = new ArrayList<>();
    private final List<String> wrong = new ArrayList<>();
    private final List<String> steps = new ArrayList<>();
    /** Right ones and others as they stand, so that the options keep their order. */
    private final List<Option> options = new ArrayList<>();

    private record Option(String text, boolean right) {}

    private @Nullable String source;
    private @Nullable String start;
    private final ObjectNode beside = JsonNodeFactory.instance.objectNode();

    TextBlock(int line, boolean passage, Set<String> codes) {
        this.line = line;
        this.passage = passage;
        this.codes = codes;
    }

    boolean isPassage() {
        return passage;
    }

    void asked(String text) {
        asked.append(text.replaceFirst("^\\??\\s*", "").strip());
    }

    void line(String typed, int at) {
        String rest = typed.substring(1).strip();
        switch (typed.charAt(0)) {
            case '!' -> {
                right.add(rest);
                options.add(new Option(rest, true));
            }
            case '.' -> {
                others.add(rest);
                options.add(new Option(rest, false));
            }
            case 'x' -> notedAsWrong(typed, rest);
            case '>' -> steps.add(rest);
            case '%' -> source = rest;
            case '$' -> start = rest;
            case ':' -> new TextDetails(beside, faults, codes, at).read(rest);
            default -> more(typed, at);
        }
    }

    private void notedAsWrong(String typed, String rest) {
        if (typed.length() > 1 && Character.isWhitespace(typed.charAt(1))) {
            wrong.add(rest);
        } else {
            more(typed, line);
        }
    }

    private void more(String typed, int at) {
        if (right.isEmpty() && others.isEmpty() && steps.isEmpty() && asked.length() > 0) {
            asked.append('\n').append(typed);
        } else {
            faults.add(new Fault(
                    "line " + at,
                    "'" + typed + "' begins with none of the signs ? ! . x > % $ : and belongs to nothing"));
        }
    }

    FoundItem item(String id, @Nullable String stem) {
        ObjectNode item = JsonNodeFactory.instance.objectNode().put("id", id).put("kind", kind());
        if (!passage) {
            item.put("points", "1");
        }
        item.put("prompt", asked.toString());
        key(item);
        beside.properties().forEach(e -> item.set(e.getKey(), e.getValue()));
        if (stem != null) {
            item.put("stem", stem);
        }
        if (asked.length() == 0) {
            faults.add(new Fault("line " + line, "there is no question here; it begins with a question mark"));
        }
        faults.addAll(FoundChecks.of(item, codes));
        return new FoundItem(line, item, faults);
    }

    private String kind() {
        if (passage) {
            return "passage";
        }
        if (!others.isEmpty()) {
            return "choice";
        }
        if (!steps.isEmpty()) {
            return "order";
        }
        if (source != null) {
            return "correction";
        }
        if (start != null) {
            return "working";
        }
        if (asked.toString().matches("(?s).*\\[[^\\[\\]]+].*")) {
            return "blanks";
        }
        if (right.isEmpty()) {
            return "open";
        }
        if (right.stream().allMatch(r -> r.contains("->"))) {
            return "pairs";
        }
        String first = right.get(0);
        return first.startsWith("=") ? "number" : first.startsWith("$") ? "formula" : "text";
    }

    private void key(ObjectNode item) {
        switch (item.path("kind").asString("")) {
            case "choice" -> choice(item);
            case "order" -> order(item);
            case "correction" -> {
                item.put("source", source);
                lines(item, "");
            }
            case "working" -> {
                item.put("start", start);
                lines(item, "$");
            }
            case "formula" -> lines(item, "$");
            case "blanks" -> new TextBlanks(item).read(asked.toString());
            case "pairs" -> pairs(item);
            case "number" -> number(item);
            case "text" -> text(item);
            default -> {
                // Open questions and passages have no key.
            }
        }
    }

    private void choice(ObjectNode item) {
        ArrayNode list = item.putArray("options");
        ArrayNode key = item.putArray("key");
        for (int i = 0; i < options.size(); i++) {
            String id = String.valueOf((char) ('a' + i));
            list.addObject().put("id", id).put("text", options.get(i).text());
            if (options.get(i).right()) {
                key.add(id);
            }
        }
        if (right.size() > 1) {
            item.put("max", options.size()).put("rule", "net");
        }
    }

    private void order(ObjectNode item) {
        ArrayNode tokens = item.putArray("tokens");
        ArrayNode key = item.putArray("key");
        for (String step : steps) {
            String id = "s" + (tokens.size() + 1);
            tokens.addObject().put("id", id).put("text", step);
            key.add(id);
        }
        item.put("rule", "couples");
    }

    private void lines(ObjectNode item, String sign) {
        ArrayNode accept = item.putArray("accept");
        right.forEach(
                r -> accept.add(r.startsWith(sign) ? r.substring(sign.length()).strip() : r));
    }

    private void pairs(ObjectNode item) {
        ArrayNode left = item.putArray("left");
        ArrayNode rights = item.putArray("right");
        ArrayNode key = item.putArray("key");
        List<String> known = new ArrayList<>();
        for (String pair : right) {
            String[] two = pair.split("\\s*->\\s*", 2);
            if (!known.contains(two[1])) {
                known.add(two[1]);
                rights.addObject().put("id", "r" + known.size()).put("text", two[1]);
            }
            String id = "l" + (left.size() + 1);
            left.addObject().put("id", id).put("text", two[0]);
            key.addArray().add(id).add("r" + (known.indexOf(two[1]) + 1));
        }
    }

    /** {@code = 12.5 ± 2 % km/h}: a value, its tolerance, its unit. */
    private void number(ObjectNode item) {
        ArrayNode accept = item.putArray("accept");
        for (String entry : right) {
            TextNumber.read(entry.replaceFirst("^=\\s*", ""), accept, item);
        }
    }

    private void text(ObjectNode item) {
        ArrayNode accept = item.putArray("accept");
        for (String entry : right) {
            for (String text : entry.split("\\s*;\\s*")) {
                accept.addObject().put("text", text);
            }
        }
        if (!wrong.isEmpty()) {
            ArrayNode reject = item.putArray("reject");
            for (String entry : wrong) {
                String[] two = entry.split("\\s*;\\s*", 2);
                ObjectNode one = reject.addObject().put("text", two[0]);
                if (two.length > 1) {
                    one.put("note", two[1]);
                }
            }
        }
        ArrayNode ignore = item.putArray("ignore");
        List.of("case", "space", "articles", "marks").forEach(ignore::add);
        item.put("spelling", "length");
    }
}
