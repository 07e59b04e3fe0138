package org.scholion.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.scholion.server.testing.Colleague;
import org.scholion.server.testing.Lesson;
import org.scholion.server.testing.Scholion;
import org.scholion.server.testing.Visitor;
import tools.jackson.databind.JsonNode;

/** A reader reads a course's open answers without names, and comes to nothing else of it. */
@ExtendWith(Scholion.class)
class ReadersTest {
    private static String course(Lesson lesson) {
        return "/api/courses/"
                + lesson.teacher.get(lesson.path("")).ok().get("course").stringValue();
    }

    private static Colleague reader(Scholion.Running school, Lesson lesson) {
        Colleague reader = Colleague.called(school, "Reader");
        lesson.teacher.put(course(lesson) + "/readers/" + reader.id(), null).ok();
        return reader;
    }

    private static Map<String, Object> reading(JsonNode answer) {
        Map<String, Object> reading = new HashMap<>();
        reading.put("levels", Map.of("c1", "1", "c2", "1"));
        reading.put("comment", "");
        reading.put("note", "");
        reading.put("hold", false);
        reading.put("saw", answer.get("saw").stringValue());
        return reading;
    }

    private static String place(Lesson lesson, JsonNode answer) {
        return lesson.path("/readings/q4/" + answer.get("answer").stringValue());
    }

    @Test
    void a_reader_finds_the_pile_on_the_desk_and_reads_without_ever_being_told_a_name(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "Read by another", "A")
                .sits("Noor Haddix", List.of("a"), "bowline", "10", "The level falls.");
        Colleague reader = reader(school, lesson);
        Visitor visitor = reader.visitor();
        JsonNode pile = visitor.get("/api/desk")
                .ok()
                .get("piles")
                .valueStream()
                .filter(p -> p.get("assessment").stringValue().equals(lesson.id))
                .findFirst()
                .orElseThrow();
        assertThat(pile.get("work").stringValue()).isEqualTo("READ");
        assertThat(pile.get("count").intValue()).isEqualTo(1);
        assertThat(visitor.get(lesson.path("")).ok().get("share").stringValue()).isEqualTo("READING");

        JsonNode view = visitor.get(lesson.path("/readings")).ok();
        assertThat(view.toString()).contains("The level falls.").doesNotContain("Noor", "Haddix");
        visitor.get(lesson.path("/readings?names=true")).isRefused(404);
        JsonNode answer = view.get("answers").get(0);
        JsonNode done = visitor.put(place(lesson, answer), reading(answer)).ok();
        assertThat(done.get("mark").get("points").stringValue()).isEqualTo("5");
        assertThat(lesson.mark("Noor Haddix", "q4").get("who").stringValue()).isEqualTo(reader.name());
        visitor.post(
                        place(lesson, answer) + "/undo",
                        Map.of("saw", done.get("saw").stringValue()))
                .ok();
        assertThat(lesson.mark("Noor Haddix", "q4").get("state").stringValue()).isEqualTo("read");
        JsonNode named = lesson.answerOf("Noor Haddix", "q4");
        visitor.put(place(lesson, named) + "?names=true", reading(named)).isRefused(404);
    }

    @Test
    void a_reader_comes_to_nothing_else_of_the_course(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "Nothing but reading", "A")
                .sits("Oona Rusk", List.of("a"), "bowline", "10", "It runs.");
        Visitor visitor = reader(school, lesson).visitor();
        for (String rest : List.of(
                "/key",
                "/about",
                "/file",
                "/collect",
                "/doubts",
                "/examine",
                "/hand-back",
                "/editions",
                "/typed",
                "/live")) {
            visitor.get(lesson.path(rest)).isRefused(404);
        }
        String course = course(lesson);
        visitor.get(course).isRefused(404);
        visitor.get(course + "/assessments").isRefused(404);
        visitor.get("/api/attempts/" + lesson.attempt("Oona Rusk") + "/trace").isRefused(404);
        visitor.post("/api/assessments", Map.of("course", course.substring(13), "title", "Mine"))
                .isRefused(404);
        assertThat(visitor.get("/api/courses").ok()).isEmpty();
        assertThat(visitor.get("/api/find?words=Oona").ok()).isEmpty();
    }

    @Test
    void readers_are_added_and_removed_by_teachers_of_the_course_alone(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "Whoever may read", "A").sits("Ivo Lomas", null, null, null, "So.");
        String readers = course(lesson) + "/readers/";
        Colleague reader = reader(school, lesson);
        Colleague other = Colleague.called(school, "Other");
        reader.visitor().put(readers + other.id(), null).isRefused(404);
        other.visitor().put(readers + other.id(), null).isRefused(404);
        JsonNode student =
                lesson.teacher.get(course(lesson)).ok().get("students").get(0);
        lesson.teacher.put(readers + student.get("id").stringValue(), null).isRefused(422);
        JsonNode teacher =
                lesson.teacher.get(course(lesson)).ok().get("teachers").get(0);
        lesson.teacher.put(readers + teacher.get("id").stringValue(), null).isRefused(422);

        lesson.teacher.put(course(lesson) + "/teachers/" + reader.id(), null).ok();
        assertThat(lesson.teacher.get(course(lesson)).ok().get("readers").valueStream())
                .as("who teaches it is no reader beside")
                .noneMatch(r -> r.get("id").stringValue().equals(reader.id()));
        lesson.teacher.delete(course(lesson) + "/teachers/" + reader.id()).ok();
        reader.visitor().get(lesson.path("/readings")).isRefused(404);
        lesson.teacher.put(readers + reader.id(), null).ok();
        reader.visitor().get(lesson.path("/readings")).ok();
        lesson.teacher.delete(readers + reader.id()).ok();
        reader.visitor().get(lesson.path("/readings")).isRefused(404);
        lesson.teacher.delete(readers + reader.id()).isRefused(404);
    }
}
