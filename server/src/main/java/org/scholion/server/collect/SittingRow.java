package org.scholion.server.collect;

import jakarta.persistence.Column;
import jakarta.persistence.Embedded;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** An assessment given to a section: when it opens and closes, how long one may take, and how it is taken. */
@Entity
@Table(name = "sitting")
class SittingRow {
    @Id
    UUID id;

    @Column(name = "school_id")
    UUID school;

    /** The short word that leads to it. */
    String way;

    @Column(name = "assessment_id")
    UUID assessment;

    @Column(name = "section_id")
    UUID section;

    @Column(name = "opens_at")
    Instant opensAt;

    @Column(name = "closes_at")
    Instant closesAt;

    @Nullable
    Integer minutes;

    @Enumerated(EnumType.STRING)
    @Column(name = "paper_after")
    PaperAfter paperAfter;

    @Column(name = "made_by")
    UUID madeBy;

    @Column(name = "made_at")
    Instant madeAt;

    /** The file of answers for which it was made; null for what was given out. */
    @Column(name = "brought_in")
    @Nullable
    UUID broughtIn;

    /** Until when it may be handed in late; null for not at all. */
    @Column(name = "late_until")
    @Nullable
    Instant lateUntil;

    /** When the time of the last student is over, with everything that is different for some. */
    @Column(name = "ends_at")
    Instant endsAt;

    /** Whether it is for chosen students of the section only. */
    boolean chosen;

    @Embedded
    SittingSettings settings;

    @Embedded
    SeenWhen seen;

    @Embedded
    GuestRules guests;

    @SuppressWarnings("NullAway.Init")
    SittingRow() {}

    /** How often a student may take it, with what is different for them. */
    int attemptsFor(@Nullable DifferentRow different) {
        return settings.attempts() + (different == null ? 0 : different.attempts);
    }
}
