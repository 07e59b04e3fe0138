package org.scholion.server.course;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.IdClass;
import jakarta.persistence.Table;
import java.io.Serializable;
import java.util.UUID;

/** Who teaches a course. */
@Entity
@Table(name = "course_teacher")
@IdClass(CourseTeacher.Key.class)
class CourseTeacher {
    record Key(UUID course, UUID person) implements Serializable {}

    @Id
    @Column(name = "course_id")
    UUID course;

    @Id
    @Column(name = "person_id")
    UUID person;

    @SuppressWarnings("NullAway.Init")
    protected CourseTeacher() {}

    CourseTeacher(UUID course, UUID person) {
        this.course = course;
        this.person = person;
    }
}
