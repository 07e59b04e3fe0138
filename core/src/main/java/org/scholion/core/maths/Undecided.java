package org.scholion.core.maths;

/** A question of mathematics that was not decided within its bounds. */
final class Undecided extends RuntimeException {
    private static final long serialVersionUID = 1;

    Undecided(String message) {
        super(message, null, false, false);
    }
}
