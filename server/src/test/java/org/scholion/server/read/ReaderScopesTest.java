package org.scholion.server.read;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.scholion.server.testing.Colleague;
import org.scholion.server.testing.Lesson;
import org.scholion.server.testing.Scholion;
import org.scholion.server.testing.Visitor;
import tools.jackson.databind.JsonNode;

/** Readers who read some questions, some sections or a share come to no other answer. */
@ExtendWith(Scholion.class)
class ReaderScopesTest {
    private static Colleague reader(Scholion.Running school, Lesson lesson, String name) {
        Colleague reader = Colleague.called(school, name);
        String course = lesson.teacher.get(lesson.path("")).ok().get("course").stringValue();
        lesson.teacher
                .put("/api/courses/" + course + "/readers/" + reader.id(), null)
                .ok();
        return reader;
    }

    private static Visitor.Reply plan(Lesson lesson, Colleague reader, Map<String, Object> scope) {
        return lesson.teacher.put(lesson.path("/readings/readers/" + reader.id()), scope);
    }

    private static Map<String, Object> scope(List<String> items, List<String> sections, int part, int parts) {
        return Map.of("items", items, "sections", sections, "part", part, "parts", parts);
    }

    private static Set<String> texts(Visitor visitor, Lesson lesson) {
        Set<String> texts = new HashSet<>();
        visitor.get(lesson.path("/readings"))
                .ok()
                .get("answers")
                .forEach(a -> texts.add(a.get("text").stringValue()));
        return texts;
    }

    @Test
    void a_reader_of_one_section_is_shown_its_answers_alone_and_reads_no_other(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "Section by section", "A", "B")
                .sits("Asa Quayle", null, null, null, "From A.")
                .sits("Kofi Sande", null, null, null, "From B.");
        Colleague reader = reader(school, lesson, "Section reader");
        Visitor visitor = reader.visitor();
        assertThat(texts(visitor, lesson)).containsExactlyInAnyOrder("From A.", "From B.");
        JsonNode other = null;
        for (JsonNode a : visitor.get(lesson.path("/readings")).ok().get("answers")) {
            other = a.get("text").stringValue().equals("From B.") ? a : other;
        }
        JsonNode readers = plan(lesson, reader, scope(List.of(), List.of(lesson.section("A")), 1, 1))
                .ok();
        assertThat(readers.toString()).contains(lesson.section("A"));
        assertThat(texts(visitor, lesson)).containsExactly("From A.");
        assertThat(visitor.get(lesson.path("/readings"))
                        .ok()
                        .at("/questions/0/unread")
                        .intValue())
                .isEqualTo(1);
        assertThat(visitor.get("/api/desk")
                        .ok()
                        .get("piles")
                        .valueStream()
                        .filter(p -> p.get("assessment").stringValue().equals(lesson.id))
                        .map(p -> p.get("section").stringValue()))
                .as("the Desk counts what is theirs")
                .containsExactly(lesson.section("A"));
        String place = lesson.path("/readings/q4/" + other.get("answer").stringValue());
        visitor.put(
                        place,
                        Map.of(
                                "levels",
                                Map.of("c1", "1"),
                                "hold",
                                false,
                                "saw",
                                other.get("saw").stringValue()))
                .isRefused(404);
        visitor.get(place + "/paper").isRefused(404);
        visitor.post(place + "/here", null).isRefused(404);
        assertThat(texts(lesson.teacher, lesson)).as("teachers read all").hasSize(2);
    }

    @Test
    void shares_of_the_answers_leave_none_out_and_none_is_in_two(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "Shared out", "A")
                .sits("Asa Quayle", null, null, null, "1")
                .sits("Alby Eddis", null, null, null, "2")
                .sits("Noor Haddix", null, null, null, "3")
                .sits("Wanda Ambler", null, null, null, "4");
        Colleague one = reader(school, lesson, "First half");
        Colleague two = reader(school, lesson, "Second half");
        plan(lesson, one, scope(List.of(), List.of(), 1, 2)).ok();
        plan(lesson, two, scope(List.of(), List.of(), 2, 2)).ok();
        Set<String> first = texts(one.visitor(), lesson);
        Set<String> second = texts(two.visitor(), lesson);
        assertThat(first.size() + second.size()).as("none is in two").isEqualTo(4);
        first.addAll(second);
        assertThat(first).as("none is left out").hasSize(4);
    }

    @Test
    void whoever_does_not_read_a_question_comes_to_nothing_of_it_and_only_teachers_say_who_reads_what(
            Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "Question by question", "A").sits("Asa Quayle", null, null, null, "x");
        Colleague reader = reader(school, lesson, "Question reader");
        Visitor visitor = reader.visitor();
        plan(lesson, reader, scope(List.of("q1"), List.of(), 1, 1)).isRefused(422);
        plan(lesson, reader, scope(List.of(), List.of(), 3, 2)).isRefused(422);
        plan(lesson, reader, scope(List.of("q4"), List.of(), 1, 1)).ok();
        assertThat(texts(visitor, lesson)).containsExactly("x");
        visitor.get(lesson.path("/readings/q4/examples")).ok();
        visitor.get(lesson.path("/readings/readers")).isRefused(404);
        visitor.put(lesson.path("/readings/readers/" + reader.id()), scope(List.of(), List.of(), 1, 1))
                .isRefused(404);
        Colleague stranger = Colleague.called(school, "Reads nothing here");
        plan(lesson, stranger, scope(List.of(), List.of(), 1, 1)).isRefused(422);
    }
}
