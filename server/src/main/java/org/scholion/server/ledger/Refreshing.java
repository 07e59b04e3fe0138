package org.scholion.server.ledger;

import java.util.List;
import java.util.UUID;
import org.scholion.server.platform.Events;
import org.scholion.server.platform.Traces;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;

/** Computes the standings of whole assessments again, each in a turn of its own, after the request that asked for it. */
@Component
class Refreshing {
    private static final Logger LOG = LoggerFactory.getLogger(Refreshing.class);

    private final Turns turns;
    private final Standings standings;
    private final Events events;

    Refreshing(Turns turns, Standings standings, Events events) {
        this.turns = turns;
        this.standings = standings;
        this.events = events;
    }

    /** @return how many could be computed */
    int each(List<UUID> assessments) {
        int computed = 0;
        for (UUID assessment : assessments) {
            try {
                turns.whole(assessment, () -> {
                    standings.refresh(assessment);
                    events.say("assessment:" + assessment);
                    return assessment;
                });
                computed++;
            } catch (RuntimeException e) {
                // One assessment's trouble is nobody else's; it is tried again with the next round.
                LOG.error("the standings of an assessment could not be computed: {}", Traces.withoutTexts(e));
            }
        }
        return computed;
    }
}
