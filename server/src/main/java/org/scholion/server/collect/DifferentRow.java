package org.scholion.server.collect;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.IdClass;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** What is different for one student in a sitting. Only teachers see it. */
@Entity
@Table(name = "sitting_different")
@IdClass(StudentInSitting.class)
class DifferentRow {
    @Id
    @Column(name = "sitting_id")
    UUID sitting;

    @Id
    @Column(name = "student_id")
    UUID student;

    @Column(name = "school_id")
    UUID school;

    /** How much of the time, in percent: 150 is half as long again. */
    int percent;

    /** Minutes more beside that. */
    int more;

    /** How often more than the others it may be taken. */
    int attempts;

    @Column(name = "opens_at")
    @Nullable
    Instant opensAt;

    @Column(name = "closes_at")
    @Nullable
    Instant closesAt;

    String note;

    @Column(name = "made_by")
    UUID madeBy;

    @Column(name = "made_at")
    Instant madeAt;

    @SuppressWarnings("NullAway.Init")
    protected DifferentRow() {}

    @SuppressWarnings("NullAway.Init")
    DifferentRow(UUID sitting, UUID student) {
        this.sitting = sitting;
        this.student = student;
        this.note = "";
        this.percent = 100;
    }
}
