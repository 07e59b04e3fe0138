package org.scholion.server.collect;

import jakarta.persistence.Column;
import jakarta.persistence.Embeddable;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import java.time.Instant;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.scholion.server.platform.Moments;
import org.scholion.server.platform.Refused;

/**
 * What students see of their work in a sitting, and from when on.
 *
 * @param score score and band
 * @param marks the mark of each question with its reason
 * @param answers their own answers
 * @param notes feedback and comments
 * @param keys the right answers
 * @param standards what was shown of each standard; null is never
 * @param classFigures how the class did, from eight students on; null is never
 * @param from the moment that {@link When#FROM_DATE} means; null where nothing waits for one
 */
@Embeddable
public record SeenWhen(
        @Enumerated(EnumType.STRING) @Column(name = "see_score")
        When score,

        @Enumerated(EnumType.STRING) @Column(name = "see_marks")
        When marks,

        @Enumerated(EnumType.STRING) @Column(name = "see_answers")
        When answers,

        @Enumerated(EnumType.STRING) @Column(name = "see_notes")
        When notes,

        @Enumerated(EnumType.STRING) @Column(name = "see_keys")
        When keys,

        @Enumerated(EnumType.STRING) @Column(name = "see_standards") @Nullable
        When standards,

        @Enumerated(EnumType.STRING) @Column(name = "see_class") @Nullable
        When classFigures,

        @Column(name = "see_from") @Nullable Instant from) {
    /** From when on something is seen, as the moments come one after the other. */
    public enum When {
        AT_HAND_IN,
        /** Once no sitting of the assessment is open, or to come, for anybody. */
        ALL_CLOSED,
        FROM_DATE,
        HANDED_BACK,
        NEVER
    }

    public static final SeenWhen USUAL = new SeenWhen(
            When.HANDED_BACK,
            When.HANDED_BACK,
            When.HANDED_BACK,
            When.HANDED_BACK,
            When.NEVER,
            When.HANDED_BACK,
            When.NEVER,
            null);

    /** What is seen at one moment by somebody who has handed in, before anything is handed back. */
    public record SeenNow(
            boolean score,
            boolean marks,
            boolean answers,
            boolean notes,
            boolean keys,
            boolean standards,
            boolean classFigures) {
        public boolean any() {
            return showsHowItWent() || answers;
        }

        /** Whether a student can tell from it how they did. */
        public boolean showsHowItWent() {
            return score || marks || notes || keys || standards || classFigures;
        }
    }

    private When ofStandards() {
        return standards == null ? When.NEVER : standards;
    }

    private When ofClass() {
        return classFigures == null ? When.NEVER : classFigures;
    }

    SeenWhen checked() {
        boolean asksDate = Stream.of(score, marks, answers, notes, keys, ofStandards(), ofClass())
                .anyMatch(w -> w == When.FROM_DATE);
        Moments.require("from", from);
        if (asksDate && from == null) {
            throw Refused.invalid("from", "Say from which date on it is seen.");
        }
        return new SeenWhen(score, marks, answers, notes, keys, ofStandards(), ofClass(), asksDate ? from : null);
    }

    /** The same without a date: what waits for one is seen when it is handed back. */
    SeenWhen withoutDate() {
        return new SeenWhen(
                dateless(score),
                dateless(marks),
                dateless(answers),
                dateless(notes),
                dateless(keys),
                dateless(ofStandards()),
                dateless(ofClass()),
                null);
    }

    private static When dateless(When when) {
        return when == When.FROM_DATE ? When.HANDED_BACK : when;
    }

    SeenNow at(Instant now, boolean allClosed) {
        return new SeenNow(
                isSeen(score, now, allClosed),
                isSeen(marks, now, allClosed),
                isSeen(answers, now, allClosed),
                isSeen(notes, now, allClosed),
                isSeen(keys, now, allClosed),
                isSeen(ofStandards(), now, allClosed),
                isSeen(ofClass(), now, allClosed));
    }

    private boolean isSeen(When when, Instant now, boolean allClosed) {
        return switch (when) {
            case AT_HAND_IN -> true;
            case ALL_CLOSED -> allClosed;
            case FROM_DATE -> from != null && !now.isBefore(from);
            case HANDED_BACK, NEVER -> false;
        };
    }

    /** What is seen at a moment of that kind, when each of them comes in its turn. */
    public SeenNow then(When moment) {
        return new SeenNow(
                isSeen(score, moment),
                isSeen(marks, moment),
                isSeen(answers, moment),
                isSeen(notes, moment),
                isSeen(keys, moment),
                isSeen(ofStandards(), moment),
                isSeen(ofClass(), moment));
    }

    private static boolean isSeen(When when, When moment) {
        return when != When.NEVER && when.compareTo(moment) <= 0;
    }

    /** What is handed back with it: everything that is ever to be seen. */
    public SeenNow handedBack() {
        return new SeenNow(
                score != When.NEVER,
                marks != When.NEVER,
                answers != When.NEVER,
                notes != When.NEVER,
                keys != When.NEVER,
                ofStandards() != When.NEVER,
                ofClass() != When.NEVER);
    }
}
