package org.scholion.server.collect;

/** When a student who has handed in may see the questions again. */
public enum PaperAfter {
    /** Once no sitting of the assessment is open or still to come, so that nobody is told what will be asked. */
    WHEN_ALL_CLOSED,
    AT_ONCE,
    NEVER
}
