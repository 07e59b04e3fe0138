package org.scholion.server.testing;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import org.scholion.formats.json.Json;
import tools.jackson.databind.JsonNode;

/** One question on a student's own paper, where what can be chosen is found by what it says. */
public record OnPaper(JsonNode item) {
    /** The ids of a {@link Lesson}'s first question. */
    private static final Map<String, String> OF_A_LESSON = Map.of("a", "At springs", "b", "At neaps");

    public static OnPaper of(Visitor student, String attempt, String item) {
        Visitor.Reply paper = student.get("/api/student/attempts/" + attempt);
        if (paper.status() == 200) {
            for (JsonNode one : paper.json().path("items")) {
                if (one.get("id").stringValue().equals(item)) {
                    return new OnPaper(one);
                }
            }
        }
        return new OnPaper(Json.read("{}"));
    }

    /** The answer with the ids of this paper; what is not on it stays as it is. */
    public List<Object> own(List<?> answer) {
        Map<String, String> byText = byText(item);
        List<Object> own = new ArrayList<>();
        for (Object one : answer) {
            if (one instanceof List<?> pair) {
                own.add(own(pair));
            } else {
                String text = OF_A_LESSON.getOrDefault(String.valueOf(one), String.valueOf(one));
                own.add(byText.getOrDefault(text, String.valueOf(one)));
            }
        }
        return own;
    }

    /** Every id that stands for something to be chosen. */
    public Set<String> ids() {
        return new TreeSet<>(byText(item).values());
    }

    private static Map<String, String> byText(JsonNode item) {
        Map<String, String> ids = new LinkedHashMap<>();
        for (String list : List.of("options", "left", "right")) {
            item.path(list)
                    .forEach(o ->
                            ids.put(o.get("text").stringValue(), o.get("id").stringValue()));
        }
        item.path("parts").forEach(p -> ids.putAll(byText(p)));
        return ids;
    }
}
