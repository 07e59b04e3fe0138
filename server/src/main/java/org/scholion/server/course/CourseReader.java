package org.scholion.server.course;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.IdClass;
import jakarta.persistence.Table;
import java.io.Serializable;
import java.util.UUID;

/** Who reads open answers of a course, without names, and sees nothing else of it. */
@Entity
@Table(name = "course_reader")
@IdClass(CourseReader.Key.class)
class CourseReader {
    record Key(UUID course, UUID person) implements Serializable {}

    @Id
    @Column(name = "course_id")
    UUID course;

    @Id
    @Column(name = "person_id")
    UUID person;

    @SuppressWarnings("NullAway.Init")
    protected CourseReader() {}

    CourseReader(UUID course, UUID person) {
        this.course = course;
        this.person = person;
    }
}
