package org.scholion.core.reason;

import org.scholion.core.number.Fraction;

/**
 * Reasons for whoever must not learn the right answer from them. A positive list: each code says what it tells, from
 * what the student said and from counts, never from the key's own texts, numbers, units or notes. A new code does not
 * compile until somebody has decided what it may tell.
 */
final class WithoutKey {
    private WithoutKey() {}

    static String say(Reason r) {
        return switch (r.code()) {
            case BLANK,
                    EXCUSED,
                    CHOICE_KEY,
                    CHOICE_CREDIT,
                    CHOICE_SEVERAL,
                    CHOICE_SEVERAL_WRONG,
                    CHOICE_EXACT,
                    CHOICE_EACH,
                    CHOICE_NET,
                    CHOICE_HITS,
                    CHOICE_WEIGHTS,
                    TEXT_UNKNOWN,
                    TEXT_OTHERWISE_WRONG,
                    NUMBER_UNREADABLE,
                    NUMBER_UNREADABLE_WRONG,
                    PAIRS_EACH,
                    PAIRS_NET,
                    PAIRS_EXACT,
                    ORDER_EXACT,
                    ORDER_PLACES,
                    ORDER_NEIGHBOURS,
                    ORDER_COUPLES,
                    ORDER_LONGEST,
                    SPOT_HITS,
                    SPOT_NET,
                    SPOT_EXACT,
                    OPEN_WAITS,
                    OPEN_POINTS,
                    OPEN_RUBRIC,
                    OPEN_MEAN,
                    OPEN_APART,
                    FORMULA_UNREADABLE,
                    WORKING_UNREADABLE,
                    ATTAINED_SHARE,
                    ATTAINED_LATEST,
                    ATTAINED_DECAY,
                    ATTAINED_BEST,
                    ATTAINED_COUNT,
                    ATTAINED_NOTHING,
                    TOTAL,
                    PERSON,
                    OUTGROWN -> Words.english(r);
            case CHOICE_OTHER -> "chose " + Words.quoted(r.word("chosen")) + ", which is not right" + Words.penalty(r);
            case TEXT_SAME -> "matches an accepted answer" + Words.ignored(r);
            case TEXT_PATTERN, TEXT_WORDS -> "is among the accepted answers";
            case TEXT_REJECTED -> "is known to be wrong" + Words.penalty(r);
            case TEXT_SLIP ->
                Words.slips(r) + " from an accepted answer"
                        + (r.has("times") ? ", which earns " + r.word("times") + " of its credit" : "");
            case TEXT_SLIP_REJECTED -> Words.slips(r) + " from an answer that is known to be wrong" + Words.penalty(r);
            case TEXT_TORN -> "as near to an accepted answer as to one that is not; a person decides";
            case NUMBER_IN -> typed(r) + " is among what is accepted" + number(r);
            case NUMBER_OUT -> typed(r) + " is not among what is accepted" + number(r) + Words.penalty(r);
            case BLANKS_PARTS -> r.word("sum") + " of " + r.word("weights") + " by weight";
            case BLANKS_EXACT -> r.word("sum") + " of " + r.word("weights") + " by weight; all or nothing";
            case CORRECTION ->
                r.word("left").equals("0")
                        ? "put right"
                        : r.word("left") + " of " + r.word("all") + " changes are still to be made";
            case FORMULA_SAME -> "equal to an accepted answer";
            case FORMULA_FORM -> "right in value, but not in the form that is asked: " + share(r, "times");
            case FORMULA_DIFFERENT -> "not equal to an accepted answer";
            case FORMULA_UNDECIDED -> "could not be decided by the rules; a person decides";
            case WORKING -> working(r);
            case WORKING_UNDECIDED ->
                "whether line " + r.word("line") + " follows could not be decided; a person decides";
            case RULING -> "your teacher decided on this answer";
        };
    }

    /** As the student wrote it: the value in the expected unit would tell the unit. */
    private static String typed(Reason r) {
        return r.word(r.has("converted") ? "converted" : "value");
    }

    private static String number(Reason r) {
        StringBuilder out = new StringBuilder();
        if (r.has("unitMissing")) {
            out.append("; the unit is missing: ").append(share(r, "unitMissing"));
        }
        if (r.has("unitWrong")) {
            out.append("; ")
                    .append(r.word("unit"))
                    .append(" is not the unit that is asked: ")
                    .append(share(r, "unitWrong"));
        }
        if (r.has("figures")) {
            out.append("; not given to as many significant figures as are asked: ")
                    .append(share(r, "figures"));
        }
        return out.toString();
    }

    private static String share(Reason r, String name) {
        Fraction share = r.amount(name);
        return share.isZero() ? "no points" : share.toExact() + " of the credit";
    }

    /** Which line goes wrong is told; what it should have been is not. */
    private static String working(Reason r) {
        return r.word("right") + " of " + r.word("lines") + " lines right"
                + (r.has("wrong") ? "; line " + r.word("wrong") + " is the first that goes wrong" : "") + "; "
                + (r.has("reached") ? "the end is right" : "does not reach the end");
    }
}
