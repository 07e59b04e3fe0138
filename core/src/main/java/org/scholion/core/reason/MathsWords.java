package org.scholion.core.reason;

/** Reasons of formulas and workings in plain English. */
final class MathsWords {
    private MathsWords() {}

    static String formula(Reason r) {
        return switch (r.code()) {
            case FORMULA_SAME -> "equal to " + Words.quoted(r.word("entry"));
            case FORMULA_FORM ->
                "equal to " + Words.quoted(r.word("entry")) + ", but " + r.word("form") + ": "
                        + (r.amount("times").isZero() ? "no credit" : r.word("times") + " of the credit");
            case FORMULA_DIFFERENT ->
                "not equal to " + Words.quoted(r.word("entry")) + (r.has("at") ? ": " + example(r) : "");
            case FORMULA_UNREADABLE ->
                "cannot be read as mathematics" + (r.has("why") ? " (" + r.word("why") + ")" : "")
                        + "; a teacher decides";
            default ->
                "could not be compared with " + Words.quoted(r.word("entry")) + " (" + r.word("why")
                        + "); a teacher decides";
        };
    }

    private static String example(Reason r) {
        if (r.word("value").endsWith("solution")) {
            return r.word("at") + (r.word("value").equals("a solution") ? " should not be" : " should be")
                    + " a solution";
        }
        return (r.word("at").isEmpty() ? "it is " : "for " + r.word("at") + " it is ") + r.word("value") + ", not "
                + r.word("expected");
    }

    static String working(Reason r) {
        if (r.code() == Reason.Code.WORKING_UNREADABLE) {
            return "line " + r.word("line") + " cannot be read as mathematics"
                    + (r.has("why") ? " (" + r.word("why") + ")" : "") + "; a teacher decides";
        }
        if (r.code() == Reason.Code.WORKING_UNDECIDED) {
            return "whether line " + r.word("line") + " follows could not be decided (" + r.word("why")
                    + "); a teacher decides";
        }
        String lines = r.word("right") + " of " + r.word("lines") + " lines right"
                + (r.has("wrong") ? "; line " + r.word("wrong") + " is the first wrong one" + why(r) : "");
        return lines + "; "
                + (r.has("reached")
                        ? "reaches " + Words.quoted(r.word("reached"))
                        : "does not reach an accepted final line"
                                + (r.has("extraneous")
                                        ? ", since a step brought solutions that were not left out again"
                                        : ""))
                + ": credit "
                + sum(r);
    }

    private static String why(Reason r) {
        return r.has("why") ? " (" + r.word("why") + ")" : "";
    }

    private static String sum(Reason r) {
        return (r.has("reached") ? r.word("result") : "0") + " + " + r.word("steps") + " × " + r.word("right") + "/"
                + r.word("lines");
    }
}
