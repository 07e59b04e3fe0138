package org.scholion.server.read;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** A comment that its reader keeps for other answers. */
@Entity
class KeptComment {
    @Id
    UUID id;

    @Column(name = "owner_id")
    UUID owner;

    String text;

    /** Of a short mark: the letter by which it is set beside words of an answer. */
    @Nullable
    String letter;

    /** How often it was put into an answer's comment. */
    int uses;

    @Column(name = "changed_at")
    Instant changedAt;

    @Column(name = "deleted_at")
    @Nullable
    Instant deletedAt;

    @SuppressWarnings("NullAway.Init")
    protected KeptComment() {}

    KeptComment(UUID id, UUID owner, String text, Instant at) {
        this.id = id;
        this.owner = owner;
        this.text = text;
        this.changedAt = at;
    }
}
