package org.scholion.server.drawn;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;
import org.jspecify.annotations.Nullable;

/** One line or note on a page of an answer: made, perhaps taken back, never changed. */
@Entity
@Table(name = "drawn_mark")
class DrawnMarkRow {
    @Id
    UUID id;

    @Column(name = "assessment_id")
    UUID assessment;

    @Column(name = "attempt_id")
    UUID attempt;

    String item;
    String file;
    int page;

    @Enumerated(EnumType.STRING)
    DrawnMarks.Kind kind;

    @JdbcTypeCode(SqlTypes.JSON)
    List<List<Double>> points;

    String words;

    @Column(name = "person_id")
    UUID person;

    Instant at;

    @Column(name = "removed_at")
    @Nullable
    Instant removedAt;

    @SuppressWarnings("NullAway.Init")
    protected DrawnMarkRow() {}

    DrawnMarkRow(UUID id, DrawnMarks.Place place, DrawnMarks.NewMark mark, UUID person, Instant at) {
        this.id = id;
        this.assessment = place.assessment();
        this.attempt = place.attempt();
        this.item = place.item();
        this.file = mark.file();
        this.page = mark.page();
        this.kind = mark.kind();
        this.points = mark.points();
        this.words = mark.words();
        this.person = person;
        this.at = at;
    }
}
