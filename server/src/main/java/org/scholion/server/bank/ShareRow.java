package org.scholion.server.bank;

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

/** That something may be used, or edited, by a colleague. */
@Entity
@Table(name = "share")
@IdClass(ShareRow.Key.class)
class ShareRow {
    record Key(UUID object, UUID person) implements Serializable {}

    @Id
    @Column(name = "object_id")
    UUID object;

    @Id
    @Column(name = "person_id")
    UUID person;

    @Enumerated(EnumType.STRING)
    Sharing.Kind kind;

    @Column(name = "may_edit")
    boolean mayEdit;

    @Column(name = "by_id")
    UUID by;

    Instant at;

    @SuppressWarnings("NullAway.Init")
    protected ShareRow() {}
}
