package org.scholion.formats.assessment;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.scholion.core.number.Fraction;
import tools.jackson.databind.JsonNode;

/**
 * What stands with an item beside its key. None of it moves a mark.
 *
 * @param body what is asked, with formatting, pictures, sound and formulas; the prompt says the same in plain text
 * @param picture the picture that places are shown on
 * @param feedback what is said to whoever answered
 * @param hint shown when a student asks for it
 * @param tags the author's own words to find it by
 * @param difficulty the share of the points that is expected, from 0 to 1
 * @param minutes the time that answering is expected to take
 * @param stem the reading passage that belongs to it
 * @param reasonFor the choice whose reason this open item asks for
 * @param last options that stay at the end when the others are shuffled
 * @param rubricShown whether students see the rubric before they answer
 * @param rubricKept the kept rubric that the item's own was taken from
 * @param examples answers with what they are to be worth, checked again at every change
 */
public record Particulars(
        @Nullable String body,
        @Nullable Picture picture,
        Feedback feedback,
        @Nullable String hint,
        List<String> tags,
        @Nullable Fraction difficulty,
        @Nullable Fraction minutes,
        @Nullable String stem,
        @Nullable String reasonFor,
        List<String> last,
        boolean rubricShown,
        @Nullable Kept rubricKept,
        List<Example> examples) {

    public static final Particulars NONE = new Particulars(
            null, null, Feedback.NONE, null, List.of(), null, null, null, null, List.of(), false, null, List.of());

    /** A picture by the SHA-256 of its bytes, and what it shows, in words. */
    public record Picture(String file, String alt) {}

    /** Something kept for many papers, and which version of it. */
    public record Kept(String id, int version) {}

    /** What is said to whoever was right, partly right or wrong; formatted text like the body. */
    public record Feedback(
            @Nullable String right,
            @Nullable String partial,
            @Nullable String wrong) {
        public static final Feedback NONE = new Feedback(null, null, null);

        /** What is said for this credit; null where nothing is. */
        public @Nullable String at(Fraction credit) {
            return credit.compareTo(Fraction.ONE) >= 0 ? right : credit.signum() > 0 ? partial : wrong;
        }
    }

    /**
     * An answer and what it is to be worth.
     *
     * @param answer in the form that a response file gives it
     * @param credit the credit that is expected; null when a person is to decide
     */
    public record Example(JsonNode answer, @Nullable Fraction credit) {}

    public Particulars {
        tags = List.copyOf(tags);
        last = List.copyOf(last);
        examples = List.copyOf(examples);
    }
}
