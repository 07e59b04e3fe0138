package org.scholion.formats.batch;

import java.io.PrintStream;

/** A line on a terminal that tells how far the run has come; nothing where there is no terminal. */
final class Progress {
    private static final int STEP = 5_000;

    private final PrintStream to;
    private final boolean shown;
    private long attempts;
    private long last;

    Progress(PrintStream to, boolean shown) {
        this.to = to;
        this.shown = shown;
    }

    void more(int rows) {
        attempts += rows;
        if (shown && attempts - last >= STEP) {
            last = attempts;
            to.print("\r" + attempts + " attempts …");
            to.flush();
        }
    }

    void done() {
        if (shown && last > 0) {
            to.print("\r" + " ".repeat(30) + "\r");
            to.flush();
        }
    }

    long attempts() {
        return attempts;
    }
}
