package org.scholion.core.rubric;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.scholion.core.score.Marks.f;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.scholion.core.answer.Answer;
import org.scholion.core.answer.Told;
import org.scholion.core.item.Head;
import org.scholion.core.item.OpenItem;
import org.scholion.core.item.Rubric;
import org.scholion.core.reason.Words;
import org.scholion.core.score.Mark;
import org.scholion.core.score.Scorer;
import org.scholion.core.score.State;

class ReadingTest {
    private static Rubric.Criterion criterion(String id, String weight, String... points) {
        List<Rubric.Level> levels = java.util.stream.IntStream.range(0, points.length)
                .mapToObj(i -> new Rubric.Level("" + i, f(points[i]), "level " + i))
                .toList();
        return new Rubric.Criterion(id, "Criterion " + id, f(weight), levels, List.of());
    }

    private final OpenItem withRubric = new OpenItem(
            Head.of("q", f("6")),
            new Rubric(List.of(criterion("a", "1", "0", "1", "2"), criterion("b", "2", "0", "1"))),
            null,
            null,
            null);
    private final OpenItem withPoints = new OpenItem(Head.of("q", f("5")), null, null, null, null);

    @Test
    void a_rubric_is_worth_its_levels_times_their_weights_of_its_maximum() {
        Mark mark = new Reading(Map.of("a", "1", "b", "1"), null).markOf(withRubric);
        assertThat(mark.credit()).isEqualTo(f("3/4"));
        assertThat(Words.english(mark.reason()))
                .isEqualTo("Criterion a: level 1; Criterion b: level 1 (3 of 4 on the rubric)");
    }

    @Test
    void a_reading_waits_while_a_criterion_is_missing() {
        assertThat(new Reading(Map.of("a", "2"), null).markOf(withRubric).state())
                .isEqualTo(State.READ);
        assertThat(new Reading(Map.of(), null).markOf(withPoints).state()).isEqualTo(State.READ);
    }

    @Test
    void points_are_a_share_of_the_items_points() {
        assertThat(new Reading(Map.of(), f("2")).markOf(withPoints).credit()).isEqualTo(f("2/5"));
        assertThatThrownBy(() -> new Reading(Map.of(), f("6")).markOf(withPoints))
                .hasMessageContaining("at most 5");
    }

    @Test
    void points_over_a_rubric_count_instead_of_its_levels_and_say_why() {
        Mark mark = new Reading(Map.of("a", "1", "b", "1"), f("2"), "in the drawing").markOf(withRubric);
        assertThat(mark.credit()).isEqualTo(f("1/3"));
        assertThat(Words.english(mark.reason())).isEqualTo("given 2 of 6 points, not by the rubric (in the drawing)");
        assertThat(Words.english(mark.reason().without("note"))).isEqualTo("given 2 of 6 points");
        assertThat(new Reading(Map.of(), f("2"), "").markOf(withRubric).state())
                .as("though a criterion is missing")
                .isEqualTo(State.SCORED);
        assertThat(new Reading(Map.of(), f("2"), "unheard").markOf(withPoints).reason())
                .isEqualTo(new Reading(Map.of(), f("2")).markOf(withPoints).reason());
    }

    @Test
    void an_unknown_level_or_criterion_is_refused_by_name() {
        assertThatThrownBy(() -> new Reading(Map.of("a", "9", "b", "0"), null).markOf(withRubric))
                .hasMessageContaining("'9'");
        assertThatThrownBy(() -> new Reading(Map.of("z", "1"), null).markOf(withRubric))
                .hasMessageContaining("'z'");
    }

    @Test
    void an_open_answer_waits_for_a_reader_and_a_blank_is_blank_unless_it_was_read() {
        Scorer scorer = Scorer.of(withRubric);
        assertThat(scorer.score(Answer.Written.of("The tide falls.")).state()).isEqualTo(State.READ);
        assertThat(scorer.score(Answer.Written.of("  "))).isEqualTo(Mark.BLANK);
        assertThat(scorer.score(new Answer.Written("  ", null, null, List.of("photo")))
                        .state())
                .as("a picture without words waits for a reader")
                .isEqualTo(State.READ);
        assertThat(Told.in(withPoints, new Answer.Written(" ", null, null, List.of("photo", "scan"))))
                .isEqualTo("2 attachments");
        assertThat(scorer.score(new Answer.Written("", Map.of("a", "0", "b", "0"), null))
                        .state())
                .isEqualTo(State.SCORED);
    }
}
