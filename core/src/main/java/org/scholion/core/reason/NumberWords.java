package org.scholion.core.reason;

/** Words for numbers whose unit or decimal mark leaves open what was meant. */
final class NumberWords {
    private NumberWords() {}

    static String unknownUnit(Reason r) {
        return Words.quoted(r.word("unit")) + " is not a unit that is known here";
    }

    /** What the unit may have been meant for. */
    static String near(Reason r) {
        return r.words("near").isEmpty()
                ? ""
                : " (nearest: "
                        + Words.or(r.words("near").stream().map(Words::quoted).toList()) + ")";
    }
}
