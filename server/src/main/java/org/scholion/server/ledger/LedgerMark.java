package org.scholion.server.ledger;

import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.core.reason.Reason;
import org.scholion.core.score.Mark;
import org.scholion.server.platform.Me;
import tools.jackson.databind.JsonNode;

/**
 * A line of the ledger: a mark, and who or what decided it, when, under which edition.
 *
 * @param seq its place in the ledger, by which a person says which mark they saw; 0 while it is not written
 * @param person null when a rule decided
 * @param reading what a reader chose, said and noted; null for marks of rules
 * @param takenBack by whom a later mark was taken back so that this one stands again; null for all others
 */
public record LedgerMark(
        UUID attempt,
        String item,
        long seq,
        Mark mark,
        int edition,
        @Nullable UUID person,
        @Nullable String personName,
        @Nullable JsonNode reading,
        Instant at,
        @Nullable TakenBack takenBack) {

    /** @param restores the place of the mark that stands again; 0 where the rules decided anew */
    public record TakenBack(long restores, UUID by, String byName) {}

    /** Which mark of an answer in doubt it is, where what it says does not matter. */
    public static LedgerMark inDoubt(UUID attempt, String item, long seq) {
        return new LedgerMark(
                attempt,
                item,
                seq,
                Mark.settle(Reason.of(Reason.Code.BLANK)),
                0,
                null,
                null,
                null,
                Instant.EPOCH,
                null);
    }

    public static LedgerMark byRule(UUID attempt, String item, Mark mark, int edition, Instant at) {
        return new LedgerMark(attempt, item, 0, mark, edition, null, null, null, at, null);
    }

    public static LedgerMark byPerson(
            UUID attempt, String item, Mark mark, int edition, Me person, @Nullable JsonNode reading, Instant at) {
        return new LedgerMark(attempt, item, 0, mark, edition, person.id(), person.name(), reading, at, null);
    }

    /** What was decided here, decided again: by the same person, under another edition, worth another mark. */
    LedgerMark again(Mark other, int under, Instant when) {
        return new LedgerMark(attempt, item, 0, other, under, person, personName, reading, when, null);
    }

    /** The same decision about another attempt that says the same. */
    LedgerMark of(UUID other, int under, Instant when) {
        return new LedgerMark(other, item, 0, mark, under, person, personName, reading, when, null);
    }

    LedgerMark at(long place) {
        return new LedgerMark(attempt, item, place, mark, edition, person, personName, reading, at, takenBack);
    }

    /** The same mark standing again, because somebody took back what came after it. */
    public LedgerMark restored(Me by, int under, Instant when) {
        TakenBack back = new TakenBack(origin(), by.id(), by.name());
        return new LedgerMark(attempt, item, 0, mark, under, person, personName, reading, when, back);
    }

    /** Made by a person's taking back of their own decision. */
    public LedgerMark takenBackBy(Me by) {
        TakenBack back = new TakenBack(0, by.id(), by.name());
        return new LedgerMark(attempt, item, seq, mark, edition, person, personName, reading, at, back);
    }

    /** The place of what stands here: a restored mark is the one that it restores. */
    public long origin() {
        return takenBack == null || takenBack.restores() == 0 ? seq : takenBack.restores();
    }

    public boolean byPerson() {
        return person != null;
    }

    /** The levels that a reader chose, by criterion; empty for other marks. */
    public Map<String, String> levels() {
        Map<String, String> levels = new LinkedHashMap<>();
        if (reading != null) {
            JsonNode chosen = reading.path("levels");
            chosen.propertyNames().forEach(c -> levels.put(c, chosen.path(c).asString("")));
        }
        return levels;
    }

    /** What the reader says to the student; empty when nothing. */
    public String comment() {
        return reading == null ? "" : reading.path("comment").asString("");
    }

    /** What the reader says to the student of single words, by their places. */
    public List<Remark> remarks() {
        return Remark.in(reading);
    }
}
