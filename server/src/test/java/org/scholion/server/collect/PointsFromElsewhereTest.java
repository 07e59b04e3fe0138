package org.scholion.server.collect;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.scholion.server.ledger.Standings;
import org.scholion.server.testing.AboutFile;
import org.scholion.server.testing.Lesson;
import org.scholion.server.testing.Scholion;
import org.scholion.server.testing.Visitor;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** What was scored elsewhere comes in as marks of whoever brings it in; rules and keys leave them alone. */
@ExtendWith(Scholion.class)
class PointsFromElsewhereTest {
    private static final String MATRIX =
            "student,q1,q2,q3,q4\nLotte Marrin,1,2,1.5,3\nTamsin Orrel,0,0,2,\nNoor Haddix,1,1,0,5\n";

    private static AboutFile asked() {
        return new AboutFile().reads("*", "", "x");
    }

    private static Lesson scored(Scholion.Running school, String title) {
        Lesson lesson = Lesson.written(school, title);
        lesson.teacher
                .sendFile(lesson.path("/bring-in"), MATRIX, asked().said())
                .ok();
        return lesson;
    }

    private static String score(Lesson lesson, String name) {
        for (JsonNode s : lesson.teacher.get(lesson.path("/hand-back")).ok().get("students")) {
            if (s.get("name").stringValue().equals(name)) {
                return s.get("score").stringValue() + " of " + s.get("possible").stringValue();
            }
        }
        throw new AssertionError("no " + name);
    }

    @Test
    void a_matrix_of_points_becomes_marks_that_say_where_they_are_from(Scholion.Running school, Standings standings) {
        Lesson lesson = Lesson.written(school, "Points matrix");
        JsonNode view = lesson.teacher
                .sendFile(lesson.path("/bring-in/preview"), MATRIX)
                .ok();
        assertThat(view.get("columns").valueStream().map(c -> c.get("use").stringValue()))
                .containsExactly("NAME", "POINTS", "POINTS", "POINTS", "POINTS");
        assertThat(view.get("open").intValue()).as("the cell without points").isEqualTo(1);
        lesson.teacher
                .sendFile(lesson.path("/bring-in"), MATRIX, asked().said())
                .ok();
        assertThat(score(lesson, "Lotte Marrin")).isEqualTo("7.5 of 10");
        assertThat(score(lesson, "Tamsin Orrel"))
                .as("question 4 was not asked of Tamsin")
                .isEqualTo("2 of 5");
        lesson.handsBack("Lotte Marrin").ok();
        JsonNode result = result(school.as("Lotte Marrin"), "Points matrix");
        assertThat(result.toString()).contains("scored elsewhere: 1½ of 2 points", "Aud Meller");
        assertThat(lesson.teacher.get(lesson.path("/doubts")).ok().toString())
                .as("nothing of it is a decision on answers")
                .doesNotContain("elsewhere");
        assertThat(standings.differences()).isEmpty();
    }

    private static JsonNode result(Visitor student, String title) {
        for (JsonNode line : student.get("/api/student/results").ok()) {
            if (line.get("title").stringValue().equals(title)) {
                return student.get("/api/student/results/" + line.get("id").stringValue())
                        .ok();
            }
        }
        throw new AssertionError("no result of " + title);
    }

    @Test
    void another_key_leaves_points_that_were_given_elsewhere_alone(Scholion.Running school, Standings standings) {
        Lesson lesson = scored(school, "Points and another key");
        JsonNode other = Lesson.definition("Points and another key");
        ((ArrayNode) other.at("/items/0/key")).removeAll().add("b");
        lesson.teacher
                .post(lesson.path("/editions"), lesson.change(other, "wrong key"))
                .ok();
        assertThat(score(lesson, "Lotte Marrin")).isEqualTo("7.5 of 10");
        ((ObjectNode) other.at("/items/0")).put("points", "4");
        lesson.teacher
                .post(lesson.path("/editions"), lesson.change(other, "worth more"))
                .ok();
        assertThat(score(lesson, "Lotte Marrin"))
                .as("the share stays, as for every mark that a person gave")
                .isEqualTo("10.5 of 13");
        assertThat(standings.differences()).isEmpty();
    }

