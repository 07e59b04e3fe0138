package org.scholion.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.scholion.server.ledger.Standings;
import org.scholion.server.ledger.Turns;
import org.scholion.server.testing.Lesson;
import org.scholion.server.testing.Scholion;
import org.scholion.server.testing.Together;
import org.scholion.server.testing.Visitor;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Totals as the server keeps them: adjustments, curves, several hands at once. */
@ExtendWith(Scholion.class)
class TotalsTest {
    private static Lesson three(Scholion.Running school, String title) {
        return Lesson.given(school, title, "A", "B")
                .sits("Tamsin Orrel", List.of("a"), "bowline", "10 nmi", null)
                .sits("Noor Haddix", List.of("b"), "bowline", "7 nmi", null)
                .sits("Kofi Sande", List.of("a"), null, "10", null);
    }

    private static String percent(Lesson lesson, String name) {
        return lesson.trace(name).get("standing").get("percent").stringValue();
    }

    @Test
    void a_question_that_is_left_out_leaves_score_and_possible_and_its_mark_stays(
            Scholion.Running school, Standings standings) {
        Lesson lesson = three(school, "Left out");
        ObjectNode changed = Lesson.definition("Left out").asObject();
        changed.putArray("adjustments").addObject().put("item", "q4").put("do", "drop");
        JsonNode effect = lesson.teacher
                .post(lesson.path("/editions"), lesson.change(changed, "too long"))
                .ok();
        assertThat(effect.get("marks").intValue()).as("marks stay").isZero();
        assertThat(effect.get("moves")).as("totals do not").hasSize(3);
        JsonNode standing = lesson.trace("Tamsin Orrel").get("standing");
        assertThat(standing.get("possible").stringValue()).isEqualTo("5");
        assertThat(standing.get("percent").stringValue()).isEqualTo("100.0");
        assertThat(lesson.trace("Tamsin Orrel")
                        .get("items")
                        .get(3)
                        .get("counted")
                        .isNull())
                .isTrue();
        assertThat(lesson.teacher
                        .get(lesson.path("/examine"))
                        .ok()
                        .get("items")
                        .get(3)
                        .get("dropped")
                        .booleanValue())
                .isTrue();
        assertThat(standings.differences()).isEmpty();
    }

