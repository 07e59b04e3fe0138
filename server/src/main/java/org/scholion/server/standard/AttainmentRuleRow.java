package org.scholion.server.standard;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.util.UUID;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.JsonNode;

/** How a framework decides attainment, where it says so. */
@Entity
@Table(name = "attainment_rule")
class AttainmentRuleRow {
    @Id
    @Column(name = "framework_id")
    UUID framework;

    @JdbcTypeCode(SqlTypes.JSON)
    JsonNode rule;

    @Version
    @Nullable
    Integer revision;

    @SuppressWarnings("NullAway.Init")
    protected AttainmentRuleRow() {}

    AttainmentRuleRow(UUID framework, JsonNode rule) {
        this.framework = framework;
        this.rule = rule;
    }
}
