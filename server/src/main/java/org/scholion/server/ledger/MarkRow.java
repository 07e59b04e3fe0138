package org.scholion.server.ledger;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.math.BigInteger;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.Immutable;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;
import org.jspecify.annotations.Nullable;
import org.scholion.core.score.State;
import org.scholion.formats.assessment.ReasonJson;
import tools.jackson.databind.JsonNode;

/** A line of the ledger: written once, never changed. Its place rises across the whole database. */
@Entity
@Immutable
@Table(name = "mark")
class MarkRow {
    @Id
    Long seq;

    @Column(name = "school_id")
    UUID school;

    @Column(name = "attempt_id")
    UUID attempt;

    String item;

    @Enumerated(EnumType.STRING)
    State state;

    /** The credit as an exact fraction. */
    BigInteger numerator;

    BigInteger denominator;

    @JdbcTypeCode(SqlTypes.JSON)
    JsonNode reason;

    int edition;

    /** Null where a rule decided. */
    @Column(name = "person_id")
    @Nullable
    UUID person;

    /** What a reader chose, said and noted. */
    @JdbcTypeCode(SqlTypes.JSON)
    @Nullable
    JsonNode reading;

    Instant at;

    /** The place of the mark that stands again, where somebody took back what came after it. */
    @Nullable
    Long restores;

    @Column(name = "acted_by")
    @Nullable
    UUID actedBy;

    @SuppressWarnings("NullAway.Init")
    protected MarkRow() {}

    MarkRow(UUID school, LedgerMark m) {
        this.seq = m.seq();
        this.school = school;
        this.attempt = m.attempt();
        this.item = m.item();
        this.state = m.mark().state();
        this.numerator = m.mark().credit().numerator();
        this.denominator = m.mark().credit().denominator();
        this.reason = ReasonJson.write(m.mark().reason());
        this.edition = m.edition();
        this.person = m.person();
        this.reading = m.reading();
        this.at = m.at();
        this.restores = m.takenBack() == null ? null : m.takenBack().restores();
        this.actedBy = m.takenBack() == null ? null : m.takenBack().by();
    }
}
