package org.scholion.server.read;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.scholion.server.testing.Colleague;
import org.scholion.server.testing.Lesson;
import org.scholion.server.testing.Scholion;
import tools.jackson.databind.JsonNode;

@ExtendWith(Scholion.class)
class HowReadTest {
    private static final List<String> NAMES =
            List.of("Noor Haddix", "Asa Quayle", "Lotte Marrin", "Wanda Ambler", "Alby Eddis");
    private static final List<String> SAID = List.of(
            "The water runs out fast.", "the water runs out FAST", "Springs.", "Nothing like them.", "Not read.");

    private static Lesson five(Scholion.Running school, String title) {
        Lesson lesson = Lesson.given(school, title, "A");
        for (int i = 0; i < NAMES.size(); i++) {
            lesson.sits(NAMES.get(i), null, null, null, SAID.get(i));
        }
        return lesson;
    }

    private static void reads(Lesson lesson, String name, String c1, String c2) {
        lesson.reads(name, "q4", Map.of("levels", Map.of("c1", c1, "c2", c2), "comment", "", "note", "", "hold", false))
                .ok();
    }

    private static JsonNode how(Lesson lesson, String query) {
        return lesson.teacher.get(lesson.path("/readings/q4/how" + query)).ok();
    }

    @Test
    void the_levels_that_were_chosen_are_counted_for_all_by_reader_and_by_section(Scholion.Running school) {
        Lesson lesson = five(school, "How it was read");
        JsonNode rubric = lesson.teacher
                .get(lesson.path("/readings?item=q4"))
                .ok()
                .get("questions")
                .get(0)
                .get("criteria");
        reads(lesson, "Noor Haddix", "1", "1");
        reads(lesson, "Asa Quayle", "0", "0");
        reads(lesson, "Lotte Marrin", "1", "0");
        JsonNode view = how(lesson, "");
        assertThat(view.get("read").intValue()).isEqualTo(3);
        assertThat(view.get("answers").intValue()).isEqualTo(5);
        assertThat(view.get("columns")
                        .valueStream()
                        .map(c -> c.get("of").stringValue())
                        .toList())
                .containsExactly("ALL", "READER", "SECTION");
        for (JsonNode column : view.get("columns")) {
            assertThat(column.get("n").intValue()).isEqualTo(3);
            assertThat(column.get("levels").get(0).get(0).intValue()).isEqualTo(1);
            assertThat(column.get("levels").get(0).get(1).intValue()).isEqualTo(2);
            assertThat(column.get("levels").get(1).get(0).intValue()).isEqualTo(2);
            assertThat(column.get("levels").get(0).size())
                    .isEqualTo(rubric.get(0).get("levels").size());
        }
        assertThat(view.get("columns").get(1).get("name").stringValue()).isEqualTo("Aud Meller");
        assertThat(view.get("drift").isNull()).as("of three nothing is said").isTrue();
    }

    @Test
    void equal_words_that_were_given_other_points_are_offered_for_another_look_where_they_stand_in_the_pile(
            Scholion.Running school) {
        Lesson lesson = five(school, "Read otherwise");
        reads(lesson, "Noor Haddix", "1", "1");
        reads(lesson, "Asa Quayle", "0", "0");
        JsonNode otherwise = how(lesson, "?names=true").get("otherwise");
        assertThat(otherwise.valueStream().map(o -> o.get("name").stringValue()).toList())
                .containsExactlyInAnyOrder("Noor Haddix", "Asa Quayle");
        JsonNode all = lesson.teacher
                .get(lesson.path("/readings?names=true&item=q4"))
                .ok()
                .get("answers");
        for (JsonNode one : otherwise) {
            assertThat(all.get(one.get("place").intValue()).get("name")).isEqualTo(one.get("name"));
        }
        assertThat(lesson.teacher.get(lesson.path("/readings/q4/how")).body())
                .as("names hidden")
                .doesNotContain("Haddix", "Quayle");
        reads(lesson, "Asa Quayle", "1", "1");
        assertThat(how(lesson, "").get("otherwise").size()).isZero();
    }

    @Test
    void what_was_overruled_is_no_reading_and_nobody_else_sees_how_a_pile_was_read(Scholion.Running school) {
        Lesson lesson = five(school, "How it was overruled");
        reads(lesson, "Noor Haddix", "1", "1");
        assertThat(how(lesson, "").get("read").intValue()).isOne();
        String mark = "/api/attempts/" + lesson.attempt("Noor Haddix") + "/marks/q4";
        JsonNode shown = lesson.teacher.get(mark).ok();
        lesson.teacher
                .post(
                        mark + "/overrule",
                        Map.of(
                                "points",
                                "0",
                                "why",
                                "Copied.",
                                "saw",
                                shown.get("saw").stringValue()))
                .ok();
        assertThat(how(lesson, "").get("read").intValue()).isZero();
        Colleague.called(school, "How")
                .visitor()
                .get(lesson.path("/readings/q4/how"))
                .isRefused(404);
        school.as("Noor Haddix").get(lesson.path("/readings/q4/how")).isRefused(403);
    }
}
