package org.scholion.server.read;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.IdClass;
import jakarta.persistence.Table;
import java.io.Serializable;
import java.util.UUID;

/** Which answers of an assessment a reader reads. */
@Entity
@Table(name = "reader_scope")
@IdClass(ReaderScopeRow.Key.class)
class ReaderScopeRow {
    record Key(UUID assessment, UUID person) implements Serializable {}

    @Id
    @Column(name = "assessment_id")
    UUID assessment;

    @Id
    @Column(name = "person_id")
    UUID person;

    /** None for all of them. */
    String[] items;

    /** None for all of them. */
    UUID[] sections;

    int part;
    int parts;

    @SuppressWarnings("NullAway.Init")
    protected ReaderScopeRow() {}

    @SuppressWarnings("NullAway.Init")
    ReaderScopeRow(UUID assessment, UUID person) {
        this.assessment = assessment;
        this.person = person;
    }
}
