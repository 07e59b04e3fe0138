package org.scholion.server.read;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Duration;
import java.util.List;
import java.util.UUID;
import org.scholion.server.ledger.Attempt;
import org.scholion.server.platform.Me;
import org.springframework.stereotype.Component;

/** Who has which answer before them just now. It is kept in memory only: after a start each says so again within seconds. */
@Component
class ReadNow {
    private static final Duration GONE_AFTER = Duration.ofSeconds(40);
    private static final int MOST = 10_000;

    private record Place(UUID attempt, String item) {}

    private record Here(Place place, String name) {}

    private final Cache<UUID, Here> readers =
            Caffeine.newBuilder().maximumSize(MOST).expireAfterWrite(GONE_AFTER).build();

    /** Notes where somebody reads, and tells the names of the others who have the same answer before them. */
    List<String> noted(Me me, Attempt attempt, String item) {
        Place place = new Place(attempt.id(), item);
        readers.put(me.id(), new Here(place, me.name()));
        return readers.asMap().entrySet().stream()
                .filter(e -> !e.getKey().equals(me.id()) && e.getValue().place().equals(place))
                .map(e -> e.getValue().name())
                .sorted()
                .toList();
    }
}
