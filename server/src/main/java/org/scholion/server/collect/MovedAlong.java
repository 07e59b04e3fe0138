package org.scholion.server.collect;

import java.util.UUID;
import org.scholion.server.course.OnRoster;
import org.scholion.server.ledger.Attempts;
import org.springframework.stereotype.Component;

/** Whoever moves to another section takes their attempts along, with the times that they were begun under. */
@Component
class MovedAlong implements OnRoster.Moving {
    private final Attempts attempts;

    MovedAlong(Attempts attempts) {
        this.attempts = attempts;
    }

    @Override
    public void moved(UUID student, UUID from, UUID to) {
        attempts.move(student, from, to);
    }
}
