package org.scholion.server.platform;

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
import org.hibernate.annotations.Immutable;
import org.jspecify.annotations.Nullable;

/** Something that somebody did, and about whom or what. */
@Entity
@Immutable
@Table(name = "deed")
@IdClass(DeedRow.Key.class)
class DeedRow {
    record Key(UUID school, UUID id) implements Serializable {}

    @Id
    @Column(name = "school_id")
    UUID school;

    @Id
    UUID id;

    Instant at;

    /** Null for what a person did at the machine itself. */
    @Nullable
    UUID by;

    @Enumerated(EnumType.STRING)
    Deeds.What what;

    @Nullable
    UUID about;

    String facts;

    /** For Hibernate. */
    @SuppressWarnings("NullAway.Init")
    protected DeedRow() {}

    DeedRow(UUID school, UUID id, Instant at, @Nullable UUID by, Deeds.What what, @Nullable UUID about, String facts) {
        this.school = school;
        this.id = id;
        this.at = at;
        this.by = by;
        this.what = what;
        this.about = about;
        this.facts = facts;
    }
}
