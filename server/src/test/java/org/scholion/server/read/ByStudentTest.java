package org.scholion.server.read;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.scholion.formats.json.Json;
import org.scholion.server.testing.Lesson;
import org.scholion.server.testing.Scholion;
import org.scholion.server.testing.Visitor;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;

@ExtendWith(Scholion.class)
class ByStudentTest {
    private static final Map<String, Object> READ =
            Map.of("levels", Map.of("c1", "1", "c2", "1"), "comment", "", "note", "", "hold", false);

    /** Two open questions; Lotte has answered the second one only. */
    private static Lesson written(Scholion.Running school, String title) {
        Lesson lesson = Lesson.written(school, title);
        JsonNode definition = Lesson.definition(title);
        ((ArrayNode) definition.get("items"))
                .add(
                        Json.read(
                                "{\"id\": \"q5\", \"kind\": \"open\", \"points\": \"4\", \"prompt\": \"Which line goes last?\"}"));
        lesson.holds(definition).giveOut("A").ok();
        sits(school, lesson, "Noor Haddix", "It turns.", "The slip of Noor.");
        sits(school, lesson, "Asa Quayle", "It runs.", "The slip of Asa.");
        sits(school, lesson, "Lotte Marrin", null, "The slip of Lotte.");
        return lesson;
    }

    private static void sits(Scholion.Running school, Lesson lesson, String name, String q4, String q5) {
        Visitor student = school.as(name);
        String attempt = lesson.begin(student);
        if (q4 != null) {
            Lesson.answer(student, attempt, "q4", q4).ok();
        }
        Lesson.answer(student, attempt, "q5", q5).ok();
        student.post("/api/student/attempts/" + attempt + "/hand-in", null).ok();
    }

    private static JsonNode pile(Lesson lesson, String more) {
        return lesson.teacher
                .get(lesson.path("/readings?byStudent=true" + more))
                .ok();
    }

    private static List<String> lines(JsonNode view) {
        return view.get("answers")
                .valueStream()
                .map(a -> a.get("student") + " " + a.get("item").stringValue() + " "
                        + a.get("text").stringValue())
                .toList();
    }

    @Test
    void all_answers_of_one_student_come_after_each_other_in_the_papers_order(Scholion.Running school) {
        Lesson lesson = written(school, "Read by student");
        assertThat(lines(pile(lesson, "&names=true")))
                .containsExactly(
                        "1 q4 It turns.",
                        "1 q5 The slip of Noor.",
                        "2 q5 The slip of Lotte.",
                        "3 q4 It runs.",
                        "3 q5 The slip of Asa.");
        assertThat(pile(lesson, "").get("found").intValue()).isEqualTo(5);
    }

    @Test
    void without_names_the_order_says_nothing_and_an_answer_is_saved_by_the_name_that_it_has_in_its_question(
            Scholion.Running school) {
        Lesson lesson = written(school, "Read by student without names");
        JsonNode view = pile(lesson, "");
        assertThat(view.toString()).doesNotContain("Haddix", "Marrin", "Quayle");
        Set<String> byQuestion = new HashSet<>();
        for (String item : List.of("q4", "q5")) {
            lesson.teacher
                    .get(lesson.path("/readings?item=" + item))
                    .ok()
                    .get("answers")
                    .forEach(a -> byQuestion.add(a.get("answer").stringValue()));
        }
        Set<String> byStudent = new HashSet<>();
        view.get("answers").forEach(a -> byStudent.add(a.get("answer").stringValue()));
        assertThat(byStudent).isEqualTo(byQuestion).hasSize(5);
    }

    @Test
    void what_is_read_is_left_out_where_only_the_unread_are_wanted_and_the_pile_begins_with_the_first_unread(
            Scholion.Running school) {
        Lesson lesson = written(school, "Unread by student");
        lesson.reads("Noor Haddix", "q4", READ).ok();
        assertThat(lines(pile(lesson, "&names=true&show=UNREAD")))
                .containsExactly(
                        "1 q5 The slip of Noor.", "2 q5 The slip of Lotte.", "3 q4 It runs.", "3 q5 The slip of Asa.");
        assertThat(pile(lesson, "&names=true").get("answers").size()).isEqualTo(5);
    }

    @Test
    void names_are_told_to_nobody_who_may_not_see_them(Scholion.Running school) {
        Lesson lesson = written(school, "Read by somebody else's student");
        school.as("Noor Haddix").get(lesson.path("/readings?byStudent=true")).isRefused(403);
    }
}
