package org.scholion.server.collect;

import jakarta.persistence.Column;
import jakarta.persistence.Embedded;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** A way of taking a sitting that a teacher has given a name. */
@Entity
@Table(name = "kept_settings")
class KeptSettingsRow {
    @Id
    UUID id;

    @Column(name = "school_id")
    UUID school;

    @Column(name = "owner_id")
    UUID owner;

    String name;

    @Nullable
    Integer minutes;

    @Embedded
    SittingSettings settings;

    @Embedded
    SeenWhen seen;

    @SuppressWarnings("NullAway.Init")
    protected KeptSettingsRow() {}

    @SuppressWarnings("NullAway.Init")
    KeptSettingsRow(UUID id, UUID school, UUID owner) {
        this.id = id;
        this.school = school;
        this.owner = owner;
    }
}
