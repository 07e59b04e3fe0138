package org.scholion.server.platform;

import java.sql.SQLException;

/** Where something went wrong, without the texts that were at hand: names and answers do not belong into a log. */
public final class Traces {
    private static final int MOST_FRAMES = 40;

    private Traces() {}

    public static String withoutTexts(Throwable e) {
        StringBuilder out = new StringBuilder();
        int depth = 0;
        for (Throwable cause = e; cause != null && depth < 8; cause = cause.getCause(), depth++) {
            out.append(depth == 0 ? "" : "\nbecause of ")
                    .append(cause.getClass().getName());
            if (cause instanceof SQLException sql) {
                out.append(" (SQL state ").append(sql.getSQLState()).append(")");
            }
            StackTraceElement[] frames = cause.getStackTrace();
            for (int i = 0; i < Math.min(MOST_FRAMES, frames.length); i++) {
                out.append("\n\tat ").append(frames[i]);
            }
        }
        return out.toString();
    }
}
