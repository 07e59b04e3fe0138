package org.scholion.server.desk;

import io.swagger.v3.oas.annotations.Hidden;
import org.scholion.server.person.Schools;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.dao.DataAccessException;
import org.springframework.http.ResponseEntity;
import org.springframework.transaction.TransactionException;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/** Whether people can sign in: migrated, the demo, where there is one, loaded, and the database answering. */
@RestController
@Hidden
class Ready {
    private final Schools schools;
    private volatile boolean started;

    Ready(Schools schools) {
        this.schools = schools;
    }

    @EventListener(ApplicationReadyEvent.class)
    void isStarted() {
        started = true;
    }

    @GetMapping("/api/ready")
    ResponseEntity<Void> ready() {
        return started && answers()
                ? ResponseEntity.noContent().build()
                : ResponseEntity.status(503).build();
    }

    private boolean answers() {
        try {
            schools.isThereAny();
            return true;
        } catch (DataAccessException | TransactionException e) {
            return false;
        }
    }
}