    @Test
    void the_same_points_again_are_nothing_new_and_others_are_asked_about(Scholion.Running school) {
        Lesson lesson = scored(school, "Points again");
        JsonNode same = lesson.teacher
                .sendFile(lesson.path("/bring-in/preview"), MATRIX, asked().said())
                .ok();
        assertThat(same.get("asBefore").intValue()).isEqualTo(3);
        assertThat(same.get("changed")).isEmpty();
        String other = MATRIX.replace("Marrin,1,2,1.5,3", "Marrin,1,2,1.5,4");
        JsonNode view = lesson.teacher
                .sendFile(lesson.path("/bring-in/preview"), other, asked().said())
                .ok();
        JsonNode changed = view.get("changed").get(0);
        assertThat(changed.get("name").stringValue()).isEqualTo("Lotte Marrin");
        assertThat(changed.get("read").booleanValue())
                .as("points of a file are no reading")
                .isFalse();
        lesson.teacher
                .sendFile(
                        lesson.path("/bring-in"),
                        other,
                        asked().replaces(changed.get("student").stringValue()).said())
                .ok();
        assertThat(score(lesson, "Lotte Marrin")).isEqualTo("8.5 of 10");
    }

    @Test
    void points_are_taken_back_with_their_file(Scholion.Running school, Standings standings) {
        Lesson lesson = scored(school, "Points back");
        JsonNode line = lesson.teacher.get(lesson.path("/brought-in")).ok().get(0);
        assertThat(line.get("read").intValue()).isZero();
        lesson.teacher
                .post(
                        lesson.path("/brought-in/" + line.get("id").stringValue() + "/take-back"),
                        Map.of("withReadings", false))
                .ok();
        assertThat(lesson.teacher.get(lesson.path("/hand-back")).ok().get("students"))
                .isEmpty();
        assertThat(standings.differences()).isEmpty();
    }

    @Test
    void an_oral_of_which_only_the_points_are_known_is_an_assessment_of_its_own(Scholion.Running school) {
        Visitor aud = school.as("Aud Meller");
        String course = aud.get("/api/courses").ok().get(0).get("id").stringValue();
        String id = aud.post("/api/assessments", Map.of("course", course, "title", "Oral"))
                .ok()
                .get("id")
                .stringValue();
        String path = "/api/assessments/" + id + "/bring-in";
        String file = "Name;Points\nLotte Marrin;17,5\nTamsin Orrel;12\n";
        JsonNode made = aud.sendFile(path + "/preview", file).ok().get("made");
        assertThat(made.get(0).get("kind").stringValue()).isEqualTo("POINTS");
        assertThat(made.get(0).get("points").stringValue())
                .as("the most that was given")
                .isEqualTo("17.5");
        assertThat(aud.sendFile(
                                path + "/questions",
                                file,
                                new AboutFile().worth(1, "a lot").said())
                        .isRefused(422)
                        .detail())
                .contains("is no number of points");
        aud.sendFile(path + "/questions", file, new AboutFile().worth(1, "20").said())
                .ok();
        JsonNode view = aud.sendFile(path + "/preview", file).ok();
        assertThat(view.get("columns").get(1).get("use").stringValue()).isEqualTo("POINTS");
        aud.sendFile(path, file).ok();
        JsonNode students =
                aud.get("/api/assessments/" + id + "/hand-back").ok().get("students");
        assertThat(students.valueStream()
                        .map(s -> s.get("name").stringValue() + " "
                                + s.get("score").stringValue() + "/"
                                + s.get("possible").stringValue()))
                .containsExactly("Lotte Marrin 17.5/20", "Tamsin Orrel 12/20");
    }
}
