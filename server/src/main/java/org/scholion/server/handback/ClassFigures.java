package org.scholion.server.handback;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.core.measure.Spread;
import org.scholion.core.number.Fraction;
import org.scholion.server.key.Edition;
import org.scholion.server.ledger.Attempt;
import org.scholion.server.ledger.Standings;
import org.springframework.stereotype.Service;

/**
 * How a student's class did: of what is decided, and of so many only that nobody can be told from it. It is read once in
 * a while, however many look.
 */
@Service
class ClassFigures {
    /** Of fewer, one could reckon what others have. */
    static final int LEAST = 8;

    private static final Duration HOLDS = Duration.ofSeconds(30);
    private static final int MOST_KEPT = 10_000;

    private final Standings standings;
    private final Cache<OneClass, Optional<Spread>> kept =
            Caffeine.newBuilder().expireAfterWrite(HOLDS).maximumSize(MOST_KEPT).build();

    ClassFigures(Standings standings) {
        this.standings = standings;
    }

    private record OneClass(UUID assessment, UUID section) {}

    /** The figures as they were not longer than half a minute ago; null where the class is too small. */
    StudentResult.@Nullable OfClass of(Edition edition, Attempt attempt) {
        OneClass one = new OneClass(attempt.assessment(), attempt.section());
        return shown(edition, kept.get(one, this::read));
    }

    /** They are read anew: what is handed back now has them as they are now. */
    void readAnew(UUID assessment) {
        kept.asMap().keySet().removeIf(one -> one.assessment().equals(assessment));
    }

    private Optional<Spread> read(OneClass one) {
        List<Fraction> percents = standings.percents(one.assessment(), one.section()).stream()
                .map(Fraction::exactly)
                .toList();
        return percents.size() < LEAST ? Optional.empty() : Spread.of(percents);
    }

    private static StudentResult.@Nullable OfClass shown(Edition edition, Optional<Spread> spread) {
        int digits = edition.assessment().grading().percentDigits();
        return spread.map(s -> new StudentResult.OfClass(
                        s.n(), s.mean().toFixed(digits), s.q1().toFixed(digits), s.q3().toFixed(digits)))
                .orElse(null);
    }
}
