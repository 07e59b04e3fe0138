package org.scholion.core.reason;

import java.util.ArrayList;
import java.util.List;
import org.scholion.core.number.Fraction;

/** Reasons of totals and of attainment in plain English. */
final class TotalWords {
    private TotalWords() {}

    static String total(Reason r) {
        List<String> said = new ArrayList<>();
        said.add(r.word("earned") + " of " + Words.counted(r, "possible", "point"));
        questions(r, "dropped", "", " dropped", said);
        questions(r, "excused", "", " excused", said);
        questions(
                r, "credited", "", r.words("credited").size() == 1 ? " gives full credit" : " give full credit", said);
        questions(r, "bonus", "", r.words("bonus").size() == 1 ? " is a bonus" : " are a bonus", said);
        questions(r, "notBest", "not counted, since only the best count: ", "", said);
        list(r, "parts", "weights: ", said);
        if (r.has("floor")) {
            said.add("never below 0");
        }
        if (r.has("late")) {
            said.add(Words.counted(r, "late", "day") + " late: × " + r.word("factor"));
        }
        list(r, "curve", "", said);
        if (r.has("percent")) {
            said.add(r.percentage("percent") + "%");
        }
        questions(r, "undecided", "not decided yet, counted as 0: ", "", said);
        questions(r, "partly", "not decided in full yet, counted with what is decided: ", "", said);
        return String.join("; ", said);
    }

    private static void list(Reason r, String name, String before, List<String> said) {
        if (!r.words(name).isEmpty()) {
            said.add(before + String.join(", ", r.words(name)));
        }
    }

    /** Questions by the numbers that people see. */
    private static void questions(Reason r, String name, String before, String after, List<String> said) {
        List<String> numbers = r.words(name);
        if (!numbers.isEmpty()) {
            said.add(before + (numbers.size() == 1 ? "question " : "questions ") + String.join(", ", numbers) + after);
        }
    }

    static String attained(Reason r) {
        String how = switch (r.code()) {
            case ATTAINED_NOTHING -> "no evidence yet";
            case ATTAINED_SHARE -> points(r) + " over " + Words.counted(r, "assessments", "assessment");
            case ATTAINED_LATEST -> points(r) + " in the last " + Words.counted(r, "last", "assessment");
            case ATTAINED_BEST -> points(r) + " in the best of " + Words.counted(r, "assessments", "assessment");
            case ATTAINED_DECAY ->
                "each newer result counts " + r.word("weight") + " and everything before it the rest ("
                        + String.join("%, ", r.words("percents")) + "%)";
            default ->
                r.word("reached") + " of the last " + Words.counted(r, "last", "result") + " reach the level; "
                        + r.word("asked") + (r.amount("asked").equals(Fraction.ONE) ? " is" : " are") + " needed";
        };
        String percent = r.has("percent") ? ": " + r.percentage("percent") + "%" : "";
        String few = r.has("needed")
                ? "; no level yet: " + Words.counted(r, "pieces", "piece") + " of evidence, " + r.word("needed")
                        + (r.amount("needed").equals(Fraction.ONE) ? " is" : " are") + " needed"
                : "";
        return how + percent + few;
    }

    private static String points(Reason r) {
        return r.word("score") + " of " + Words.counted(r, "possible", "point");
    }
}
