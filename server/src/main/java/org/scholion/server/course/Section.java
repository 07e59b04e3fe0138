package org.scholion.server.course;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** The class group of a course; its name is its own within the course. */
@Entity
class Section {
    @Id
    UUID id;

    @Column(name = "course_id")
    UUID course;

    String name;

    @Column(name = "teacher_id")
    @Nullable
    UUID teacher;

    @SuppressWarnings("NullAway.Init")
    protected Section() {}
}
