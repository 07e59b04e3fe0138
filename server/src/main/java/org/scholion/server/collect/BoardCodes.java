package org.scholion.server.collect;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Duration;
import java.util.UUID;
import java.util.concurrent.atomic.AtomicInteger;
import org.jspecify.annotations.Nullable;
import org.scholion.server.platform.Me;
import org.scholion.server.platform.Refused;
import org.springframework.stereotype.Component;

/** Codes that stand on the board: whoever begins types them, and nobody finds them by trying. */
@Component
class BoardCodes {
    private static final int TRIES = 10;

    /** Whose tries at which sitting. */
    private record Whose(UUID student, UUID sitting) {}

    private final Cache<Whose, AtomicInteger> tries = Caffeine.newBuilder()
            .expireAfterWrite(Duration.ofMinutes(10))
            .maximumSize(100_000)
            .build();

    void require(Me me, SittingRow sitting, @Nullable String typed) {
        String code = sitting.settings.code();
        if (code.isEmpty()) {
            return;
        }
        AtomicInteger wrong = tries.get(new Whose(me.id(), sitting.id), w -> new AtomicInteger());
        if (wrong.get() >= TRIES) {
            throw Refused.conflict("code-tries", "Too many codes were tried. Wait ten minutes, or ask your teacher.");
        }
        if (!code.equals(SittingSettings.plainCode(typed == null ? "" : typed))) {
            wrong.incrementAndGet();
            throw Refused.conflict("code", "This is not the code. Type it as it stands on the board.");
        }
    }
}
