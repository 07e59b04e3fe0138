package org.scholion.server.collect;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.IdClass;
import jakarta.persistence.Table;
import java.util.UUID;

/** A student for whom a sitting is, where it is for chosen ones of its section. */
@Entity
@Table(name = "sitting_student")
@IdClass(StudentInSitting.class)
class ChosenStudent {
    @Id
    @Column(name = "sitting_id")
    UUID sitting;

    @Id
    @Column(name = "student_id")
    UUID student;

    @Column(name = "school_id")
    UUID school;

    @SuppressWarnings("NullAway.Init")
    protected ChosenStudent() {}

    @SuppressWarnings("NullAway.Init")
    ChosenStudent(UUID school, UUID sitting, UUID student) {
        this.school = school;
        this.sitting = sitting;
        this.student = student;
    }
}
