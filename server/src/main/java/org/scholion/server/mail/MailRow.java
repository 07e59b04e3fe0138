package org.scholion.server.mail;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.IdClass;
import jakarta.persistence.Table;
import java.io.Serializable;
import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** A letter that is to be sent, or was. */
@Entity
@Table(name = "mail")
@IdClass(MailRow.Key.class)
class MailRow {
    /** Its school and its own id. */
    record Key(UUID school, UUID id) implements Serializable {}

    @Id
    @Column(name = "school_id")
    UUID school;

    @Id
    UUID id;

    @Column(name = "person_id")
    UUID person;

    String kind;

    @Column(name = "made_by")
    @Nullable
    UUID madeBy;

    @Column(name = "made_at")
    Instant madeAt;

    @Enumerated(EnumType.STRING)
    Post.State state = Post.State.WAITING;

    @Column(name = "changed_at")
    Instant changedAt;

    int tries;
    String why = "";

    @SuppressWarnings("NullAway.Init")
    protected MailRow() {}

    MailRow(UUID school, UUID id, UUID person, String kind, @Nullable UUID madeBy, Instant madeAt) {
        this.school = school;
        this.id = id;
        this.person = person;
        this.kind = kind;
        this.madeBy = madeBy;
        this.madeAt = madeAt;
        this.changedAt = madeAt;
    }
}
