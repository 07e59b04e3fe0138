package org.scholion.core.score;

import java.util.Locale;

/** What can be said of a mark. */
public enum State {
    /** Decided, by a rule or by a person. */
    SCORED,
    /** No answer: 0, never a penalty. */
    BLANK,
    /** The rules decline; a person decides. Counts as 0 until then. */
    SETTLE,
    /** An open answer waits for a reader. Counts as 0 until then. */
    READ,
    /** Left out of that student's score and possible. */
    EXCUSED;

    public boolean isUndecided() {
        return this == SETTLE || this == READ;
    }

    /** Its name in files. */
    public String word() {
        return name().toLowerCase(Locale.ROOT);
    }
}
