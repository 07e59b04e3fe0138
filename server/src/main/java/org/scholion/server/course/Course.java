package org.scholion.server.course;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** A subject that is taught. */
@Entity
class Course {
    @Id
    UUID id;

    @Column(name = "school_id")
    UUID school;

    String title;

    /** The framework that it began with; which ones it uses now are links of their own. */
    @Column(name = "framework_id")
    @Nullable
    UUID framework;

    /** Such as {@code Autumn 2026}; may be empty. */
    String term = "";

    @Column(name = "archived_at")
    @Nullable
    Instant archivedAt;

    @Version
    int revision;

    @SuppressWarnings("NullAway.Init")
    protected Course() {}

    Course(UUID id, UUID school, String title, @Nullable UUID framework) {
        this.id = id;
        this.school = school;
        this.title = title;
        this.framework = framework;
    }
}
