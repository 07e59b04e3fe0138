package org.scholion.server.ledger;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.IdClass;
import jakarta.persistence.Table;
import java.io.Serializable;
import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.core.score.State;
import org.scholion.server.key.Edition;

/** What an attempt stands at, and what its current marks come to: a projection of the ledger, to be made again at will. */
@Entity
@Table(name = "standing")
@IdClass(StandingRow.Key.class)
class StandingRow {
    record Key(UUID school, UUID attempt) implements Serializable {}

    /** By the whole key, which begins with the school: what others have stored is not looked through. */
    @Id
    @Column(name = "school_id")
    UUID school;

    @Id
    @Column(name = "attempt_id")
    UUID attempt;

    String score;
    String possible;

    @Nullable
    String percent;

    @Nullable
    String band;

    @Nullable
    Boolean passed;

    boolean provisional;

    @Column(name = "awaits_curve")
    boolean awaitsCurve;

    /** Of several attempts of one student, whether this one counts. */
    boolean counts;

    Instant at;

    /** Its current marks, packed by {@link Tally}; null where they are still to be packed. */
    byte @Nullable [] tally;

    /** The highest place in the ledger of its current marks. */
    long place;

    /** How many of its marks wait in Settle, of those that can wait at all. */
    int doubts;

    int unread;

    /** Its answers that are read by a person, read or not. */
    @Column(name = "open_answers")
    int openAnswers;

    @Column(name = "doubts_since")
    @Nullable
    Instant doubtsSince;

    @Column(name = "unread_since")
    @Nullable
    Instant unreadSince;

    @SuppressWarnings("NullAway.Init")
    protected StandingRow() {}

    /** What an attempt stands at now, and its marks in brief, in the order of the edition. */
    StandingRow(Attempt attempt, Standings.Standing s, Edition edition, List<Brief> marks, long place, Instant at) {
        this(attempt, edition, marks, place, at);
        standAt(s);
    }

    /** The same before it is known what they come to. */
    @SuppressWarnings("NullAway.Init")
    StandingRow(Attempt attempt, Edition edition, List<Brief> marks, long place, Instant at) {
        this.school = attempt.school();
        this.attempt = attempt.id();
        this.counts = true;
        this.at = at;
        this.tally = Tally.pack(marks);
        this.place = place;
        for (int i = 0; i < marks.size(); i++) {
            Brief mark = marks.get(i);
            boolean isOpen = mark.read() || mark.state() == State.READ;
            if ((isOpen || mark.state() == State.SETTLE)
                    && edition.waits(edition.items().get(i))) {
                count(mark, isOpen);
            }
        }
    }

    /** What is stored of an attempt, as it was read with its paper. */
    static StandingRow asKept(Marked m, Edition edition, List<Brief> marks, Instant at) {
        StandingRow row = new StandingRow(m.attempt(), m.stored(), edition, marks, m.place(), at);
        row.counts = m.counts();
        return row;
    }

    final void standAt(Standings.Standing s) {
        this.score = s.score();
        this.possible = s.possible();
        this.percent = s.percent();
        this.band = s.band();
        this.passed = s.passed();
        this.provisional = s.provisional();
        this.awaitsCurve = s.awaitsCurve();
    }

    /** Of what can wait for somebody. */
    private void count(Brief mark, boolean isOpen) {
        openAnswers += isOpen ? 1 : 0;
        if (mark.state() == State.SETTLE) {
            doubts++;
            doubtsSince = earlier(doubtsSince, mark);
        } else if (mark.state() == State.READ) {
            unread++;
            unreadSince = earlier(unreadSince, mark);
        }
    }

    private static Instant earlier(@Nullable Instant since, Brief mark) {
        Instant own = Instant.ofEpochMilli(mark.since());
        return since == null || own.isBefore(since) ? own : since;
    }

    Standings.Standing standing() {
        return new Standings.Standing(attempt, score, possible, percent, band, passed, provisional, awaitsCurve);
    }

    /** All of it in words, for whoever looks for a difference. */
    String told() {
        return standing() + " with " + (tally == null ? "no tally" : Tally.unpack(tally)) + ", " + doubts + " doubts, "
                + unread + " of " + openAnswers + " unread";
    }

    /** Says the same, whenever it was written. */
    boolean saysAs(StandingRow other) {
        return standing().equals(other.standing())
                && Arrays.equals(tally, other.tally)
                && place == other.place
                && doubts == other.doubts
                && unread == other.unread
                && openAnswers == other.openAnswers;
    }
}
