package org.scholion.server.course;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.IdClass;
import java.io.Serializable;
import java.util.UUID;

/** A student on the roster of a section. */
@Entity
@IdClass(Enrolment.Key.class)
class Enrolment {
    record Key(UUID section, UUID student) implements Serializable {}

    @Id
    @Column(name = "section_id")
    UUID section;

    @Id
    @Column(name = "student_id")
    UUID student;

    @SuppressWarnings("NullAway.Init")
    protected Enrolment() {}

    Enrolment(UUID section, UUID student) {
        this.section = section;
        this.student = student;
    }
}
