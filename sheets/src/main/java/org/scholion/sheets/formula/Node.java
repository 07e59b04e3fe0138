package org.scholion.sheets.formula;

import java.util.List;
import org.jspecify.annotations.Nullable;

/** A part of a formula. */
sealed interface Node {
    /** One after the other. */
    record Row(List<Node> parts) implements Node {}

    /** A letter, digit, operator or other sign. */
    record Sign(String text, Kind kind, Face face) implements Node {}

    /** An operator that is large, with its limits beside it: a sum, an integral. */
    record Large(String text) implements Node {}

    /** The name of a function, upright. */
    record Name(String text) implements Node {}

    /** Words, upright, with their spaces. */
    record Words(String text, Face face) implements Node {}

    record Scripts(
            Node base, @Nullable Node below, @Nullable Node above) implements Node {}

    /** @param ruled whether there is a line between; a binomial has none */
    record Fraction(Node above, Node below, boolean ruled) implements Node {}

    record Root(Node inside, @Nullable Node degree) implements Node {}

    /** Between brackets as high as what they hold; an empty one is none. */
    record Fenced(String left, Node inside, String right) implements Node {}

    /** @param mark the sign above, or a line above, below, or around */
    record Marked(Node base, String mark) implements Node {}

    /** Something small on top of, or under, something else. */
    record Stacked(Node base, Node small, boolean onTop) implements Node {}

    /** @param columns for each column whether it is set to the left, in the middle or to the right: l, c, r */
    record Table(List<List<Node>> rows, String columns) implements Node {}

    /** @param em how wide */
    record Space(double em) implements Node {}

    /** What stands where decides the space around it. */
    enum Kind {
        ORDINARY,
        LARGE,
        BINARY,
        RELATION,
        OPENING,
        CLOSING,
        PUNCTUATION
    }

    /** How letters look. */
    enum Face {
        ITALIC,
        UPRIGHT,
        BOLD,
        SLANTED,
        DOUBLE,
        SCRIPT
    }
}
