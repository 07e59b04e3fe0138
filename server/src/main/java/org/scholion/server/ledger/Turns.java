package org.scholion.server.ledger;

import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/**
 * Whatever writes marks of an assessment takes its turn, so that an attempt which is handed in while the key changes is
 * scored under the new key, and a curve sees every attempt. The turn ends with the transaction, on whichever node it is.
 */
@Component
class Turns {
    private final JdbcClient db;

    Turns(JdbcClient db) {
        this.db = db;
    }

    @Transactional(propagation = Propagation.MANDATORY)
    public void take(UUID assessment) {
        long key = assessment.getMostSignificantBits() ^ assessment.getLeastSignificantBits();
        db.sql("select pg_advisory_xact_lock(?)").param(key).query().listOfRows();
    }
}
