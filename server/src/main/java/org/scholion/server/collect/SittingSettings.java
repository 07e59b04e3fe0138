package org.scholion.server.collect;

import jakarta.persistence.Column;
import jakarta.persistence.Embeddable;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import java.util.Locale;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.scholion.server.platform.Lengths;
import org.scholion.server.platform.Refused;

/**
 * How a sitting is taken.
 *
 * @param goingBack whether a student may return to questions that they have left
 * @param mustAnswer whether a question must be answered before one goes on or hands in
 * @param leavingCounted whether it is counted how often a student leaves the page; they are told before
 * @param wordsBefore what stands on the page before the questions; empty for nothing
 * @param wordsAfter what a student reads after handing in; empty for nothing
 * @param practice whether a student looks at each answer at once
 * @param attempts how often a student may take it; which one counts is the rule of the paper
 * @param changes whether a student may change their answers after handing in, until their time is over
 * @param fullScreen whether full screen is asked for
 * @param picture the file of the picture on the page before the questions; null for none
 * @param pictureWords what is on it, for whoever does not see it; null for what need not be told
 * @param calculator which one the page has; null for none
 * @param receiptByMail whether who hands in is mailed the receipt with their answers; null for not
 * @param code to be typed before beginning, from the board; empty for none
 */
@Embeddable
public record SittingSettings(
        @Enumerated(EnumType.STRING) Asking asking,
        @Column(name = "going_back") boolean goingBack,
        @Column(name = "must_answer") boolean mustAnswer,
        @Column(name = "leaving_counted") boolean leavingCounted,
        @Column(name = "words_before") String wordsBefore,
        @Column(name = "words_after") String wordsAfter,
        String code,
        @Enumerated(EnumType.STRING) Practising practice,
        int attempts,
        boolean changes,
        @Column(name = "full_screen") boolean fullScreen,
        @Nullable String picture,
        @Column(name = "picture_words") @Nullable String pictureWords,

        @Enumerated(EnumType.STRING) @Nullable Calculator calculator,

        @Column(name = "receipt_by_mail") @Nullable Boolean receiptByMail) {
    /** What a page shows. */
    public enum Asking {
        ONE,
        PART,
        ALL
    }

    /** Whether a student looks at each answer at once. */
    public enum Practising {
        NONE,
        /** Once; the answer stays as it is. */
        ONCE,
        /** And tries again, as often as they like. */
        AGAIN,
        /** And goes on only when it is right. */
        UNTIL_RIGHT
    }

    /** A calculator on the page. */
    public enum Calculator {
        /** The four operations, roots and powers. */
        PLAIN,
        /** And angles, logarithms and constants. */
        SCIENTIFIC
    }

    public static final SittingSettings USUAL = new SittingSettings(
            Asking.ONE, true, false, false, "", "", "", Practising.NONE, 1, false, false, null, null, null, null);

    static final int MOST_ATTEMPTS = 20;
    private static final int LONGEST_WORDS = 4_000;
    private static final int LONGEST_ALT = 500;
    private static final Pattern CODE = Pattern.compile("[A-Z0-9]{4,16}");

    /** The same in the form in which it is kept, or refused with what is wrong. */
    SittingSettings checked() {
        if (asking == Asking.ALL && !goingBack) {
            throw Refused.invalid(
                    "goingBack", "With all questions on one page there is no way back to close. Ask them one by one.");
        }
        if (attempts < 1 || attempts > MOST_ATTEMPTS) {
            throw Refused.invalid("attempts", "It can be taken from once to 20 times.");
        }
        requireChanges();
        return new SittingSettings(
                asking,
                goingBack,
                mustAnswer,
                leavingCounted,
                Lengths.atMost("wordsBefore", wordsBefore, LONGEST_WORDS).strip(),
                Lengths.atMost("wordsAfter", wordsAfter, LONGEST_WORDS).strip(),
                code(code),
                practice,
                attempts,
                changes,
                fullScreen,
                picture == null || picture.isBlank() ? null : picture,
                picture == null || picture.isBlank() ? null : words(pictureWords),
                calculator,
                receiptByMail);
    }

    private static @Nullable String words(@Nullable String typed) {
        String words = typed == null
                ? ""
                : Lengths.atMost("pictureWords", typed, LONGEST_ALT).strip();
        return words.isEmpty() ? null : words;
    }

    boolean mailsReceipts() {
        return Boolean.TRUE.equals(receiptByMail);
    }

    /** Changing after handing in would undo what others of the settings hold. */
    private void requireChanges() {
        if (!changes) {
            return;
        }
        if (attempts > 1) {
            throw Refused.invalid(
                    "changes", "Either answers can be changed after handing in, or it is taken again. Choose one.");
        }
        if (!goingBack) {
            throw Refused.invalid(
                    "changes", "Without going back, answers cannot be changed after handing in either. Choose one.");
        }
        if (practice != Practising.NONE) {
            throw Refused.invalid(
                    "changes", "In a practice each answer is looked at at once. Let it be taken again instead.");
        }
    }

    /** The same for another day: a code is for one only. */
    SittingSettings withoutCode() {
        return new SittingSettings(
                asking,
                goingBack,
                mustAnswer,
                leavingCounted,
                wordsBefore,
                wordsAfter,
                "",
                practice,
                attempts,
                changes,
                fullScreen,
                picture,
                pictureWords,
                calculator,
                receiptByMail);
    }

    /** A code as it is compared: however it was typed. */
    static String plainCode(String typed) {
        return typed.replaceAll("[\\s-]", "").toUpperCase(Locale.ROOT);
    }

    private static String code(String typed) {
        String plain = plainCode(typed);
        if (!plain.isEmpty() && !CODE.matcher(plain).matches()) {
            throw Refused.invalid(
                    "code", "A code has from 4 to 16 letters from A to Z and digits. Leave it empty for none.");
        }
        return plain;
    }
}
