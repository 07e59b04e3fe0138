package org.scholion.server.desk;

import io.swagger.v3.oas.annotations.Hidden;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/** Whether the application is ready: migrated, and the demo, where there is one, loaded. */
@RestController
@Hidden
class Ready {
    private volatile boolean ready;

    @EventListener(ApplicationReadyEvent.class)
    void isReady() {
        ready = true;
    }

    @GetMapping("/api/ready")
    ResponseEntity<Void> ready() {
        return ready
                ? ResponseEntity.noContent().build()
                : ResponseEntity.status(503).build();
    }
}
