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
            case EXCUSED -> "excused: counts neither in the score nor in the maximum";
            case CHOICE_KEY -> "chose " + quoted(r.word("chosen")) + ", which is right";
            case CHOICE_CREDIT ->
                "chose " + quoted(r.word("chosen")) + ", which earns " + r.word("credit") + " of the points";
            case CHOICE_OTHER ->
                "chose " + quoted(r.word("chosen")) + "; the right answer is "
                        + or(r.words("key").stream().map(Words::quoted).toList()) + penalty(r);
            case CHOICE_SEVERAL ->
                "chose more than one (" + r.word("chosen") + ") where one was asked for; a teacher decides";
            case CHOICE_SEVERAL_WRONG ->
                "chose more than one (" + r.word("chosen") + ") where one was asked for" + penalty(r);
            case CHOICE_EXACT -> choiceExact(r);
            case CHOICE_EACH ->
                r.word("right") + " of " + r.word("options")
                        + " options right (a right one chosen, or a wrong one left)";
            case CHOICE_NET -> choiceNet(r);
            case CHOICE_HITS -> choiceHits(r);
            case CHOICE_WEIGHTS ->
                "the credits of the chosen options (" + r.word("chosen") + ") add up to " + r.word("sum")
                        + (r.has("clamped") ? ", limited to " + r.word("clamped") : "");
            case TEXT_SAME -> "matches " + quoted(r.word("entry")) + ignored(r) + note(r);
            case TEXT_PATTERN -> "matches the pattern " + r.word("entry") + ignored(r);
            case TEXT_WORDS -> textWords(r);
            case TEXT_REJECTED -> quoted(r.word("entry")) + " is listed as a wrong answer" + note(r) + penalty(r);
            case TEXT_SLIP -> slips(r) + " away from " + quoted(r.word("entry")) + slipCredit(r);
            case TEXT_SLIP_REJECTED ->
                slips(r) + " away from " + quoted(r.word("entry")) + ", which is listed as a wrong answer" + note(r)
                        + penalty(r);
            case TEXT_TORN ->
                "as close to " + quoted(r.word("entry")) + " (accepted) as to " + quoted(r.word("against"))
                        + " (listed as wrong); a teacher decides";
            case TEXT_UNKNOWN -> "matches nothing in the answer key; a teacher decides";
            case TEXT_OTHERWISE_WRONG -> "matches nothing in the answer key" + penalty(r);
            case NUMBER_IN -> r.word("value") + " is " + within(r.word("entry")) + units(r);
            case NUMBER_OUT ->
                r.word("value") + " is not accepted; accepted: " + String.join(", or ", r.words("entries")) + units(r)
                        + penalty(r);
            case NUMBER_UNREADABLE -> "cannot be read as a number; a teacher decides";
            case NUMBER_UNREADABLE_WRONG -> "cannot be read as a number" + penalty(r);
            case NUMBER_COULD_BE ->
                quoted(r.word("value")) + " could mean " + or(r.words("readings")) + "; a teacher decides";
            case NUMBER_UNIT_UNKNOWN -> NumberWords.unknownUnit(r) + NumberWords.near(r) + "; a teacher decides";
            case NUMBER_UNIT_UNKNOWN_WRONG -> NumberWords.unknownUnit(r) + NumberWords.near(r) + penalty(r);
            case BLANKS_PARTS -> parts(r) + " (earned " + r.word("sum") + " of " + r.word("weights") + " by weight)";
            case BLANKS_EXACT -> parts(r) + "; all or nothing";
            case PAIRS_EACH ->
                r.word("right") + " of " + r.word("keyed") + " pairs right" + list(r, "wrong", "not right: ");
            case PAIRS_NET ->
                r.word("right") + " of " + r.word("keyed") + " pairs right, "
                        + r.words("wrong").size() + " wrong: ("
                        + r.word("right") + " − " + r.words("wrong").size() + ") ÷ " + r.word("keyed")
                        + ", never below 0"
                        + list(r, "wrong", "not right: ");
            case PAIRS_EXACT ->
                r.word("right") + " of " + r.word("keyed") + " pairs right; all or nothing"
                        + list(r, "wrong", "not right: ");
            case ORDER_EXACT -> r.has("right") ? "in the right order" : "not in the right order; all or nothing";
            case ORDER_PLACES -> r.word("right") + " of " + r.word("all") + " steps in the right place";
            case ORDER_NEIGHBOURS ->
                r.word("right") + " of " + r.word("all") + " steps are followed directly by the right next step";
            case ORDER_COUPLES -> r.word("right") + " of " + r.word("all") + " pairs of steps in the right order";
            case ORDER_LONGEST ->
                r.word("run") + " steps are in the right order when the others are left out: (" + r.word("run")
                        + " − 1) ÷ " + r.word("all");
            case SPOT_HITS ->
                r.has("over")
                        ? counted(r, "points", "place") + " shown, but " + thereAre(r, "keyed", "area")
                                + ": too many places earn nothing"
                        : r.word("right") + " of " + counted(r, "keyed", "area") + " found";
            case SPOT_NET ->
                r.word("right") + " of " + counted(r, "keyed", "area") + " found, " + counted(r, "wrong", "place")
                        + " outside every area: (" + r.word("right") + " − " + r.word("wrong") + ") ÷ "
                        + r.word("keyed")
                        + ", never below 0";
            case SPOT_EXACT ->
                r.word("right") + " of " + counted(r, "keyed", "area") + " found, " + counted(r, "wrong", "place")
                        + " that found nothing new; all or nothing";
            case CORRECTION ->
                r.word("left").equals("0")
                        ? "matches “" + r.word("entry") + "”"
                        : changes(r, "to reach “" + r.word("entry") + "” ") + differing(r);
            case OPEN_WAITS -> "not read by a teacher yet";
            case ELSEWHERE -> "scored elsewhere: " + r.word("points") + " of " + counted(r, "possible", "point");
            case OPEN_POINTS ->
                "given " + r.word("points") + " of " + counted(r, "possible", "point")
                        + (r.has("note") ? ", not by the rubric (" + r.word("note") + ")" : "");
            case OPEN_RUBRIC -> rubric(r);
            case OPEN_MEAN ->
                "mean of two readings: " + r.word("first") + " and " + r.word("second") + " of "
                        + counted(r, "possible", "point");
            case OPEN_APART ->
                "the two readings differ by " + counted(r, "apart", "point") + ", more than the " + r.word("allowed")
                        + " allowed; a third reading decides";
            case FORMULA_SAME, FORMULA_FORM, FORMULA_DIFFERENT, FORMULA_UNREADABLE, FORMULA_UNDECIDED ->
                MathsWords.formula(r);
            case WORKING, WORKING_UNREADABLE, WORKING_UNDECIDED -> MathsWords.working(r);
            case ATTAINED_SHARE, ATTAINED_LATEST, ATTAINED_DECAY, ATTAINED_BEST, ATTAINED_COUNT, ATTAINED_NOTHING ->
                TotalWords.attained(r);
            case TOTAL -> TotalWords.total(r);
            case PERSON -> "decided by a teacher" + note(r);
            case RULING -> "a teacher decided on this answer" + note(r);
            case OUTGROWN ->
                "answers the question as it was before it changed" + (r.has("why") ? " (" + r.word("why") + ")" : "")
                        + "; a teacher decides";
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
            said.add("blank " + (i + 1) + ": " + because.get(i));
        }
        return said.isEmpty() ? "part by part" : String.join("; ", said);
    }

    private static String list(Reason r, String name, String before) {
        return r.words(name).isEmpty() ? "" : "; " + before + String.join(", ", r.words(name));
    }

    private static String differing(Reason r) {
        return r.words("differs").isEmpty()
                ? ""
                : "; still wrong: "
                        + String.join(
                                ", ",
                                r.words("differs").stream().map(Words::quoted).toList());
    }

    private static String choiceExact(Reason r) {
        return r.has("wrong")
                ? r.word("right") + " of " + counted(r, "keyed", "right option") + " chosen, and " + r.word("wrong")
                        + wrongOnes(r) + "; all or nothing" + penalty(r)
                : "exactly the " + r.word("keyed") + " right options chosen";
    }

    private static String choiceNet(Reason r) {
        return r.word("right") + " of " + counted(r, "keyed", "right option") + " chosen, and " + r.word("wrong")
                + wrongOnes(r) + ": (" + r.word("right") + " − " + r.word("wrong") + ") ÷ " + r.word("keyed")
                + ", never below 0";
    }

    private static String choiceHits(Reason r) {
        return r.has("over")
                ? counted(r, "chosen", "option") + " chosen, but only " + r.word("keyed")
                        + (r.amount("keyed").equals(Fraction.ONE) ? " is" : " are")
                        + " right: too many choices earn nothing"
                : r.word("right") + " of " + counted(r, "keyed", "right option") + " chosen";
    }

    private static String textWords(Reason r) {
        List<String> parts = new ArrayList<>();
        if (r.has("all")) {
            parts.add("contains " + and(r.words("all")));
        }
        if (r.has("any")) {
            parts.add("contains " + quoted(r.word("any")));
        }
        if (r.has("none")) {
            parts.add("contains " + neither(r.words("none")));
        }
        return parts.isEmpty() ? "contains the words asked for" : String.join("; ", parts);
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
                : n.equals(Fraction.of(2)) ? "two typing slips" : n + " typing slips";
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
            out.append("; the unit should be ")
                    .append(r.word("expect"))
                    .append(", not ")
                    .append(r.word("unit"))
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
        return r.amount(name).isZero() ? "no credit" : r.word(name) + " of the credit";
    }

    static String ignored(Reason r) {
        return r.has("ignored") ? " (ignoring " + listed(r.words("ignored")) + ")" : "";
    }

    static String penalty(Reason r) {
        return r.has("penalty") && !r.amount("penalty").isZero()
                ? "; penalty: " + r.word("penalty") + " of the points"
                : "";
    }

    private static String note(Reason r) {
        return r.has("note") && !r.word("note").isBlank() ? ": " + r.word("note") : "";
    }

    static String quoted(String text) {
        return "“" + text + "”";
    }

    /** {@code two typing slips} earns a part of the entry's credit: said where it is so. */
    static String slipCredit(Reason r) {
        return r.has("times")
                ? "; with " + (r.amount("distance").equals(Fraction.ONE) ? "a slip" : "slips") + " it earns "
                        + r.word("times") + " of its credit"
                : "";
    }

    /** How many changes a sentence still needs, and how many the faulty one did. */
    static String changes(Reason r, String towards) {
        boolean one = r.amount("left").equals(Fraction.ONE);
        return r.word("left") + (one ? " change is" : " changes are") + " still needed " + towards
                + "(the faulty sentence needed " + r.word("all") + ")";
    }

    /** So many of something, in the singular where it is one. */
    static String counted(Reason r, String name, String one) {
        return r.word(name) + " " + (r.amount(name).equals(Fraction.ONE) ? one : one + "s");
    }

    private static String thereAre(Reason r, String name, String one) {
        return (r.amount(name).equals(Fraction.ONE) ? "there is only " : "there are only ") + counted(r, name, one);
    }

    private static String wrongOnes(Reason r) {
        return r.amount("wrong").equals(Fraction.ONE) ? " wrong one" : " wrong ones";
    }

    /** {@code a, b and c}. */
    private static String listed(List<String> texts) {
        int last = texts.size() - 1;
        return last < 1
                ? String.join("", texts)
                : String.join(", ", texts.subList(0, last)) + " and " + texts.get(last);
    }

    private static String neither(List<String> texts) {
        List<String> quoted = texts.stream().map(Words::quoted).toList();
        return switch (quoted.size()) {
            case 1 -> "no " + quoted.get(0);
            case 2 -> "neither " + String.join(" nor ", quoted);
            default -> "none of " + listed(quoted);
        };
    }

    private static String and(List<String> texts) {
        return String.join(" and ", texts.stream().map(Words::quoted).toList());
    }

    static String or(List<String> texts) {
        return String.join(" or ", texts);
    }
}
