package org.scholion.server.file;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.IdClass;
import jakarta.persistence.Table;
import java.io.Serializable;
import java.util.UUID;
import org.hibernate.annotations.Immutable;

/** That a definition has a file. */
@Entity
@Immutable
@Table(name = "file_use")
@IdClass(FileUse.Key.class)
class FileUse {
    record Key(UUID school, String file, UUID object) implements Serializable {}

    @Id
    @Column(name = "school_id")
    UUID school;

    @Id
    @Column(name = "file_id")
    String file;

    @Id
    @Column(name = "object_id")
    UUID object;

    @Enumerated(EnumType.STRING)
    FileUses.Kind kind;

    @SuppressWarnings("NullAway.Init")
    protected FileUse() {}
}
