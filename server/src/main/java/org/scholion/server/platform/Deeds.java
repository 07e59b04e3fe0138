package org.scholion.server.platform;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
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
        PERSON_EXPORTED,
        PERSON_ERASED,
        PEOPLE_MERGED,
        CODES_MADE,
        SITTING_CODES_MADE,
        LINK_MADE,
        INVITED,
        PASSWORD_SET,
        COURSE_ADDED,
        COURSE_CHANGED,
        SECTION_ADDED,
        SECTION_CHANGED,
        TEACHER_ADDED,
        TEACHER_REMOVED,
        READER_ADDED,
        READER_REMOVED,
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

    /** What was done, as it was noted. */
    public record Deed(Instant at, What what, String facts) {}

    /** What was done to somebody, the oldest first. */
    @Transactional(readOnly = true)
    public List<Deed> about(UUID school, UUID about) {
        return entities.createQuery(
                        "select at, what, facts from DeedRow where school = :school and about = :about order by at, id",
                        Deed.class)
                .setParameter("school", school)
                .setParameter("about", about)
                .getResultList();
    }

    /** Puts another name in the place of whom deeds were done to: the law goes before the record. */
    @Transactional
    public void forget(UUID school, UUID about, String was, String name) {
        // A record that never changes otherwise, so that Hibernate's own language refuses to. Who got a course stands
        // there by name; where somebody was moved to is no name.
        entities.createNativeQuery("update deed set facts = :name where school_id = :school and"
                        + " (about = :about and what <> 'STUDENT_MOVED'"
                        + " or what in ('TEACHER_ADDED', 'TEACHER_REMOVED') and facts = :was)")
                .setParameter("name", name)
                .setParameter("school", school)
                .setParameter("about", about)
                .setParameter("was", was)
                .executeUpdate();
    }
}
