package org.scholion.server.collect;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.Map;
import java.util.UUID;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

/** What a guest said of themselves when they came in. */
@Entity
@Table(name = "guest")
class Guest {
    @Id
    @Column(name = "person_id")
    UUID person;

    @Column(name = "school_id")
    UUID school;

    @Column(name = "sitting_id")
    UUID sitting;

    /** A word of their browser's own, by which a repeated request is the same guest. */
    UUID once;

    /** The class that they say they are of; may be empty. */
    @Column(name = "class_name")
    String group;

    String email;

    /** By the labels of the teacher's own fields. */
    @JdbcTypeCode(SqlTypes.JSON)
    Map<String, String> own;

    Instant at;

    @SuppressWarnings("NullAway.Init")
    Guest() {}
}
