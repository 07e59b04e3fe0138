package org.scholion.server.collect;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.concurrent.CompletableFuture;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.scholion.server.ledger.Standings;
import org.scholion.server.testing.AboutFile;
import org.scholion.server.testing.Colleague;
import org.scholion.server.testing.Lesson;
import org.scholion.server.testing.Scholion;
import org.scholion.server.testing.Visitor;
import tools.jackson.databind.JsonNode;

/** Typing from paper, alone and by two. */
@ExtendWith(Scholion.class)
class TypedByHandTest {
    private static JsonNode view(Lesson lesson, Visitor typist) {
        return typist.get(lesson.path("/typed")).ok();
    }

    private static String student(Lesson lesson, String name) {
        for (JsonNode s : view(lesson, lesson.teacher).get("students")) {
            if (s.get("name").stringValue().equals(name)) {
                return s.get("student").stringValue();
            }
        }
        throw new AssertionError("no " + name);
    }

    private static Visitor.Reply types(Lesson lesson, Visitor typist, String name, Map<String, String> cells) {
        return says(lesson, typist, name, cells, Map.of());
    }

    private static Visitor.Reply says(
            Lesson lesson, Visitor typist, String name, Map<String, String> cells, Map<String, String> stays) {
        return typist.put(lesson.path("/typed/" + student(lesson, name)), Map.of("cells", cells, "stays", stays));
    }

    private static Visitor second(Scholion.Running school, Lesson lesson) {
        Colleague colleague = Colleague.called(school, "Second typist " + lesson.id.substring(0, 8));
        String course = lesson.teacher.get("/api/courses").ok().get(0).get("id").stringValue();
        lesson.teacher
                .put("/api/courses/" + course + "/teachers/" + colleague.id(), null)
                .ok();
        return colleague.visitor();
    }

    @Test
    void what_is_typed_stays_cell_by_cell_and_comes_in_like_a_file(Scholion.Running school, Standings standings) {
        Lesson lesson = Lesson.written(school, "Typed from paper");
        types(lesson, lesson.teacher, "Marrin, Lotte", Map.of("q1", "A", "q2", "bowline"))
                .ok();
        types(lesson, lesson.teacher, "Marrin, Lotte", Map.of("q3", "10 nmi", "q4", "4.5"))
                .ok();
        types(lesson, lesson.teacher, "Orrel, Tamsin", Map.of("q1", "b", "q2", "-", "q3", "-", "q4", "0"))
                .ok();
        JsonNode view = view(lesson, lesson.teacher);
        assertThat(view.get("questions").get(0).get("options").intValue()).isEqualTo(2);
        JsonNode lotte = view.get("students")
                .valueStream()
                .filter(s -> s.get("name").stringValue().equals("Marrin, Lotte"))
                .findFirst()
                .orElseThrow();
        assertThat(lotte.get("cells").propertyNames()).containsExactlyInAnyOrder("q1", "q2", "q3", "q4");
        assertThat(view.get("typists").get(0).get("rows").intValue()).isEqualTo(2);

        String table = lesson.teacher.get(lesson.path("/typed/table")).ok200().body();
        assertThat(table.lines()).hasSize(3);
        AboutFile said = new AboutFile().typed().reads("", "-", "");
        JsonNode taken = lesson.teacher
                .sendFile(lesson.path("/bring-in"), table, said.said())
                .ok();
        assertThat(taken.get("students").intValue()).isEqualTo(2);
        assertThat(lesson.teacher
                        .get(lesson.path("/hand-back"))
                        .ok()
                        .get("students")
                        .valueStream()
                        .map(s -> s.get("name").stringValue() + " "
                                + s.get("score").stringValue()))
                .containsExactly("Lotte Marrin 9.5", "Tamsin Orrel 0");
        JsonNode rows = lesson.teacher.get(lesson.path("/collect")).ok().get("rows");
        assertThat(rows.valueStream()
                        .filter(r -> !r.get("way").isNull())
                        .map(r -> r.get("way").stringValue()))
                .containsOnly("TYPED");
        assertThat(view(lesson, lesson.teacher)
                        .get("students")
                        .valueStream()
                        .filter(s -> s.get("in").booleanValue()))
                .hasSize(2);
        types(lesson, lesson.teacher, "Marrin, Lotte", Map.of("q4", "5")).ok();
        String again = lesson.teacher.get(lesson.path("/typed/table")).ok200().body();
        JsonNode other = lesson.teacher
                .sendFile(lesson.path("/bring-in/preview"), again, said.said())
                .ok();
        assertThat(other.get("changed").get(0).get("fromFile").booleanValue())
                .as("what was typed can be typed otherwise")
                .isTrue();
        assertThat(standings.differences()).isEmpty();
    }

