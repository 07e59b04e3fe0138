package org.scholion.server.platform;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.JsonNode;

/** Long work and how far it is. */
@Entity
@Table(name = "job")
class JobRow {
    @Id
    UUID id;

    @Column(name = "school_id")
    UUID school;

    @Column(name = "person_id")
    UUID person;

    String kind;

    @Column(name = "object_id")
    UUID object;

    @JdbcTypeCode(SqlTypes.JSON)
    JsonNode input;

    int done;
    int total;

    @Enumerated(EnumType.STRING)
    Jobs.State state;

    @Nullable
    String said;

    @Column(name = "made_at")
    Instant madeAt;

    @Column(name = "changed_at")
    Instant changedAt;

    /** For Hibernate. */
    @SuppressWarnings("NullAway.Init")
    protected JobRow() {}

    JobRow(UUID id, Me me, String kind, UUID object, JsonNode input, int total, Instant now) {
        this.id = id;
        this.school = me.school();
        this.person = me.id();
        this.kind = kind;
        this.object = object;
        this.input = input;
        this.total = total;
        this.state = Jobs.State.RUNNING;
        this.madeAt = now;
        this.changedAt = now;
    }

    Jobs.JobView view() {
        return new Jobs.JobView(id, kind, object, done, total, state, said, changedAt);
    }
}
