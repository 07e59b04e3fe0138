package org.scholion.server.platform;

import static org.assertj.core.api.Assertions.assertThat;

import jakarta.persistence.PersistenceException;
import java.sql.SQLException;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.dao.DataAccessResourceFailureException;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.orm.jpa.JpaSystemException;
import org.springframework.transaction.CannotCreateTransactionException;

/** What the database refuses is told by what it is, and never as somebody being quicker where nobody was. */
class DatabaseTroubleTest {
    private static RuntimeException state(String state) {
        return new DataIntegrityViolationException("x", new SQLException("x", state));
    }

    @ParameterizedTest
    @CsvSource({
        "23505, 409, exists",
        "23503, 422, invalid",
        "22021, 400, unreadable",
        "22P05, 400, unreadable",
        "22001, 422, invalid",
        "23514, 422, invalid",
        "55P03, 503, busy",
        "40P01, 503, busy",
        "53100, 503, full",
        "57P01, 503, away",
        "08006, 503, away"
    })
    void each_has_its_own_code_and_words(String state, int status, String code) {
        Refused refused = DatabaseTrouble.told(state(state)).orElseThrow();
        assertThat(refused.status().value()).isEqualTo(status);
        assertThat(refused.code()).isEqualTo(code);
        assertThat(refused.getMessage()).endsWith(".").doesNotContain(state, "SQL", "quicker");
    }

    @Test
    void no_connection_is_a_database_that_is_away_and_a_full_disk_is_not() {
        assertThat(DatabaseTrouble.told(new CannotCreateTransactionException("x"))
                        .orElseThrow()
                        .code())
                .isEqualTo("away");
        assertThat(DatabaseTrouble.told(new DataAccessResourceFailureException("x", new SQLException("x", "53100")))
                        .orElseThrow()
                        .code())
                .isEqualTo("full");
        assertThat(DatabaseTrouble.told(new JpaSystemException(new PersistenceException(new SQLException("closed"))))
                        .orElseThrow()
                        .code())
                .as("a connection that was lost while it was used")
                .isEqualTo("away");
    }

    @Test
    void a_fault_of_ours_is_not_told_as_anybodys() {
        assertThat(DatabaseTrouble.told(state("42601")))
                .as("a statement that is wrong")
                .isEmpty();
        assertThat(DatabaseTrouble.told(new DataIntegrityViolationException("x")))
                .isEmpty();
    }
}
