package org.scholion.server.handback;

import com.fasterxml.jackson.annotation.JsonInclude;
import java.util.List;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.scholion.server.ledger.Remark;

/**
 * A student's result page: what the teacher previews and what the student sees are this same thing.
 *
 * @param said what readers say of the whole paper
 * @param awards none where the score is not shown
 * @param because how the points come to the score, where something beside them counts or does not; left out otherwise
 * @param standards none where they are not shown
 * @param ofClass null where it is not shown, or the class is too small
 * @param score exact, such as {@code 22.5}; null when it is not shown
 */
public record StudentResult(
        String title,
        String course,
        String student,
        @Nullable String score,
        @Nullable String possible,
        @Nullable String percent,
        @Nullable String band,
        @Nullable Boolean passed,
        boolean provisional,
        String message,

        @JsonInclude(JsonInclude.Include.NON_NULL) @Nullable String because,

        @JsonInclude(JsonInclude.Include.NON_EMPTY) List<ResultSaid> said,
        @JsonInclude(JsonInclude.Include.NON_EMPTY) List<ResultAward> awards,
        @JsonInclude(JsonInclude.Include.NON_EMPTY) List<ResultStandard> standards,
        @JsonInclude(JsonInclude.Include.NON_NULL) @Nullable OfClass ofClass,
        List<ResultItem> items) {

    public StudentResult {
        // Results from before there were awards say nothing of them.
        said = Objects.requireNonNullElse(said, List.of());
        awards = Objects.requireNonNullElse(awards, List.of());
        standards = Objects.requireNonNullElse(standards, List.of());
    }

    /** The same with other comments and questions. */
    StudentResult with(List<ResultSaid> otherSaid, List<ResultItem> otherItems) {
        return new StudentResult(
                title,
                course,
                student,
                score,
                possible,
                percent,
                band,
                passed,
                provisional,
                message,
                because,
                otherSaid,
                awards,
                standards,
                ofClass,
                otherItems);
    }

    /**
     * What was shown of one standard and of all below it.
     *
     * @param text empty where no framework of the course has the code
     * @param score exact, and {@code possible} likewise, each weighted as the questions are aligned
     * @param percent rounded as the paper says
     * @param pieces how many questions, criteria or parts it rests on
     */
    public record ResultStandard(String code, String text, String score, String possible, String percent, int pieces) {}

    /**
     * How the class did, of those whose marks are decided.
     *
     * @param mean as a percentage, rounded as the paper says; between {@code low} and {@code high} lies the middle half
     */
    public record OfClass(int students, String mean, String low, String high) {}

    /** What a reader says of the whole paper. */
    public record ResultSaid(String name, String text) {}

    /** What was reached beside the result. */
    public record ResultAward(String title, @Nullable String words) {}

    /**
     * One question of the result.
     *
     * @param answer what the student said; null when answers are not shown
     * @param mark null when marks are not shown
     * @param key the right answer in words; null when keys are not shown
     * @param counts how it counts, where that is not by its points alone: dropped, credited, a bonus; left out otherwise
     * @param feedback what the key says for this mark; left out where nothing is, as in results from before there was any
     * @param remarks what the reader says of single words of the answer; left out where nothing is
     * @param attachments names of the pictures and PDFs of the answer; left out where there are none
     * @param drawn changes with what is drawn on them; left out where nothing is
     */
    public record ResultItem(
            String item,
            int number,
            String prompt,
            @Nullable String answer,
            @Nullable ResultMark mark,
            String comment,
            @Nullable String key,

            @JsonInclude(JsonInclude.Include.NON_NULL) @Nullable
            String counts,

            @JsonInclude(JsonInclude.Include.NON_NULL) @Nullable
            String feedback,

            @JsonInclude(JsonInclude.Include.NON_EMPTY) List<Remark> remarks,

            @JsonInclude(JsonInclude.Include.NON_EMPTY) List<String> attachments,

            @JsonInclude(JsonInclude.Include.NON_NULL) @Nullable
            String drawn) {

        public ResultItem {
            remarks = Objects.requireNonNullElse(remarks, List.of());
            attachments = Objects.requireNonNullElse(attachments, List.of());
        }
    }

    /**
     * A mark as a student sees it: with its reason and who decided.
     *
     * @param note the teacher's own words in the reason; left out where there are none, as in results from before
     */
    public record ResultMark(
            String state,
            String points,
            String of,
            String by,
            String because,

            @JsonInclude(JsonInclude.Include.NON_NULL) @Nullable
            String note,

            @Nullable String who,

            @JsonInclude(JsonInclude.Include.NON_NULL) @Nullable
            Boolean mastered) {}
}
