package org.scholion.server.platform;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.IdClass;
import jakarta.persistence.Table;
import java.io.Serializable;
import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** A request that is done once, and what it was answered. */
@Entity
@Table(name = "idempotent_request")
@IdClass(IdempotentRequest.Key.class)
class IdempotentRequest {
    record Key(UUID person, String key) implements Serializable {}

    @Id
    @Column(name = "person_id")
    UUID person;

    /** Where it went, and the key that it carried. */
    @Id
    String key;

    /** A digest of what it said. */
    String said;

    Instant at;

    /** Null while it is being done. */
    @Nullable
    Integer status;

    @Nullable
    String body;

    @SuppressWarnings("NullAway.Init")
    protected IdempotentRequest() {}
}
