package org.scholion.server.file;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.IdClass;
import jakarta.persistence.Table;
import java.io.Serializable;
import java.time.Instant;
import java.util.UUID;

/** A file of a school, named by the SHA-256 of its bytes, which never change. */
@Entity
@Table(name = "file")
@IdClass(StoredFile.Key.class)
class StoredFile {
    record Key(UUID school, String id) implements Serializable {}

    @Id
    @Column(name = "school_id")
    UUID school;

    @Id
    String id;

    String type;
    String name;
    int size;
    byte[] bytes;

    @Column(name = "made_by")
    UUID madeBy;

    @Column(name = "made_at")
    Instant madeAt;

    @SuppressWarnings("NullAway.Init")
    protected StoredFile() {}
}
