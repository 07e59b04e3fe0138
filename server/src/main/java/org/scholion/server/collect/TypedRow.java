package org.scholion.server.collect;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.IdClass;
import jakarta.persistence.Table;
import java.io.Serializable;
import java.time.Instant;
import java.util.Map;
import java.util.UUID;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

/** What one person typed from the sheet of one student. */
@Entity
@Table(name = "typed_row")
@IdClass(TypedRow.Key.class)
class TypedRow {
    record Key(UUID assessment, UUID student, UUID typist) implements Serializable {}

    @Id
    @Column(name = "assessment_id")
    UUID assessment;

    @Id
    @Column(name = "student_id")
    UUID student;

    @Id
    @Column(name = "typist_id")
    UUID typist;

    @Column(name = "school_id")
    UUID school;

    /** By item; what is not there was not typed. */
    @JdbcTypeCode(SqlTypes.JSON)
    Map<String, String> cells;

    /** By item, what others had typed when this typist said that the own cell stays. */
    @JdbcTypeCode(SqlTypes.JSON)
    Map<String, String> stays;

    @Column(name = "saved_at")
    Instant savedAt;

    @SuppressWarnings("NullAway.Init")
    TypedRow() {}
}
