package org.scholion.server.key;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.util.List;
import java.util.UUID;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

/** By what an assessment is found beside its title. */
@Entity
@Table(name = "assessment_about")
class AboutRow {
    @Id
    @Column(name = "assessment_id")
    UUID assessment;

    @Column(name = "school_id")
    UUID school;

    String description = "";

    /** Empty where there is none. */
    String code = "";

    @JdbcTypeCode(SqlTypes.JSON)
    List<String> labels = List.of();

    @Version
    Integer revision;

    @SuppressWarnings("NullAway.Init")
    AboutRow() {}
}
