package org.scholion.server.person;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** Somebody's being signed in, in one browser. */
@Entity
@Table(name = "sign_in")
class SignInRow {
    @Id
    byte[] token;

    @Column(name = "person_id")
    UUID person;

    @Column(name = "made_at")
    Instant madeAt;

    @Column(name = "seen_at")
    Instant seenAt;

    /** The sitting to which alone they came in; null for all that is theirs. */
    @Column(name = "sitting_id")
    @Nullable
    UUID sitting;

    /** For Hibernate. */
    @SuppressWarnings("NullAway.Init")
    protected SignInRow() {}

    SignInRow(byte[] token, UUID person, @Nullable UUID sitting, Instant now) {
        this.sitting = sitting;
        this.token = token;
        this.person = person;
        this.madeAt = now;
        this.seenAt = now;
    }
}
