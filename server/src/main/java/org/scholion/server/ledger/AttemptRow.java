package org.scholion.server.ledger;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.SQLRestriction;
import org.jspecify.annotations.Nullable;

/** One student's one go at a sitting, however it came in. Those that were set aside are not seen here: {@link AnyAttempt}. */
@Entity
@Table(name = "attempt")
@SQLRestriction("set_aside_at is null")
class AttemptRow {
    @Id
    UUID id;

    @Column(name = "school_id")
    UUID school;

    @Column(name = "assessment_id")
    UUID assessment;

    @Column(name = "sitting_id")
    UUID sitting;

    @Column(name = "section_id")
    UUID section;

    @Column(name = "student_id")
    UUID student;

    int number;

    @Column(name = "edition_id")
    UUID edition;

    @Enumerated(EnumType.STRING)
    Attempt.Way way;

    @Column(name = "started_at")
    Instant startedAt;

    @Column(name = "handed_in_at")
    @Nullable
    Instant handedInAt;

    /** When its time on screen is over; null for what comes in otherwise. */
    @Column(name = "due_at")
    @Nullable
    Instant dueAt;

    /** The items that it was not drawn. */
    @Column(name = "left_out")
    String[] leftOut;

    @Column(name = "days_late")
    String daysLate;

    /** Why it could not be taken in at the end of its time; null where it could. */
    @Nullable
    String trouble;

    @Column(name = "trouble_at")
    @Nullable
    Instant troubleAt;

    /** The file that it came in with. */
    @Column(name = "brought_in")
    @Nullable
    UUID broughtIn;

    /** The proof that its student was given; null for what came in otherwise than on screen. */
    @Nullable
    String receipt;

    /** The attempt that was opened again as this one; null for others. */
    @Nullable
    UUID follows;

    /** The attempt in whose order its questions and options stand; null for its own. */
    @Column(name = "own_order")
    @Nullable
    UUID ownOrder;

    /** Until when a teacher lets it go on in any case. */
    @Column(name = "more_until")
    @Nullable
    Instant moreUntil;

    /** Since when it is paused. */
    @Column(name = "paused_at")
    @Nullable
    Instant pausedAt;

    @Column(name = "paused_seconds")
    int pausedSeconds;

    /** How far its student has gone on, where there is no going back: the place of the question in their order. */
    int reached;

    /** How often its student left the page, where that is counted. */
    @Column(name = "left_page")
    int leftPage;

    @SuppressWarnings("NullAway.Init")
    protected AttemptRow() {}
}
