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
                    ELSEWHERE,
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
            case TEXT_PATTERN -> "is an accepted answer";
            case TEXT_WORDS -> "contains the words asked for";
            case TEXT_REJECTED -> "is listed as a wrong answer" + Words.penalty(r);
            case TEXT_SLIP -> Words.slips(r) + " away from an accepted answer" + Words.slipCredit(r);
            case TEXT_SLIP_REJECTED ->
                Words.slips(r) + " away from an answer that is listed as wrong" + Words.penalty(r);
            case TEXT_TORN -> "as close to an accepted answer as to one listed as wrong; a teacher decides";
            case NUMBER_IN -> typed(r) + " is an accepted value" + number(r);
            case NUMBER_OUT -> typed(r) + " is not an accepted value" + number(r) + Words.penalty(r);
            case NUMBER_COULD_BE -> Words.quoted(r.word("value")) + " can be read in another way; a teacher decides";
            case NUMBER_UNIT_UNKNOWN -> NumberWords.unknownUnit(r) + "; a teacher decides";
            case NUMBER_UNIT_UNKNOWN_WRONG -> NumberWords.unknownUnit(r) + Words.penalty(r);
            case BLANKS_PARTS -> r.word("sum") + " of " + r.word("weights") + " by weight";
            case BLANKS_EXACT -> r.word("sum") + " of " + r.word("weights") + " by weight; all or nothing";
            case CORRECTION -> r.word("left").equals("0") ? "corrected" : Words.changes(r, "");
            case FORMULA_SAME -> "equal to an accepted answer";
            case FORMULA_FORM -> "right in value, but not in the form asked for: " + share(r, "times");
            case FORMULA_DIFFERENT -> "not equal to an accepted answer";
            case FORMULA_UNDECIDED -> "could not be decided by the rules; a teacher decides";
            case WORKING -> working(r);
            case WORKING_UNDECIDED ->
                "whether line " + r.word("line") + " follows could not be decided; a teacher decides";
            case RULING -> "a teacher decided on this answer";
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
                    .append(" is not the unit asked for: ")
                    .append(share(r, "unitWrong"));
        }
        if (r.has("figures")) {
            out.append("; not given to as many significant figures as asked for: ")
                    .append(share(r, "figures"));
        }
        return out.toString();
    }

    private static String share(Reason r, String name) {
        Fraction share = r.amount(name);
        return share.isZero() ? "no credit" : share.toPoints() + " of the credit";
    }

    /** Which line goes wrong is told; what it should have been is not. */
    private static String working(Reason r) {
        return r.word("right") + " of " + r.word("lines") + " lines right"
                + (r.has("wrong") ? "; line " + r.word("wrong") + " is the first wrong one" : "") + "; "
                + (r.has("reached") ? "reaches an accepted final line" : "does not reach an accepted final line");
    }
}
