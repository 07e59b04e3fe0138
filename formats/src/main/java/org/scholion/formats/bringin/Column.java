package org.scholion.formats.bringin;

import org.jspecify.annotations.Nullable;

/**
 * What a column of a brought-in table is taken for, and why.
 *
 * @param item the item it answers, when it is one
 * @param sure whether its name says so; what is only likely is shown as a proposal
 */
public record Column(
        int index, String name, Use use, @Nullable String item, String because, boolean sure) {
    static final String CHOSEN = "you chose this";

    /** What a column can be. */
    public enum Use {
        NUMBER,
        EMAIL,
        /** A whole name in one cell, in either order. */
        NAME,
        GIVEN,
        FAMILY,
        /** Answers to a question. */
        ITEM,
        /** What was given for a question where it was scored. */
        POINTS,
        LEFT_OUT
    }

    /** What a person says that a column is. */
    public record Choice(Use use, @Nullable String item) {}

    boolean isStudent() {
        return use != Use.ITEM && use != Use.POINTS && use != Use.LEFT_OUT;
    }

    /** Whether it says something about a question of the paper. */
    boolean isQuestion() {
        return use == Use.ITEM || use == Use.POINTS;
    }

    /** Whether a person has said what it is. */
    boolean isChosen() {
        return because.equals(CHOSEN);
    }

    /** The same taken for something else. */
    Column as(Use other, String why, boolean certain) {
        return new Column(index, name, other, item, why, certain);
    }
}
