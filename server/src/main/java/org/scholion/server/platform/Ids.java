package org.scholion.server.platform;

import java.security.SecureRandom;
import java.time.Clock;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** UUIDs of version 7 (RFC 9562): they sort by the time they were made. */
@Component
public class Ids {
    private final Clock clock;
    private final SecureRandom random = new SecureRandom();

    public Ids(Clock clock) {
        this.clock = clock;
    }

    public UUID next() {
        long millis = clock.millis();
        long high = millis << 16 | 0x7000 | random.nextInt(1 << 12);
        long low = random.nextLong() & 0x3FFF_FFFF_FFFF_FFFFL | 0x8000_0000_0000_0000L;
        return new UUID(high, low);
    }
}
