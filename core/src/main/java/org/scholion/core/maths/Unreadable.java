package org.scholion.core.maths;

/** What was written is not mathematics that can be read here; the message says where or why. */
public final class Unreadable extends Exception {
    private static final long serialVersionUID = 1;

    Unreadable(String message) {
        super(message);
    }

    public String why() {
        return String.valueOf(getMessage());
    }
}
