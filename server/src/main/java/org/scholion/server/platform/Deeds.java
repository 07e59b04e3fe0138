package org.scholion.server.platform;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** The record of who did what to people, courses and the school; it is written with the deed or not at all. */
@Component
public class Deeds {
    private final EntityManager entities;
    private final Ids ids;
    private final Clock clock;

    Deeds(EntityManager entities, Ids ids, Clock clock) {
        this.entities = entities;
        this.ids = ids;
        this.clock = clock;
    }

    /** What was done. */
    public enum What {
        SCHOOL_BEGUN,
        SCHOOL_CHANGED,
        PERSON_ADDED,
        PERSON_CHANGED,
        PERSON_DISABLED,
        PERSON_ENABLED,
        CODES_MADE,
        LINK_MADE,
        INVITED,
        PASSWORD_SET,
        COURSE_ADDED,
        COURSE_CHANGED,
        SECTION_ADDED,
        SECTION_CHANGED,
        TEACHER_ADDED,
        TEACHER_REMOVED,
        ROSTER_TAKEN,
        STUDENT_ENROLLED,
        STUDENT_MOVED,
        STUDENT_REMOVED
    }

    /**
     * Notes a deed of somebody who is signed in.
     *
     * @param about a person, a course or whatever it was done to
     * @param facts a name or a few words, as they were then
     */
    @Transactional
    public void note(Me me, What what, @Nullable UUID about, String facts) {
        note(me.school(), me.id(), what, about, facts);
    }

    /** Notes a deed; without a person it was done at the machine itself. */
    @Transactional
    public void note(UUID school, @Nullable UUID by, What what, @Nullable UUID about, String facts) {
        entities.persist(new DeedRow(school, ids.next(), clock.instant(), by, what, about, facts));
    }
}