    @Test
    void full_points_to_all_who_answered_settle_a_doubt_without_deciding_it(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "Credited", "A")
                .sits("Tamsin Orrel", null, "granny", null, null)
                .sits("Noor Haddix", null, null, null, null);
        ObjectNode changed = Lesson.definition("Credited").asObject();
        changed.putArray("adjustments").addObject().put("item", "q2").put("do", "creditAnswered");
        lesson.teacher
                .post(lesson.path("/editions"), lesson.change(changed, "the question was wrong"))
                .ok();
        assertThat(lesson.trace("Tamsin Orrel").get("standing").get("score").stringValue())
                .isEqualTo("2");
        assertThat(lesson.trace("Tamsin Orrel")
                        .get("standing")
                        .get("provisional")
                        .booleanValue())
                .isFalse();
        assertThat(lesson.trace("Noor Haddix").get("standing").get("score").stringValue())
                .isEqualTo("0");
    }

    @Test
    void a_curve_lifts_each_sitting_by_itself_and_touches_no_score(Scholion.Running school, Standings standings) {
        Lesson lesson = three(school, "Curved");
        assertThat(percent(lesson, "Tamsin Orrel")).isEqualTo("50.0");
        ObjectNode changed = Lesson.definition("Curved").asObject();
        changed.get("grading").asObject().putArray("curve").addObject().put("scaleTo", "90");
        lesson.teacher
                .post(lesson.path("/editions"), lesson.change(changed, "it was hard"))
                .ok();
        assertThat(percent(lesson, "Tamsin Orrel"))
                .as("the highest of section A")
                .isEqualTo("90.0");
        assertThat(percent(lesson, "Noor Haddix")).as("2 of 5 of the highest").isEqualTo("36.0");
        assertThat(percent(lesson, "Kofi Sande"))
                .as("the only one of section B")
                .isEqualTo("90.0");
        assertThat(lesson.trace("Tamsin Orrel").get("standing").get("score").stringValue())
                .isEqualTo("5");
        assertThat(standings.differences()).isEmpty();
    }

    @Test
    void who_hands_in_later_waits_for_the_curve_and_says_so_until_it_is_computed_once(
            Scholion.Running school, Standings standings) throws Exception {
        Lesson lesson = three(school, "Later curve");
        ObjectNode changed = Lesson.definition("Later curve").asObject();
        changed.get("grading").asObject().putArray("curve").addObject().put("scaleTo", "90");
        lesson.teacher
                .post(lesson.path("/editions"), lesson.change(changed, "it was hard"))
                .ok();
        school.bean(Turns.class).shared(UUID.fromString(lesson.id), () -> {
            // Whatever looks at the whole sitting cannot begin meanwhile; handing in can.
            Together.times(1, i -> lesson.sits("Yuki Tarn", List.of("a"), "bowline", "10 nmi", "x"));
            JsonNode standing = lesson.trace("Yuki Tarn").get("standing");
            assertThat(standing.get("awaitsCurve").booleanValue()).isTrue();
            assertThat(standing.get("percent").isNull()).isTrue();
            assertThat(standing.get("score").stringValue()).isEqualTo("5");
            assertThat(awaits(lesson, "Tamsin Orrel"))
                    .as("the highest may become another for all")
                    .isTrue();
            assertThat(line(lesson).get("ready").intValue())
                    .as("the other section’s sitting has its own curve")
                    .isEqualTo(1);
            assertThat(standings.differences()).isEmpty();
            return lesson;
        });
        for (int i = 0; i < 100 && awaits(lesson, "Yuki Tarn"); i++) {
            Thread.sleep(200);
        }
        assertThat(awaits(lesson, "Yuki Tarn")).isFalse();
        assertThat(awaits(lesson, "Tamsin Orrel")).isFalse();
        assertThat(percent(lesson, "Yuki Tarn")).isEqualTo("90.0");
        assertThat(standings.differences()).isEmpty();
    }

    private static JsonNode line(Lesson lesson) {
        return lesson.teacher.get(lesson.path("")).ok().get("line");
    }

    private static boolean awaits(Lesson lesson, String name) {
        return lesson.trace(name).get("standing").get("awaitsCurve").booleanValue();
    }

    @Test
    void a_threshold_that_moves_shows_who_crosses_it_before_it_is_confirmed(Scholion.Running school) {
        Lesson lesson = three(school, "Threshold");
        ObjectNode changed = Lesson.definition("Threshold").asObject();
        changed.get("grading").asObject().put("pass", "50");
        JsonNode effect = lesson.teacher
                .post(lesson.path("/editions/preview"), lesson.change(changed, ""))
                .ok();
        assertThat(effect.get("moves")).hasSize(1);
        assertThat(effect.get("moves").get(0).get("student").stringValue()).isEqualTo("Tamsin Orrel");
        assertThat(effect.get("moves").get(0).get("crosses").stringValue()).isEqualTo("passes");
    }

    @Test
    void a_definition_that_contradicts_itself_changes_nothing(Scholion.Running school) {
        Lesson lesson = three(school, "Contradiction");
        ObjectNode changed = Lesson.definition("Contradiction").asObject();
        changed.putArray("adjustments").addObject().put("item", "q9").put("do", "drop");
        assertThat(lesson.teacher
                        .post(lesson.path("/editions"), lesson.change(changed, ""))
                        .isRefused(422)
                        .detail())
                .contains("q9");
        assertThat(lesson.teacher.get(lesson.path("/editions")).ok()).hasSize(1);
        assertThat(percent(lesson, "Tamsin Orrel")).isEqualTo("50.0");
    }

    @Test
    void of_two_who_decide_at_the_same_moment_one_is_told_to_look_again(Scholion.Running school, Standings standings)
            throws Exception {
        Lesson lesson = Lesson.given(school, "Both at once", "A").sits("Tamsin Orrel", null, "granny", null, null);
        Map<String, Object> decision = lesson.decision("q2", "granny", "1/2", "EXACT");
        List<Visitor> hands = List.of(lesson.teacher, school.as("Halvard Quist"));
        List<Integer> statuses = together(hands.stream()
                .<Callable<Integer>>map(
                        v -> () -> v.post(lesson.path("/doubts"), decision).status())
                .toList());
        assertThat(statuses).contains(200).allMatch(s -> s == 200 || s == 409);
        assertThat(lesson.mark("Tamsin Orrel", "q2").get("points").stringValue())
                .isEqualTo("1");
        long editions = lesson.teacher.get(lesson.path("/editions")).ok().size();
        assertThat(editions)
                .isEqualTo(1 + statuses.stream().filter(s -> s == 200).count());
        assertThat(standings.differences()).isEmpty();
    }

    @Test
    void a_whole_class_that_hands_in_at_the_same_moment_is_scored_once_each(
            Scholion.Running school, Standings standings) throws Exception {
        Lesson lesson = Lesson.given(school, "All at once", "A");
        List<Callable<Integer>> work = new ArrayList<>();
        for (String name :
                List.of("Tamsin Orrel", "Noor Haddix", "Dov Kessler", "Lotte Marrin", "Yuki Tarn", "Ewan Pryce")) {
            Visitor student = school.as(name);
            String attempt = lesson.begin(student);
            Lesson.answer(student, attempt, "q2", "bowline").ok();
            String path = "/api/student/attempts/" + attempt + "/hand-in";
            work.add(() -> student.post(path, null).status());
            work.add(() -> student.post(path, null).status());
        }
        assertThat(together(work)).allMatch(s -> s == 204);
        JsonNode students = lesson.teacher.get(lesson.path("/hand-back")).ok().get("students");
        assertThat(students).hasSize(6);
        assertThat(students.valueStream().map(s -> s.get("score").stringValue()))
                .containsOnly("2");
        for (JsonNode s : students) {
            JsonNode trace = lesson.teacher
                    .get("/api/attempts/" + s.get("attempt").stringValue() + "/trace")
                    .ok();
            assertThat(trace.get("items").get(1).get("earlier")).isEmpty();
        }
        assertThat(standings.differences()).isEmpty();
    }

    @Test
    void an_attempt_that_is_handed_in_while_the_key_changes_is_scored_under_the_new_key(
            Scholion.Running school, Standings standings) throws Exception {
        Lesson lesson = Lesson.given(school, "Crossing", "A");
        List<Callable<Integer>> work = new ArrayList<>();
        for (String name : List.of("Tamsin Orrel", "Noor Haddix", "Dov Kessler", "Lotte Marrin")) {
            Visitor student = school.as(name);
            String attempt = lesson.begin(student);
            Lesson.answer(student, attempt, "q1", List.of("b")).ok();
            work.add(() -> student.post("/api/student/attempts/" + attempt + "/hand-in", null)
                    .status());
        }
        ObjectNode changed = Lesson.definition("Crossing").asObject();
        changed.get("items").get(0).asObject().putArray("key").add("b");
        work.add(
                2,
                () -> lesson.teacher
                        .post(lesson.path("/editions"), lesson.change(changed, "springs were wrong"))
                        .status());
        assertThat(together(work)).allMatch(s -> s == 200 || s == 204);
        assertThat(lesson.teacher
                        .get(lesson.path("/hand-back"))
                        .ok()
                        .get("students")
                        .valueStream()
                        .map(s -> s.get("score").stringValue()))
                .hasSize(4)
                .containsOnly("1");
        assertThat(standings.differences()).isEmpty();
    }

    private static <T> List<T> together(List<Callable<T>> work) throws Exception {
        ExecutorService hands = Executors.newFixedThreadPool(work.size());
        try {
            List<T> done = new ArrayList<>();
            for (Future<T> one : hands.invokeAll(work)) {
                done.add(one.get());
            }
            return done;
        } finally {
            hands.shutdown();
        }
    }
}
