package org.scholion.core.reason;

import java.util.ArrayList;
import java.util.List;
import org.scholion.core.number.Fraction;

/** Reasons of totals and of attainment in plain English. */
final class TotalWords {
    private TotalWords() {}

    static String total(Reason r) {
        List<String> said = new ArrayList<>();
        said.add(r.word("earned") + " of " + r.word("possible") + " points");
        list(r, "dropped", " dropped", said);
        list(r, "excused", " excused", said);
        list(r, "credited", " credited in full", said);
        list(r, "bonus", " a bonus", said);
        list(r, "notBest", " not among the best that count", said);
        list(r, "parts", " weighted", said);
        if (r.has("floor")) {
            said.add("not below 0");
        }
        if (r.has("late")) {
            said.add(r.word("late") + " days late: × " + r.word("factor"));
        }
        list(r, "curve", "", said);
        if (r.has("percent")) {
            said.add(r.word("percent") + " %");
        }
        list(r, "undecided", " still waiting, counted 0", said);
        return String.join("; ", said);
    }

    private static void list(Reason r, String name, String after, List<String> said) {
        if (!r.words(name).isEmpty()) {
            said.add(String.join(", ", r.words(name)) + after);
        }
    }

    static String attained(Reason r) {
        String how = switch (r.code()) {
            case ATTAINED_NOTHING -> "no evidence yet";
            case ATTAINED_SHARE -> points(r) + " over " + count(r, "assessments", "assessment");
            case ATTAINED_LATEST -> points(r) + " in the last " + count(r, "last", "assessment");
            case ATTAINED_BEST -> points(r) + " in the best of " + count(r, "assessments", "assessment");
            case ATTAINED_DECAY ->
                "each newer result counts " + r.word("weight") + ", all before it the rest ("
                        + String.join(" %, ", r.words("percents")) + " %)";
            default ->
                r.word("reached") + " of the last " + count(r, "last", "result") + " reach the level, "
                        + r.word("asked") + " are asked";
        };
        String percent = r.has("percent") ? ": " + r.word("percent") + " %" : "";
        String few = r.has("needed")
                ? "; no level yet: " + count(r, "pieces", "piece") + " of evidence where " + r.word("needed")
                        + " are needed"
                : "";
        return how + percent + few;
    }

    private static String points(Reason r) {
        return r.word("score") + " of " + r.word("possible") + " points";
    }

    private static String count(Reason r, String name, String one) {
        return r.word(name) + " " + (r.amount(name).equals(Fraction.ONE) ? one : one + "s");
    }
}
