package org.scholion.server.person;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Duration;
import java.util.UUID;

/** A school and what its administrator has set. */
@Entity
class School {
    @Id
    UUID id;

    String name;
    String zone;

    @Column(name = "idle_minutes")
    int idleMinutes = 240;

    @Column(name = "session_hours")
    int sessionHours = 12;

    @Column(name = "made_up")
    boolean madeUp;

    String language = "en";

    /** One to three letters that stand for the school on its students' pages. */
    String sign = "";

    /** The one colour of its students' pages, as {@code #1f4e5f}; empty for none of its own. */
    String accent = "";

    /** The ends of the school's own addresses for letters, after the {@code @}, with blanks between. */
    @Column(name = "mail_domains")
    String mailDomains = "";

    /** The pages that may show a sitting within them, with blanks between. */
    @Column(name = "framed_by")
    String framedBy = "";

    @Column(name = "teachers_make_courses")
    boolean teachersMakeCourses = true;

    @Column(name = "teachers_share")
    boolean teachersShare = true;

    /** For Hibernate. */
    @SuppressWarnings("NullAway.Init")
    protected School() {}

    School(UUID id, String name, String zone, boolean madeUp) {
        this.id = id;
        this.name = name;
        this.zone = zone;
        this.madeUp = madeUp;
    }

    /** How long one stays signed in without doing anything. */
    Duration idle() {
        return Duration.ofMinutes(idleMinutes);
    }

    /** How long one stays signed in at all. */
    Duration longest() {
        return Duration.ofHours(sessionHours);
    }
}
