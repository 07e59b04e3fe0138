package org.scholion.server.person;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** A word that lets somebody in once. */
@Entity
@Table(name = "way_in")
class WayIn {
    /** What the word is for. */
    enum Kind {
        /** Begins a school where there is none. */
        BEGIN,
        /** Sets a password, from a link. */
        LINK,
        /** Sets a password, typed from a slip beside the name. */
        CODE
    }

    @Id
    byte[] word;

    @Enumerated(EnumType.STRING)
    Kind kind;

    @Column(name = "person_id")
    @Nullable
    UUID person;

    @Column(name = "made_by")
    @Nullable
    UUID madeBy;

    @Column(name = "made_at")
    Instant madeAt;

    Instant until;

    /** For Hibernate. */
    @SuppressWarnings("NullAway.Init")
    protected WayIn() {}

    WayIn(byte[] word, Kind kind, @Nullable UUID person, @Nullable UUID madeBy, Instant madeAt, Instant until) {
        this.word = word;
        this.kind = kind;
        this.person = person;
        this.madeBy = madeBy;
        this.madeAt = madeAt;
        this.until = until;
    }
}
