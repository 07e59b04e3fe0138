package org.scholion.server.collect;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.IdClass;
import jakarta.persistence.Table;
import java.util.UUID;
import org.hibernate.annotations.Immutable;

/** A student who has a sitting before them: by their section, or chosen of it. Read only; the database derives it. */
@Entity
@Immutable
@Table(name = "expected")
@IdClass(StudentInSitting.class)
class Expected {
    @Id
    @Column(name = "sitting_id")
    UUID sitting;

    @Id
    @Column(name = "student_id")
    UUID student;

    @Column(name = "assessment_id")
    UUID assessment;

    @Column(name = "section_id")
    UUID section;

    @SuppressWarnings("NullAway.Init")
    protected Expected() {}
}
