package org.scholion.server.collect;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.IdClass;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.scholion.server.person.SlipCode;

/** A code on a slip that lets one student into one sitting. */
@Entity
@Table(name = "sitting_slip")
@IdClass(StudentInSitting.class)
class SittingSlip {
    @Id
    @Column(name = "sitting_id")
    UUID sitting;

    @Id
    @Column(name = "student_id")
    UUID student;

    @Column(name = "school_id")
    UUID school;

    /** What is kept of it, the SHA-256 of the student and the code. */
    byte[] code;

    @Column(name = "made_by")
    UUID madeBy;

    @Column(name = "made_at")
    Instant madeAt;

    @SuppressWarnings("NullAway.Init")
    protected SittingSlip() {}

    @SuppressWarnings("NullAway.Init")
    SittingSlip(SittingRow sitting, UUID student) {
        this.sitting = sitting.id;
        this.student = student;
        this.school = sitting.school;
    }

    /** Another code, in the place of the one before. */
    void renew(SlipCode other, UUID by, Instant at) {
        code = other.hash(student);
        madeBy = by;
        madeAt = at;
    }
}
