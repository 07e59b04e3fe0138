package org.scholion.server.collect;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Duration;
import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** An assessment given to a section: when it opens and closes, and how long one may take. */
@Entity
@Table(name = "sitting")
class SittingRow {
    @Id
    UUID id = new UUID(0, 0);

    @Column(name = "school_id")
    UUID school = new UUID(0, 0);

    @Column(name = "assessment_id")
    UUID assessment = new UUID(0, 0);

    @Column(name = "section_id")
    UUID section = new UUID(0, 0);

    @Column(name = "opens_at")
    Instant opensAt = Instant.EPOCH;

    @Column(name = "closes_at")
    Instant closesAt = Instant.EPOCH;

    @Nullable
    Integer minutes;

    @Enumerated(EnumType.STRING)
    @Column(name = "paper_after")
    PaperAfter paperAfter = PaperAfter.WHEN_ALL_CLOSED;

    @Column(name = "made_by")
    UUID madeBy = new UUID(0, 0);

    @Column(name = "made_at")
    Instant madeAt = Instant.EPOCH;

    boolean isOpen(Instant now) {
        return !now.isBefore(opensAt) && now.isBefore(closesAt);
    }

    /** Until when an attempt that began then may go on. */
    Instant deadline(Instant startedAt) {
        Instant own = minutes == null ? closesAt : startedAt.plus(Duration.ofMinutes(minutes));
        return own.isBefore(closesAt) ? own : closesAt;
    }
}
