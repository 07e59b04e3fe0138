package org.scholion.server.read;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.scholion.server.testing.Colleague;
import org.scholion.server.testing.Lesson;
import org.scholion.server.testing.Scholion;
import org.scholion.server.testing.Visitor;
import tools.jackson.databind.JsonNode;

@ExtendWith(Scholion.class)
class AgreedExamplesTest {
    private static Lesson two(Scholion.Running school, String title) {
        return Lesson.given(school, title, "A")
                .sits("Noor Haddix", null, null, null, "It turns.")
                .sits("Asa Quayle", null, null, null, "It runs because it falls.");
    }

    private static Visitor.Reply agree(Visitor who, Lesson lesson, String name, Map<String, String> levels) {
        String path = lesson.reading(lesson.answerOf(name, "q4"), "q4", "/example");
        return who.put(path, Map.of("levels", levels, "why", "A cause is named."));
    }

    private static List<String> lines(Visitor who, Lesson lesson) {
        return who.get(lesson.path("/readings/q4/examples"))
                .ok()
                .valueStream()
                .map(e -> e.get("text").stringValue() + " " + e.get("points").stringValue())
                .toList();
    }

    @Test
    void examples_stand_for_all_who_read_the_best_first_and_move_no_mark(Scholion.Running school) {
        Lesson lesson = two(school, "Agreed examples");
        agree(lesson.teacher, lesson, "Noor Haddix", Map.of("c1", "0", "c2", "1"))
                .ok();
        agree(lesson.teacher, lesson, "Asa Quayle", Map.of("c1", "1", "c2", "1"))
                .ok();
        assertThat(lines(school.as("Halvard Quist"), lesson))
                .containsExactly("It runs because it falls. 5", "It turns. 3");
        assertThat(lesson.teacher.get(lesson.path("/readings/q4/examples")).body())
                .as("whose it is, is told to nobody")
                .doesNotContain("Haddix", "Quayle", lesson.attempt("Noor Haddix"));
        assertThat(lesson.mark("Noor Haddix", "q4").get("state").stringValue()).isEqualTo("read");
    }

    @Test
    void an_answer_is_one_example_whose_levels_can_be_agreed_on_again_and_which_is_removed(Scholion.Running school) {
        Lesson lesson = two(school, "Agreed again");
        agree(lesson.teacher, lesson, "Noor Haddix", Map.of("c1", "0", "c2", "1"))
                .ok();
        JsonNode again = agree(lesson.teacher, lesson, "Noor Haddix", Map.of("c1", "1", "c2", "0"))
                .ok();
        assertThat(lines(lesson.teacher, lesson)).containsExactly("It turns. 2");
        lesson.teacher
                .delete(lesson.path("/readings/q4/examples/" + again.get("id").stringValue()))
                .ok();
        assertThat(lines(lesson.teacher, lesson)).isEmpty();
    }

    @Test
    void an_example_has_a_level_for_each_criterion_and_only_the_teachers_agree_on_it(Scholion.Running school) {
        Lesson lesson = two(school, "Agreed by whom");
        agree(lesson.teacher, lesson, "Noor Haddix", Map.of("c1", "0")).isRefused(422);
        agree(lesson.teacher, lesson, "Noor Haddix", Map.of("c1", "0", "c2", "9"))
                .isRefused(422);
        agree(lesson.teacher, lesson, "Noor Haddix", Map.of("c1", "0", "c2", "0", "c3", "0"))
                .isRefused(422);
        Visitor other = Colleague.called(school, "Agrees").visitor();
        agree(other, lesson, "Noor Haddix", Map.of("c1", "0", "c2", "1")).isRefused(404);
        other.get(lesson.path("/readings/q4/examples")).isRefused(404);
        school.as("Noor Haddix").get(lesson.path("/readings/q4/examples")).isRefused(403);
        JsonNode one = agree(lesson.teacher, lesson, "Noor Haddix", Map.of("c1", "0", "c2", "1"))
                .ok();
        String path = "/examples/" + one.get("id").stringValue();
        other.delete(lesson.path("/readings/q4" + path)).isRefused(404);
        two(school, "Agreed elsewhere")
                .teacher
                .delete(lesson.path("/readings/q3" + path))
                .isRefused(404);
        assertThat(lines(lesson.teacher, lesson)).hasSize(1);
    }
}
