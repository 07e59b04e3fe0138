package org.scholion.server.testing;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** What a test says about a file of answers, as the page sends it. */
public final class AboutFile {
    private final Map<String, Object> rows = new HashMap<>();
    private final Map<String, String> cells = new HashMap<>();
    private final Map<String, String> without = new HashMap<>();
    private final Map<String, Object> columns = new HashMap<>();
    private final Map<String, String> kinds = new HashMap<>();
    private final Map<String, String> points = new HashMap<>();
    private final List<String> replace = new ArrayList<>();
    private boolean typed;
    private Object twice;
    private Object pointsAs;

    public AboutFile skips(int line) {
        rows.put(String.valueOf(line), Map.of("student", "", "skip", true, "asIs", false));
        return this;
    }

    public AboutFile gives(int line, String student) {
        rows.put(String.valueOf(line), Map.of("student", student, "skip", false, "asIs", false));
        return this;
    }

    /** @param item empty for a sign in cells of any question */
    public AboutFile reads(String item, String cell, String as) {
        cells.put(item + "\t" + cell, as);
        return this;
    }

    public AboutFile notAsked(String... items) {
        for (String item : items) {
            without.put(item, "NOT_ASKED");
        }
        return this;
    }

    public AboutFile noAnswer(String... items) {
        for (String item : items) {
            without.put(item, "NO_ANSWER");
        }
        return this;
    }

    public AboutFile replaces(String student) {
        replace.add(student);
        return this;
    }

    public AboutFile takesLast() {
        twice = "LAST";
        return this;
    }

    public AboutFile makes(int column, String kind) {
        kinds.put(String.valueOf(column), kind);
        return this;
    }

    public AboutFile worth(int column, String points) {
        this.points.put(String.valueOf(column), points);
        return this;
    }

    /** @param use as the page calls it; {@code item} is null for what is no question */
    public AboutFile column(int place, String use, String item) {
        Map<String, Object> choice = new HashMap<>();
        choice.put("use", use);
        choice.put("item", item);
        columns.put(String.valueOf(place), choice);
        return this;
    }

    public AboutFile takesPointsAs(String what) {
        pointsAs = what;
        return this;
    }

    public AboutFile typed() {
        typed = true;
        return this;
    }

    public Map<String, Object> said() {
        Map<String, Object> choices = new HashMap<>();
        choices.put("heading", null);
        choices.put("columns", columns);
        choices.put("rows", rows);
        choices.put("cells", cells);
        choices.put("without", without);
        choices.put("twice", twice);
        choices.put("decimalComma", null);
        choices.put("pointsAs", pointsAs);
        return Map.of(
                "how",
                Map.of("encoding", "", "separator", "", "sheet", 0),
                "choices",
                choices,
                "kinds",
                kinds,
                "points",
                points,
                "typed",
                typed,
                "replace",
                replace);
    }
}
