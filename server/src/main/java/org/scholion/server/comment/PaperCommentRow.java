package org.scholion.server.comment;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.Immutable;

/** What somebody said of a paper at one time; an empty text takes back what was said before. */
@Entity
@Immutable
@Table(name = "paper_comment")
class PaperCommentRow {
    @Id
    UUID id;

    @Column(name = "assessment_id")
    UUID assessment;

    @Column(name = "attempt_id")
    UUID attempt;

    @Column(name = "person_id")
    UUID person;

    String text;
    Instant at;

    @SuppressWarnings("NullAway.Init")
    protected PaperCommentRow() {}

    PaperCommentRow(UUID id, UUID assessment, UUID attempt, UUID person, String text, Instant at) {
        this.id = id;
        this.assessment = assessment;
        this.attempt = attempt;
        this.person = person;
        this.text = text;
        this.at = at;
    }
}
