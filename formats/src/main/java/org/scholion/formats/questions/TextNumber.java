package org.scholion.formats.questions;

import java.util.regex.Matcher;
import java.util.regex.Pattern;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** A typed number with its tolerance and unit: {@code 12.5 ± 2% km/h}. */
final class TextNumber {
    private static final Pattern NUMBER =
            Pattern.compile("([+-]?[\\d.]+(?:/\\d+)?)\\s*(?:(?:±|\\+/-)\\s*([\\d.]+(?:\\s*%)?))?\\s*(.*)");

    private TextNumber() {}

    /** What is no number is left as it is typed, and is named when the item is read. */
    static void read(String typed, ArrayNode accept, ObjectNode item) {
        Matcher found = NUMBER.matcher(typed);
        if (!found.matches()) {
            accept.addObject().put("value", typed);
            return;
        }
        ObjectNode band = accept.addObject().put("value", found.group(1));
        if (found.group(2) != null) {
            band.put("within", found.group(2).replaceAll("\\s+", ""));
        }
        if (!found.group(3).isEmpty()) {
            item.putObject("unit").put("expect", found.group(3)).put("missing", "1");
        }
    }
}
