package org.scholion.server.demo;

import jakarta.persistence.EntityManager;
import java.util.List;
import java.util.UUID;
import org.scholion.server.course.CourseWork;
import org.scholion.server.course.Courses;
import org.scholion.server.key.About;
import org.scholion.server.key.InUnit;
import org.springframework.stereotype.Component;

/** The topics of the demo's course, which assessments belong to them, and by what these are found. */
@Component
class DemoUnits {
    private final CourseWork work;
    private final InUnit inUnit;
    private final About about;
    private final EntityManager entities;

    DemoUnits(CourseWork work, InUnit inUnit, About about, EntityManager entities) {
        this.work = work;
        this.inUnit = inUnit;
        this.about = about;
        this.entities = entities;
    }

    /** @param beginnings of the titles of the assessments that belong to it */
    void make(DemoSchool.School school, String title, List<String> beginnings) {
        Courses.CourseView view = work.addUnit(school.aud(), school.course(), new CourseWork.UnitChange(title));
        UUID unit = view.units().get(view.units().size() - 1).id();
        beginnings.forEach(b -> called(school, b).forEach(a -> inUnit.put(school.aud(), a, unit)));
    }

    /** By what an assessment is found beside its title. */
    void find(DemoSchool.School school, String beginning, String code, String description, String... labels) {
        About.AboutChange said = new About.AboutChange(description, code, List.of(labels), 0);
        called(school, beginning).forEach(a -> about.change(school.aud(), a, said));
    }

    private List<UUID> called(DemoSchool.School school, String beginning) {
        return entities.createQuery(
                        "select a.id from AssessmentRow a where a.course = :course and a.title like :title", UUID.class)
                .setParameter("course", school.course())
                .setParameter("title", beginning + "%")
                .getResultList();
    }
}
