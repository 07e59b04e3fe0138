package org.scholion.formats.questions;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import org.scholion.formats.assessment.OneItem;
import org.scholion.formats.json.Fault;
import tools.jackson.databind.node.ObjectNode;

/** What is wrong with a question that was found, wherever it came from. */
final class FoundChecks {
    private FoundChecks() {}

    /** @param codes the standards of the course; empty when it works with none, and then every code is taken */
    static List<Fault> of(ObjectNode item, Set<String> codes) {
        List<Fault> faults = new ArrayList<>();
        item.path("standards").forEach(s -> {
            String code = s.path("code").asString("");
            if (!codes.isEmpty() && !codes.contains(code)) {
                faults.add(new Fault("standards", "no standard has the code '" + code + "'"));
            }
        });
        Set<String> texts = new HashSet<>();
        item.path("options").forEach(o -> {
            String text = o.path("text").asString("").strip();
            if (!text.isEmpty() && !texts.add(text.toLowerCase(Locale.ROOT))) {
                faults.add(new Fault("options", "the option '" + text + "' is there twice"));
            }
        });
        faults.addAll(OneItem.faults(item));
        return faults;
    }
}
