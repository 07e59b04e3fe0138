package org.scholion.core.reason;

import java.util.ArrayList;
import java.util.List;
import org.scholion.core.number.Fraction;

/** Renders reasons in plain English that a teacher and a student understand. */
public final class Words {
    private Words() {}

    /** The reason for whoever may see the key. */
    public static String english(Reason r) {
        return switch (r.code()) {
            case BLANK -> "no answer";
            case EXCUSED -> "excused: left out of score and possible";
            case CHOICE_KEY -> "chose " + quoted(r.word("chosen")) + ", which is right";
            case CHOICE_CREDIT ->
                "chose " + quoted(r.word("chosen")) + ", which earns " + r.word("credit") + " of the points";
            case CHOICE_OTHER ->
                "chose " + quoted(r.word("chosen")) + ", not "
                        + or(r.words("key").stream().map(Words::quoted).toList()) + penalty(r);
            case CHOICE_SEVERAL -> "several chosen (" + r.word("chosen") + ") where one was asked; a person decides";
            case CHOICE_SEVERAL_WRONG -> "several chosen (" + r.word("chosen") + ") where one was asked" + penalty(r);
            case CHOICE_EXACT -> choiceExact(r);
            case CHOICE_EACH ->
                r.word("right") + " of " + r.word("options") + " options rightly chosen or rightly left";
            case CHOICE_NET -> choiceNet(r);
            case CHOICE_HITS -> choiceHits(r);
            case CHOICE_WEIGHTS ->
                "the chosen options (" + r.word("chosen") + ") are worth " + r.word("sum")
                        + (r.has("clamped") ? ", held to " + r.word("clamped") : "");
            case TEXT_SAME -> "matches " + quoted(r.word("entry")) + ignored(r) + note(r);
            case TEXT_PATTERN -> "matches the pattern " + r.word("entry") + ignored(r);
            case TEXT_WORDS -> textWords(r);
            case TEXT_REJECTED -> quoted(r.word("entry")) + " is known to be wrong" + note(r) + penalty(r);
            case TEXT_SLIP ->
                slips(r) + " from " + quoted(r.word("entry"))
                        + (r.has("times") ? ", which earns " + r.word("times") + " of its credit" : "");
            case TEXT_SLIP_REJECTED ->
                slips(r) + " from " + quoted(r.word("entry")) + ", which is known to be wrong" + note(r) + penalty(r);
            case TEXT_TORN ->
                "as near to " + quoted(r.word("entry")) + ", which counts, as to " + quoted(r.word("against"))
                        + ", which does not; a person decides";
            case TEXT_UNKNOWN -> "matches nothing in the key; a person decides";
            case TEXT_OTHERWISE_WRONG -> "matches nothing in the key" + penalty(r);
            case NUMBER_IN -> r.word("value") + " is " + within(r.word("entry")) + units(r);
            case NUMBER_OUT -> r.word("value") + " is not " + or(r.words("entries")) + units(r) + penalty(r);
            case NUMBER_UNREADABLE -> "cannot be read as a number; a person decides";
            case NUMBER_UNREADABLE_WRONG -> "cannot be read as a number" + penalty(r);
            case BLANKS_PARTS -> parts(r) + " (" + r.word("sum") + " of " + r.word("weights") + " by weight)";
            case BLANKS_EXACT -> parts(r) + "; all or nothing";
            case PAIRS_EACH ->
                r.word("right") + " of " + r.word("keyed") + " pairs right" + list(r, "wrong", "not right: ");
            case PAIRS_NET ->
                r.word("right") + " of " + r.word("keyed") + " pairs right, "
                        + r.words("wrong").size() + " wrong: ("
                        + r.word("right") + " - " + r.words("wrong").size() + ") / " + r.word("keyed")
                        + list(r, "wrong", "not right: ");
            case PAIRS_EXACT ->
                r.word("right") + " of " + r.word("keyed") + " pairs right; all or nothing"
                        + list(r, "wrong", "not right: ");
            case ORDER_EXACT -> r.has("right") ? "in the right order" : "not in the right order; all or nothing";
            case ORDER_PLACES -> r.word("right") + " of " + r.word("all") + " at their place";
            case ORDER_NEIGHBOURS ->
                r.word("right") + " of " + r.word("all") + " neighbours of the right order stand together";
            case ORDER_COUPLES -> r.word("right") + " of " + r.word("all") + " couples in the right order";
            case ORDER_LONGEST ->
                "a run of " + r.word("run") + " in the right order: (" + r.word("run") + " - 1) / " + r.word("all");
            case SPOT_HITS ->
                r.has("over")
                        ? r.word("points") + " points where " + r.word("keyed") + " are right: none counts"
                        : r.word("right") + " of " + r.word("keyed") + " places found";
            case SPOT_NET ->
                r.word("right") + " of " + r.word("keyed") + " places found, " + r.word("wrong")
                        + " points elsewhere: (" + r.word("right") + " - " + r.word("wrong") + ") / " + r.word("keyed");
            case SPOT_EXACT ->
                r.word("right") + " of " + r.word("keyed") + " places found, " + r.word("wrong")
                        + " points elsewhere; all or nothing";
            case CORRECTION ->
                r.word("left").equals("0")
                        ? "matches “" + r.word("entry") + "”"
                        : r.word("left") + " of " + r.word("all") + " changes are still to be made to reach “"
                                + r.word("entry") + "”" + differing(r);
            case OPEN_WAITS -> "waits for a reader";
            case OPEN_POINTS -> "given " + r.word("points") + " of " + r.word("possible") + " by the reader";
            case OPEN_RUBRIC -> rubric(r);
            case OPEN_MEAN ->
                "the mean of two readings, " + r.word("first") + " and " + r.word("second") + " of "
                        + r.word("possible");
            case OPEN_APART ->
                "two readings are " + r.word("apart") + " points apart, more than " + r.word("allowed")
                        + "; a third reader decides";
            case FORMULA_SAME, FORMULA_FORM, FORMULA_DIFFERENT, FORMULA_UNREADABLE, FORMULA_UNDECIDED ->
                MathsWords.formula(r);
            case WORKING, WORKING_UNREADABLE, WORKING_UNDECIDED -> MathsWords.working(r);
            case ATTAINED_SHARE, ATTAINED_LATEST, ATTAINED_DECAY, ATTAINED_BEST, ATTAINED_COUNT, ATTAINED_NOTHING ->
                TotalWords.attained(r);
            case TOTAL -> TotalWords.total(r);
            case PERSON -> "decided by a person" + note(r);
            case RULING -> "your teacher decided on this answer" + note(r);
            case OUTGROWN ->
                "answers the question as it was before it changed" + (r.has("why") ? " (" + r.word("why") + ")" : "")
                        + "; a person decides";
        };
    }

