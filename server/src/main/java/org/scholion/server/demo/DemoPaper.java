package org.scholion.server.demo;

import java.util.ArrayList;
import java.util.List;
import org.scholion.server.collect.PaperItem;
import org.scholion.server.collect.Taking;
import tools.jackson.databind.JsonNode;

/** A student's paper, on which options are found by what they say, as a student does. */
record DemoPaper(JsonNode definition, Taking.Paper paper) {

    /** The answer as the paper takes it: option ids of the key become those of this paper. */
    Object chosen(String item, Object answer) {
        if (!(answer instanceof List<?> ids)) {
            return answer;
        }
        List<String> own = new ArrayList<>();
        ids.forEach(id -> own.add(option(item, text(item, String.valueOf(id)))));
        return own;
    }

    boolean takesPages(String item) {
        return paper.items().stream().anyMatch(i -> i.id().equals(item) && i.attachments() > 0);
    }

    private String text(String item, String id) {
        for (JsonNode one : definition.get("items")) {
            for (JsonNode option : one.path("options")) {
                if (one.get("id").stringValue().equals(item)
                        && option.get("id").stringValue().equals(id)) {
                    return option.get("text").stringValue();
                }
            }
        }
        throw new IllegalStateException("the demo has no option " + id + " of " + item);
    }

    private String option(String item, String text) {
        return paper.items().stream()
                .filter(i -> i.id().equals(item))
                .flatMap(i -> i.options().stream())
                .filter(o -> o.text().equals(text))
                .map(PaperItem.PaperOption::id)
                .findFirst()
                .orElseThrow();
    }
}
