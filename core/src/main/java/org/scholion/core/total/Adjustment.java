package org.scholion.core.total;

/** What is done with an item after the event; its marks stay as they were. */
public record Adjustment(String item, Kind kind) {
    /** Out of score and possible; full points to all, or to all who answered; in the score but not in the possible. */
    public enum Kind {
        DROP,
        CREDIT_ALL,
        CREDIT_ANSWERED,
        BONUS
    }
}
