package org.scholion.server.read;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.IdClass;
import jakarta.persistence.Table;
import java.io.Serializable;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.core.number.Fraction;
import org.scholion.core.rubric.Resolving;

/** An open question of which a share of the answers is read by two people. */
@Entity
@Table(name = "second_reading")
@IdClass(SecondReadingRow.Key.class)
class SecondReadingRow {
    record Key(UUID assessment, String item) implements Serializable {}

    @Id
    @Column(name = "assessment_id")
    UUID assessment;

    @Id
    String item;

    /** Of a hundred answers so many. */
    int share;

    @Enumerated(EnumType.STRING)
    Resolving.Way way;

    /** Exact points; set where a third reading decides between two that lie further apart. */
    @Nullable
    String apart;

    @SuppressWarnings("NullAway.Init")
    protected SecondReadingRow() {}

    SecondReadingRow(UUID assessment, String item) {
        this.assessment = assessment;
        this.item = item;
        this.way = Resolving.Way.MEAN;
    }

    Resolving rule() {
        return new Resolving(way, apart == null ? null : Fraction.exactly(apart));
    }

    /** The rule for one answer; null where one reading is enough. */
    static @Nullable Resolving rule(@Nullable SecondReadingRow row, UUID attempt) {
        return row != null && row.isOf(attempt) ? row.rule() : null;
    }

    /** Which answers are in the share follows from the attempt alone, so that it never changes. */
    boolean isOf(UUID attempt) {
        return Math.floorMod(attempt.hashCode(), 100) < share;
    }
}
