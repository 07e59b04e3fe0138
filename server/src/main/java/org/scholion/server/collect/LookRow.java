package org.scholion.server.collect;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.IdClass;
import jakarta.persistence.Table;
import java.io.Serializable;
import java.time.Instant;
import java.util.UUID;

/** How often a student has looked at an answer while they practise, and whether it was right the last time. */
@Entity
@Table(name = "practice_look")
@IdClass(LookRow.Key.class)
class LookRow {
    record Key(UUID attempt, String item) implements Serializable {}

    @Id
    @Column(name = "attempt_id")
    UUID attempt;

    @Id
    String item;

    @Column(name = "school_id")
    UUID school;

    int tries;
    boolean passed;
    Instant at;

    @SuppressWarnings("NullAway.Init")
    protected LookRow() {}

    @SuppressWarnings("NullAway.Init")
    LookRow(UUID school, UUID attempt, String item) {
        this.school = school;
        this.attempt = attempt;
        this.item = item;
    }
}
