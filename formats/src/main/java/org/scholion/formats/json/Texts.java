package org.scholion.formats.json;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** What the texts of a document may be, wherever they stand in it: what prints, and names of a sensible length. */
public final class Texts {
    /** In characters. A title is read in a list. */
    public static final int LONGEST_NAME = 200;

    /** In characters; about thirty pages. */
    private static final int LONGEST = 60_000;

    private static final Set<String> NAMES = Set.of("title", "label", "name", "code");
    private static final int MOST_FAULTS = 20;

    private Texts() {}

    /** What cannot be kept, by its place; none when everything can. */
    public static List<Fault> faults(JsonNode root) {
        List<Fault> faults = new ArrayList<>();
        look(root, "", "", faults);
        return faults;
    }

    private static void look(JsonNode node, String path, String field, List<Fault> faults) {
        if (faults.size() >= MOST_FAULTS) {
            return;
        }
        if (node.isString()) {
            told(node.stringValue(), field, path, faults);
        } else if (node.isArray()) {
            for (int i = 0; i < node.size(); i++) {
                look(node.get(i), path + "[" + i + "]", field, faults);
            }
        } else if (node.isObject()) {
            for (String name : node.propertyNames()) {
                String place = path.isEmpty() ? name : path + "." + name;
                if (name.length() > LONGEST_NAME || isUnprintable(name)) {
                    faults.add(new Fault(
                            path,
                            "a name in it is longer than " + LONGEST_NAME
                                    + " characters or has a character that cannot be printed"));
                } else {
                    look(node.get(name), place, name, faults);
                }
            }
        }
    }

    private static void told(String text, String field, String path, List<Fault> faults) {
        int most = NAMES.contains(field) ? LONGEST_NAME : LONGEST;
        if (text.length() > most) {
            faults.add(new Fault(path, "this has " + text.length() + " characters; at most " + most + " are kept"));
        }
        for (int i = 0; i < text.length(); i++) {
            if (isControl(text.charAt(i))) {
                faults.add(new Fault(
                        path, "character " + (i + 1) + " is a control character, which cannot be printed; delete it"));
                return;
            }
        }
    }

    /** The text with a space where a character cannot be printed. */
    public static String printable(String text) {
        if (!isUnprintable(text)) {
            return text;
        }
        StringBuilder out = new StringBuilder(text);
        for (int i = 0; i < out.length(); i++) {
            if (isControl(out.charAt(i))) {
                out.setCharAt(i, ' ');
            }
        }
        return out.toString();
    }

    /** The same of every text in a document. */
    public static JsonNode printable(JsonNode node) {
        if (node.isString()) {
            return JsonNodeFactory.instance.stringNode(printable(node.stringValue()));
        }
        if (node.isArray()) {
            ArrayNode all = JsonNodeFactory.instance.arrayNode();
            node.forEach(child -> all.add(printable(child)));
            return all;
        }
        if (node.isObject()) {
            ObjectNode all = JsonNodeFactory.instance.objectNode();
            node.propertyNames().forEach(name -> all.set(printable(name), printable(node.get(name))));
            return all;
        }
        return node;
    }

    private static boolean isUnprintable(String text) {
        return text.chars().anyMatch(c -> isControl((char) c));
    }

    private static boolean isControl(char c) {
        return Character.isISOControl(c) && c != '\n' && c != '\r' && c != '\t' || c == '\uFFFE' || c == '\uFFFF';
    }
}