    /** The same reason for whoever must not learn the right answer from it: what was wrong is said, not what is right. */
    public static String withoutKey(Reason r) {
        return WithoutKey.say(r);
    }

    /** Each part with what it earned. */
    private static String parts(Reason r) {
        List<String> said = new ArrayList<>();
        List<String> names = r.words("parts");
        List<String> because = r.words("because");
        for (int i = 0; i < Math.min(names.size(), because.size()); i++) {
            said.add(names.get(i) + ": " + because.get(i));
        }
        return said.isEmpty() ? "part by part" : String.join("; ", said);
    }

    private static String list(Reason r, String name, String before) {
        return r.words(name).isEmpty() ? "" : "; " + before + String.join(", ", r.words(name));
    }

    private static String differing(Reason r) {
        return r.words("differs").isEmpty()
                ? ""
                : "; not as it should be: "
                        + String.join(
                                ", ",
                                r.words("differs").stream().map(Words::quoted).toList());
    }

    private static String choiceExact(Reason r) {
        return r.has("wrong")
                ? r.word("right") + " of " + r.word("keyed") + " chosen rightly, " + r.word("wrong")
                        + " wrongly; all or nothing" + penalty(r)
                : "exactly the " + r.word("keyed") + " right options chosen";
    }

    private static String choiceNet(Reason r) {
        String sum = "(" + r.word("right") + " - " + r.word("wrong") + ") / " + r.word("keyed");
        return r.word("right") + " of " + r.word("keyed") + " chosen rightly, " + r.word("wrong") + " wrongly: " + sum
                + (r.amount("wrong").compareTo(r.amount("right")) > 0 ? ", not below 0" : "");
    }

