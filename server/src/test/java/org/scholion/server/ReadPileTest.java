package org.scholion.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.scholion.server.testing.Lesson;
import org.scholion.server.testing.Scholion;
import tools.jackson.databind.JsonNode;

/** Open answers in the order in which somebody likes to read them, those of them that are looked for, and points by hand. */
@ExtendWith(Scholion.class)
class ReadPileTest {
    private static final String FALLS = "Because the level falls fastest then";

    private static Lesson written(Scholion.Running school, String title) {
        return Lesson.given(school, title, "A", "B")
                .sits("Noor Haddix", null, null, null, FALLS + ", I think.")
                .sits("Lotte Marrin", null, null, null, "No idea.")
                .sits("Tamsin Orrel", null, null, null, FALLS + ".")
                .sits("Ibrahim Vane", null, null, null, "The moon is near, and the sun pulls with it at springs.");
    }

    private static List<String> texts(Lesson lesson, String asked) {
        return lesson.teacher
                .get(lesson.path("/readings?item=q4" + asked))
                .ok()
                .get("answers")
                .valueStream()
                .map(a -> a.get("text").stringValue())
                .toList();
    }

    private static Map<String, Object> reading(
            Map<String, String> levels, @Nullable String points, @Nullable String why, boolean hold) {
        Map<String, Object> body = new HashMap<>();
        body.put("levels", levels);
        body.put("points", points);
        body.put("why", why);
        body.put("comment", "");
        body.put("note", "");
        body.put("hold", hold);
        return body;
    }

    @Test
    void answers_come_by_length_by_likeness_or_by_section(Scholion.Running school) {
        Lesson lesson = written(school, "Orders of reading");
        assertThat(texts(lesson, "&order=LENGTH"))
                .startsWith("No idea.", FALLS + ".")
                .endsWith("The moon is near, and the sun pulls with it at springs.");
        List<String> alike = texts(lesson, "&order=LIKENESS");
        assertThat(Math.abs(alike.indexOf(FALLS + ".") - alike.indexOf(FALLS + ", I think.")))
                .isEqualTo(1);
        List<String> sections = texts(lesson, "&order=SECTION");
        assertThat(sections.indexOf("The moon is near, and the sun pulls with it at springs."))
                .as("the only one of section B is first or last")
                .isIn(0, 3);
        assertThat(texts(lesson, "")).isEqualTo(texts(lesson, ""));
    }

    @Test
    void of_all_answers_those_are_shown_that_are_unread_held_back_or_at_a_level(Scholion.Running school) {
        Lesson lesson = written(school, "Some of the pile");
        lesson.reads("Noor Haddix", "q4", reading(Map.of("c1", "1", "c2", "0"), null, null, false))
                .ok();
        lesson.reads("Lotte Marrin", "q4", reading(Map.of(), null, null, true)).ok();
        assertThat(texts(lesson, "&show=UNREAD")).hasSize(3).doesNotContain(FALLS + ", I think.");
        assertThat(texts(lesson, "&show=HELD")).containsExactly("No idea.");
        assertThat(texts(lesson, "&level=c1:1")).containsExactly(FALLS + ", I think.");
        assertThat(texts(lesson, "&level=c1:0")).isEmpty();
        assertThat(texts(lesson, "&level=odd")).isEmpty();
        JsonNode view =
                lesson.teacher.get(lesson.path("/readings?item=q4&show=UNREAD")).ok();
        assertThat(view.get("found").intValue()).isEqualTo(3);
        assertThat(view.get("questions").get(0).get("answers").intValue())
                .as("of all")
                .isEqualTo(4);
    }

    @Test
    void points_over_the_rubric_count_instead_of_it_say_why_and_give_way_when_they_are_taken_away(
            Scholion.Running school) {
        Lesson lesson = written(school, "Over the rubric");
        Map<String, String> levels = Map.of("c1", "1", "c2", "0");
        lesson.reads("Noor Haddix", "q4", reading(levels, null, null, false)).ok();
        assertThat(lesson.mark("Noor Haddix", "q4").get("points").stringValue()).isEqualTo("2");
        lesson.reads("Noor Haddix", "q4", reading(levels, "4", " ", false)).isRefused(422);
        lesson.reads("Noor Haddix", "q4", reading(levels, "6", "too many", false))
                .isRefused(422);
        lesson.reads("Noor Haddix", "q4", reading(levels, "4", "it is in the drawing", false))
                .ok();
        JsonNode mark = lesson.mark("Noor Haddix", "q4");
        assertThat(mark.get("points").stringValue()).isEqualTo("4");
        assertThat(mark.get("because").stringValue())
                .isEqualTo("given 4 of 5 points, not by the rubric (it is in the drawing)");
        assertThat(lesson.answerOf("Noor Haddix", "q4").get("levels").toString())
                .as("the levels stay")
                .contains("\"c1\":\"1\"");
        JsonNode other = Lesson.definition("Over the rubric");
        other.at("/items/3/rubric/criteria/0/levels/1").asObject().put("points", "1");
        lesson.teacher
                .post(lesson.path("/editions"), lesson.change(other, "a cause is worth less"))
                .ok();
        assertThat(lesson.mark("Noor Haddix", "q4").get("points").stringValue())
                .as("another rubric does not take them")
                .isEqualTo("4");
        lesson.reads("Noor Haddix", "q4", reading(levels, null, null, false)).ok();
        assertThat(lesson.mark("Noor Haddix", "q4").get("points").stringValue()).isEqualTo("1.25");
    }
}
