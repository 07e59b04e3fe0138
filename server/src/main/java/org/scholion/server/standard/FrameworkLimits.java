package org.scholion.server.standard;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.scholion.formats.json.Fault;
import org.scholion.formats.json.Texts;
import tools.jackson.databind.JsonNode;

/** What a framework may have, so that one file cannot make Standards useless for a school. */
final class FrameworkLimits {
    private static final int MOST_STANDARDS = 5_000;
    private static final int LONGEST_TITLE = 200;
    private static final int LONGEST_CODE = 60;
    private static final int LONGEST_TEXT = 2_000;
    private static final int MOST_FAULTS = 50;

    private FrameworkLimits() {}

    static List<Fault> of(JsonNode framework) {
        List<Fault> faults = new ArrayList<>();
        if (framework.path("title").asString("").isBlank()) {
            faults.add(new Fault("title", "a framework has a title"));
        }
        tooLong(faults, "title", framework.path("title"), LONGEST_TITLE);
        tooLong(faults, "version", framework.path("version"), LONGEST_CODE);
        JsonNode standards = framework.path("standards");
        if (standards.size() > MOST_STANDARDS) {
            faults.add(new Fault(
                    "standards",
                    standards.size() + " standards are too many for one framework; at most " + MOST_STANDARDS));
            return faults;
        }
        each(standards, faults);
        faults.addAll(Texts.faults(framework));
        return faults.subList(0, Math.min(MOST_FAULTS, faults.size()));
    }

    private static void each(JsonNode standards, List<Fault> faults) {
        Map<String, String> seen = new HashMap<>();
        for (int i = 0; i < standards.size(); i++) {
            String place = "standards[" + i + "]";
            String code = standards.get(i).path("code").asString("");
            tooLong(faults, place + ".code", standards.get(i).path("code"), LONGEST_CODE);
            tooLong(faults, place + ".text", standards.get(i).path("text"), LONGEST_TEXT);
            String earlier = seen.putIfAbsent(code.strip().toLowerCase(Locale.ROOT), code);
            if (earlier != null) {
                faults.add(
                        new Fault(place + ".code", "the code '" + code + "' is there already, as '" + earlier + "'"));
            }
        }
    }

    private static void tooLong(List<Fault> faults, String place, JsonNode text, int most) {
        if (text.asString("").length() > most) {
            faults.add(new Fault(place, "this has " + text.asString("").length() + " characters; at most " + most));
        }
    }
}
