package org.scholion.server.course;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.util.UUID;

/** A topic of a course, by which its assessments are grouped. */
@Entity
class Unit {
    @Id
    UUID id;

    @Column(name = "course_id")
    UUID course;

    String title;

    /** Where it stands among the course's units, from 0. */
    int place;

    /** For Hibernate. */
    @SuppressWarnings("NullAway.Init")
    protected Unit() {}

    Unit(UUID id, UUID course, String title, int place) {
        this.id = id;
        this.course = course;
        this.title = title;
        this.place = place;
    }
}