    @Test
    void two_who_type_the_same_pile_see_where_they_differ_and_nothing_comes_in_before(Scholion.Running school) {
        Lesson lesson = Lesson.written(school, "Typed twice");
        Visitor second = second(school, lesson);
        types(lesson, lesson.teacher, "Marrin, Lotte", Map.of("q1", "a", "q2", "bowline"))
                .ok();
        types(lesson, second, "Marrin, Lotte", Map.of("q1", "b", "q2", "Bowline"))
                .ok();
        JsonNode difference = view(lesson, second).get("differences").get(0);
        assertThat(difference.get("item").stringValue()).isEqualTo("q1");
        assertThat(difference
                        .get("values")
                        .valueStream()
                        .map(v -> v.get("value").stringValue()))
                .containsExactlyInAnyOrder("a", "b");
        assertThat(lesson.teacher
                        .get(lesson.path("/typed/table"))
                        .isRefused(409)
                        .detail())
                .contains("Lotte Marrin", "nothing was brought in");
        says(
                        lesson,
                        second,
                        "Marrin, Lotte",
                        Map.of(),
                        Map.of("q1", difference.get("others").stringValue()))
                .ok();
        assertThat(view(lesson, lesson.teacher).get("differences")).isEmpty();
        assertThat(lesson.teacher.get(lesson.path("/typed/table")).body()).contains(",b,");
        types(lesson, lesson.teacher, "Marrin, Lotte", Map.of("q1", "")).ok();
        assertThat(view(lesson, lesson.teacher).get("differences"))
                .as("the other typed something else since")
                .hasSize(1);
    }

    @Test
    void nobody_else_types_and_nobody_is_typed_who_is_not_on_the_roster(Scholion.Running school) {
        Lesson lesson = Lesson.written(school, "Typed by whom");
        String lotte = student(lesson, "Marrin, Lotte");
        Map<String, Object> body = Map.of("cells", Map.of("q1", "a"), "stays", Map.of());
        school.as("Lotte Marrin").put(lesson.path("/typed/" + lotte), body).isRefused(403);
        Visitor stranger = Colleague.called(school, "No typist").visitor();
        stranger.put(lesson.path("/typed/" + lotte), body).isRefused(404);
        stranger.get(lesson.path("/typed")).isRefused(404);
        stranger.get(lesson.path("/typed/table")).isRefused(404);
        String aud = lesson.teacher.get("/api/session").ok().get("id").stringValue();
        lesson.teacher.put(lesson.path("/typed/" + aud), body).isRefused(404);
        lesson.teacher
                .put(
                        lesson.path("/typed/" + lotte),
                        Map.of("cells", Map.of("q1", "x".repeat(3_000)), "stays", Map.of()))
                .isRefused(422);
        Map<String, String> many = new java.util.HashMap<>();
        IntStream.range(0, 500).forEach(i -> many.put("i" + i, "a"));
        lesson.teacher
                .put(lesson.path("/typed/" + lotte), Map.of("cells", many, "stays", Map.of()))
                .isRefused(422);
    }

    @Test
    void cells_that_come_at_once_from_two_windows_are_all_kept(Scholion.Running school) {
        Lesson lesson = Lesson.written(school, "Typed at once");
        String lotte = student(lesson, "Marrin, Lotte");
        List<CompletableFuture<Integer>> all = IntStream.rangeClosed(1, 4)
                .mapToObj(n -> CompletableFuture.supplyAsync(() -> lesson.teacher
                        .put(
                                lesson.path("/typed/" + lotte),
                                Map.of("cells", Map.of("q" + n, "x" + n), "stays", Map.of()))
                        .status()))
                .toList();
        assertThat(all).allSatisfy(f -> assertThat(f.join()).isEqualTo(200));
        JsonNode row = view(lesson, lesson.teacher)
                .get("students")
                .valueStream()
                .filter(s -> s.get("student").stringValue().equals(lotte))
                .findFirst()
                .orElseThrow();
        assertThat(row.get("cells").propertyNames()).hasSize(4);
    }
}
