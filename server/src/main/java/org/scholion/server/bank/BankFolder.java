package org.scholion.server.bank;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** A folder of somebody's bank; its name is its own among those that are not removed. */
@Entity
@Table(name = "bank_folder")
class BankFolder {
    @Id
    UUID id;

    @Column(name = "school_id")
    UUID school;

    @Column(name = "owner_id")
    UUID owner;

    String name;

    @Column(name = "deleted_at")
    @Nullable
    Instant deletedAt;

    @SuppressWarnings("NullAway.Init")
    protected BankFolder() {}
}
