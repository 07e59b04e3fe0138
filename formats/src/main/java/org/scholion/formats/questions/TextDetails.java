package org.scholion.formats.questions;

import java.util.List;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.scholion.formats.json.Fault;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** A line of details: {@code : 2 points, S2, #knots, 1 min, expect 0.7, hint: which way does it turn}. */
record TextDetails(ObjectNode beside, List<Fault> faults, Set<String> codes, int line) {
    private static final Pattern POINTS = Pattern.compile("([\\d./]+)\\s*(?:points?|pts?)");
    private static final Pattern MINUTES = Pattern.compile("([\\d.]+)\\s*min(?:utes?)?");
    private static final Pattern EXPECT = Pattern.compile("expect\\s+([\\d.]+)");
    private static final Pattern CODE =
            Pattern.compile("[A-Za-z]+[A-Za-z0-9.:-]*\\d[A-Za-z0-9.:-]*(?:\\s*×\\s*([\\d.]+))?");

    void read(String typed) {
        Matcher hint = Pattern.compile("(?:^|,\\s*)hint:\\s*(.*)$").matcher(typed);
        String rest = typed;
        if (hint.find()) {
            beside.put("hint", hint.group(1).strip());
            rest = typed.substring(0, hint.start());
        }
        for (String one : rest.split("\\s*,\\s*")) {
            if (!one.isBlank()) {
                detail(one.strip());
            }
        }
    }

    private void detail(String one) {
        if (one.startsWith("#")) {
            list("tags").add(one.substring(1).strip());
        } else if (!take(POINTS, one, "points") && !take(MINUTES, one, "minutes") && !take(EXPECT, one, "difficulty")) {
            code(one);
        }
    }

    private boolean take(Pattern pattern, String one, String field) {
        Matcher found = pattern.matcher(one);
        if (!found.matches()) {
            return false;
        }
        beside.put(field, found.group(1));
        return true;
    }

    private void code(String one) {
        Matcher found = CODE.matcher(one);
        if (codes.contains(one)) {
            list("standards").addObject().put("code", one);
            return;
        }
        if (!found.matches()) {
            faults.add(new Fault(
                    "line " + line,
                    "'" + one + "' is no points, minutes, #tag, expected share, hint or standard's code"));
            return;
        }
        ObjectNode standard = list("standards").addObject().put("code", one.replaceFirst("\\s*×.*", ""));
        if (found.group(1) != null) {
            standard.put("weight", found.group(1));
        }
    }

    private ArrayNode list(String field) {
        return beside.has(field) ? beside.get(field).asArray() : beside.putArray(field);
    }
}
