package org.scholion.server.read;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.IdClass;
import jakarta.persistence.Table;
import java.io.Serializable;
import java.util.List;
import java.util.UUID;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

/** What is pointed out to those who read the answers to one open question. */
@Entity
@Table(name = "hint_plan")
@IdClass(HintPlanRow.Key.class)
class HintPlanRow {
    record Key(UUID assessment, String item) implements Serializable {}

    @Id
    @Column(name = "assessment_id")
    UUID assessment;

    @Id
    String item;

    /** Words and phrases that are looked for. */
    @JdbcTypeCode(SqlTypes.JSON)
    List<String> words = List.of();

    boolean language;
    boolean likeness;
    boolean sentences;

    @SuppressWarnings("NullAway.Init")
    protected HintPlanRow() {}

    HintPlanRow(UUID assessment, String item) {
        this.assessment = assessment;
        this.item = item;
    }
}
