package org.scholion.server.platform;

import java.sql.SQLException;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import org.springframework.dao.DataAccessResourceFailureException;
import org.springframework.http.HttpStatus;
import org.springframework.transaction.CannotCreateTransactionException;

/** What the database refuses, by what it is (SQL states of PostgreSQL), each in words that are true. */
final class DatabaseTrouble {
    /** A connection that is closed already tells no state of its own. */
    private static final String NOT_CONNECTED = "08003";

    private DatabaseTrouble() {}

    static Optional<Refused> told(RuntimeException e) {
        SQLException sql = Problems.sql(e);
        String state = sql == null ? "" : Objects.requireNonNullElse(sql.getSQLState(), NOT_CONNECTED);
        if (isAway(e, state)) {
            return refused(
                    HttpStatus.SERVICE_UNAVAILABLE,
                    "away",
                    "The database cannot be reached just now. What was saved before is safe. Keep this page open and try"
                            + " again in a moment.");
        }
        return switch (state) {
            case "23505" ->
                refused(
                        HttpStatus.CONFLICT,
                        "exists",
                        "Something with this name or number is there already. Nothing was changed.");
            case "23503" ->
                refused(
                        HttpStatus.UNPROCESSABLE_ENTITY,
                        "invalid",
                        "This names something that is not here. Nothing was changed.");
            case "22021", "22P05" ->
                refused(
                        HttpStatus.BAD_REQUEST,
                        "unreadable",
                        "There is a character in it that cannot be kept. Nothing was changed.");
            case "22001", "22003", "23514" ->
                refused(
                        HttpStatus.UNPROCESSABLE_ENTITY,
                        "invalid",
                        "Something in it is longer or larger than can be kept. Nothing was changed.");
            case "55P03", "40P01", "40001" ->
                refused(
                        HttpStatus.SERVICE_UNAVAILABLE,
                        "busy",
                        "Others are changing the same just now. Nothing of yours was changed; try again in a moment.");
            case "53100", "53200", "53300" ->
                refused(
                        HttpStatus.SERVICE_UNAVAILABLE,
                        "full",
                        "The database has no room left. What was saved before is safe. Keep this page open, and tell your"
                                + " administrator.");
            default -> Optional.empty();
        };
    }

    /** Class 08 is about connections, 57P about a server that stops or starts. */
    private static boolean isAway(RuntimeException e, String state) {
        return e instanceof CannotCreateTransactionException
                || e instanceof DataAccessResourceFailureException && !state.startsWith("53")
                || state.startsWith("08")
                || state.startsWith("57P");
    }

    private static Optional<Refused> refused(HttpStatus status, String code, String words) {
        return Optional.of(new Refused(status, code, words, List.of()));
    }
}
