package org.scholion.server.demo;

import jakarta.persistence.EntityManager;
import java.util.List;
import java.util.UUID;
import org.scholion.server.course.CourseWork;
import org.scholion.server.course.Courses;
import org.scholion.server.key.InUnit;
import org.springframework.stereotype.Component;

/** The topics of the demo's course, and which assessments belong to them. */
@Component
class DemoUnits {
    private final CourseWork work;
    private final InUnit inUnit;
    private final EntityManager entities;

    DemoUnits(CourseWork work, InUnit inUnit, EntityManager entities) {
        this.work = work;
        this.inUnit = inUnit;
        this.entities = entities;
    }

    /** @param beginnings of the titles of the assessments that belong to it */
    void make(DemoSchool.School school, String title, List<String> beginnings) {
        Courses.CourseView view = work.addUnit(school.aud(), school.course(), new CourseWork.UnitChange(title));
        UUID unit = view.units().get(view.units().size() - 1).id();
        beginnings.forEach(b -> entities.createQuery(
                        "select a.id from AssessmentRow a where a.course = :course and a.title like :title", UUID.class)
                .setParameter("course", school.course())
                .setParameter("title", b + "%")
                .getResultList()
                .forEach(a -> inUnit.put(school.aud(), a, unit)));
    }
}