    private static String choiceHits(Reason r) {
        return r.has("over")
                ? r.word("chosen") + " chosen where " + r.word("keyed") + " are right: none counts"
                : r.word("right") + " of " + r.word("keyed") + " chosen rightly";
    }

    private static String textWords(Reason r) {
        List<String> parts = new ArrayList<>();
        if (r.has("all")) {
            parts.add("has " + and(r.words("all")));
        }
        if (r.has("any")) {
            parts.add("has " + quoted(r.word("any")));
        }
        if (r.has("none")) {
            parts.add("has none of " + and(r.words("none")));
        }
        return parts.isEmpty() ? "has the words that are looked for" : String.join(", ", parts);
    }

    private static String rubric(Reason r) {
        List<String> parts = new ArrayList<>();
        List<String> criteria = r.words("criteria");
        List<String> levels = r.words("levels");
        for (int i = 0; i < criteria.size(); i++) {
            parts.add(criteria.get(i) + ": " + levels.get(i));
        }
        return String.join("; ", parts) + " (" + r.word("sum") + " of " + r.word("maximum") + " on the rubric)";
    }

    static String slips(Reason r) {
        Fraction n = r.amount("distance");
        return n.equals(Fraction.ONE)
                ? "one typing slip"
                : n.equals(Fraction.of(2)) ? "two typing slips" : n + " slips";
    }

    private static String within(String entry) {
        return entry.contains("±") ? "within " + entry : entry.contains(" to ") ? "within " + entry : "right";
    }

    private static String units(Reason r) {
        StringBuilder out = new StringBuilder();
        if (r.has("converted")) {
            out.append(" (typed as ").append(r.word("converted")).append(")");
        }
        if (r.has("unitMissing")) {
            out.append("; the unit ")
                    .append(r.word("expect"))
                    .append(" is missing: ")
                    .append(factor(r, "unitMissing"));
        }
        if (r.has("unitWrong")) {
            out.append("; ")
                    .append(r.word("unit"))
                    .append(" is not the unit ")
                    .append(r.word("expect"))
                    .append(": ");
            out.append(factor(r, "unitWrong"));
        }
        if (r.has("figures")) {
            out.append("; not given to ").append(r.word("asked")).append(" significant figures: ");
            out.append(factor(r, "figures"));
        }
        return out.toString();
    }

    private static String factor(Reason r, String name) {
        return r.amount(name).isZero() ? "no points" : r.word(name) + " of the credit";
    }

    static String ignored(Reason r) {
        return r.has("ignored") ? " (" + String.join(", ", r.words("ignored")) + " ignored)" : "";
    }

    static String penalty(Reason r) {
        return r.has("penalty") && !r.amount("penalty").isZero()
                ? "; costs " + r.word("penalty") + " of the points"
                : "";
    }

    private static String note(Reason r) {
        return r.has("note") && !r.word("note").isBlank() ? ": " + r.word("note") : "";
    }

    static String quoted(String text) {
        return "“" + text + "”";
    }

    private static String and(List<String> texts) {
        return String.join(" and ", texts.stream().map(Words::quoted).toList());
    }

    private static String or(List<String> texts) {
        return String.join(" or ", texts);
    }
}
