package org.scholion.server.key;

import jakarta.persistence.EntityManager;
import java.util.HashMap;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.server.access.Access;
import org.scholion.server.course.Courses;
import org.scholion.server.platform.Me;
import org.scholion.server.platform.Refused;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Which unit of its course an assessment belongs to; it is no part of the key, so that no edit of a key notices. */
@Service
public class InUnit {
    private final EntityManager entities;
    private final Courses courses;
    private final Access access;

    InUnit(EntityManager entities, Courses courses, Access access) {
        this.entities = entities;
        this.courses = courses;
        this.access = access;
    }

    @Transactional
    public void put(Me me, UUID assessment, @Nullable UUID unit) {
        access.require(me, Access.Action.WORK_ON_ASSESSMENT, assessment);
        UUID course = entities.find(AssessmentRow.class, assessment).course;
        if (unit != null && courses.units(course).stream().noneMatch(u -> u.id().equals(unit))) {
            throw Refused.invalid("unit", "this course has no such unit; it may have been removed");
        }
        entities.createQuery("update AssessmentRow set unit = :unit where id = :id")
                .setParameter("unit", unit)
                .setParameter("id", assessment)
                .executeUpdate();
    }

    /** The units of a course's assessments, by assessment; those in none are left out. */
    @Transactional(readOnly = true)
    public Map<UUID, UUID> of(UUID course) {
        Map<UUID, UUID> units = new HashMap<>();
        entities.createQuery(
                        "select a.id, a.unit from AssessmentRow a where a.course = :course and a.unit is not null",
                        Object[].class)
                .setParameter("course", course)
                .getResultList()
                .forEach(row -> units.put((UUID) row[0], (UUID) row[1]));
        return units;
    }
}
