package org.scholion.server.person;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;

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

    /** For Hibernate. */
    @SuppressWarnings("NullAway.Init")
    protected SignInRow() {}

    SignInRow(byte[] token, UUID person, Instant now) {
        this.token = token;
        this.person = person;
        this.madeAt = now;
        this.seenAt = now;
    }
}
