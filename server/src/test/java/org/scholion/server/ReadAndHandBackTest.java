package org.scholion.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.scholion.server.ledger.Standings;
import org.scholion.server.testing.Lesson;
import org.scholion.server.testing.Scholion;
import org.scholion.server.testing.Visitor;
import org.springframework.jdbc.core.simple.JdbcClient;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

@ExtendWith(Scholion.class)
class ReadAndHandBackTest {
    private static final Map<String, Object> ALL =
            Map.of("score", true, "marks", true, "answers", true, "notes", true, "keys", false);

    private static Visitor.Reply read(Lesson lesson, String name, Map<String, String> levels, boolean hold) {
        Map<String, Object> reading =
                Map.of("levels", levels, "comment", "Say what falls.", "note", "knows more", "hold", hold);
        return lesson.reads(name, "q4", reading);
    }

    private static Visitor.Reply handBack(Lesson lesson, String name, Map<String, Object> sees) {
        List<Map<String, String>> messages =
                List.of(Map.of("from", "70", "text", "You have it."), Map.of("from", "0", "text", "Come and see me."));
        return lesson.teacher.post(
                lesson.path("/hand-back"),
                Map.of("attempts", List.of(lesson.attempt(name)), "sees", sees, "messages", messages));
    }

    private static JsonNode result(Scholion.Running school, String name, String title) {
        Visitor student = school.as(name);
        for (JsonNode line : student.get("/api/student/results").ok()) {
            if (line.get("title").stringValue().equals(title)) {
                return student.get("/api/student/results/" + line.get("id").stringValue())
                        .ok();
            }
        }
        throw new AssertionError("no result called " + title);
    }

    private static Lesson read(Scholion.Running school, String title) {
        Lesson lesson =
                Lesson.given(school, title, "A").sits("Noor Haddix", List.of("a"), "bowline", "10", "The level falls.");
        read(lesson, "Noor Haddix", Map.of("c1", "1", "c2", "0"), false).ok();
        return lesson;
    }

    @Test
    void an_open_answer_waits_until_every_criterion_has_a_level(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "Waiting", "A").sits("Dov Kessler", null, null, null, "Because.");
        read(lesson, "Dov Kessler", Map.of("c1", "1"), false).ok();
        assertThat(lesson.mark("Dov Kessler", "q4").get("state").stringValue()).isEqualTo("read");
        assertThat(lesson.trace("Dov Kessler")
                        .get("standing")
                        .get("provisional")
                        .booleanValue())
                .isTrue();
        JsonNode done =
                read(lesson, "Dov Kessler", Map.of("c1", "1", "c2", "1"), false).ok();
        assertThat(done.get("mark").get("points").stringValue()).isEqualTo("5");
        assertThat(done.get("mark").get("who").stringValue()).isEqualTo("Aud Meller");
        assertThat(lesson.trace("Dov Kessler")
                        .get("standing")
                        .get("provisional")
                        .booleanValue())
                .isFalse();
    }

    @Test
    void names_stay_on_the_server_while_they_are_hidden(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "Hidden names", "A").sits("Oona Rusk", null, null, null, "It runs.");
        assertThat(lesson.teacher.get(lesson.path("/readings")).body()).doesNotContain("Oona");
        assertThat(lesson.teacher.get(lesson.path("/readings?names=true")).body())
                .contains("Oona Rusk");
    }

    @Test
    void holding_back_keeps_what_was_chosen_and_undo_goes_one_step_back(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "Held", "A").sits("Ivo Lomas", null, null, null, "Because.");
        JsonNode held = read(lesson, "Ivo Lomas", Map.of("c1", "1"), true).ok();
        assertThat(held.get("held").booleanValue()).isTrue();
        assertThat(held.get("levels").get("c1").stringValue()).isEqualTo("1");
        read(lesson, "Ivo Lomas", Map.of("c1", "1", "c2", "1"), false).ok();
        JsonNode undone = lesson.undoesReading("Ivo Lomas", "q4").ok();
        assertThat(undone.get("mark").get("state").stringValue()).isEqualTo("read");
        assertThat(undone.get("held").booleanValue()).isTrue();
    }

    @Test
    void an_unknown_level_is_refused_by_name(Scholion.Running school) {
        Lesson lesson = read(school, "Unknown level");
        assertThat(read(lesson, "Noor Haddix", Map.of("c1", "7", "c2", "0"), false)
                        .isRefused(422)
                        .detail())
                .contains("'7'");
    }

    @Test
    void preview_page_gradebook_and_students_result_show_one_number(Scholion.Running school) {
        Lesson lesson = read(school, "One number");
        handBack(lesson, "Noor Haddix", ALL).ok();
        String standing =
                lesson.trace("Noor Haddix").get("standing").get("percent").stringValue();
        assertThat(standing).as("1 + 2 + 1 + 2 of 10").isEqualTo("60.0");
        JsonNode result = result(school, "Noor Haddix", "One number").get("result");
        assertThat(result.get("percent").stringValue()).isEqualTo(standing);
        assertThat(result.get("message").stringValue()).isEqualTo("Come and see me.");
        JsonNode preview = lesson.teacher
                .post(
                        "/api/attempts/" + lesson.attempt("Noor Haddix") + "/result/preview",
                        Map.of(
                                "sees",
                                ALL,
                                "messages",
                                List.of(
                                        Map.of("from", "70", "text", "You have it."),
                                        Map.of("from", "0", "text", "Come and see me."))))
                .ok();
        assertThat(preview).isEqualTo(result);
        String course = lesson.teacher.get("/api/courses").ok().get(0).get("id").stringValue();
        assertThat(lesson.teacher
                        .get("/api/courses/" + course + "/gradebook")
                        .ok()
                        .get("rows")
                        .valueStream()
                        .flatMap(r -> r.get("cells").valueStream())
                        .filter(c -> !c.isNull()
                                && c.get("standing")
                                        .get("attempt")
                                        .stringValue()
                                        .equals(lesson.attempt("Noor Haddix")))
                        .map(c -> c.get("standing").get("percent").stringValue()))
                .containsExactly(standing);
    }

    @Test
    void each_mark_tells_its_reason_and_who_decided_and_never_the_key_or_the_private_note(Scholion.Running school) {
        Lesson lesson =
                Lesson.given(school, "Reasons", "A").sits("Tamsin Orrel", List.of("b"), "Bowlin", "7 nmi", "It falls.");
        read(lesson, "Tamsin Orrel", Map.of("c1", "1", "c2", "0"), false).ok();
        handBack(lesson, "Tamsin Orrel", ALL).ok();
        JsonNode view = result(school, "Tamsin Orrel", "Reasons");
        JsonNode items = view.get("result").get("items");
        assertThat(items.get(0).get("mark").get("because").stringValue())
                .isEqualTo("chose “At neaps”, which is not right");
        assertThat(items.get(1).get("mark").get("because").stringValue())
                .isEqualTo("one typing slip away from an accepted answer");
        assertThat(items.get(3).get("mark").get("who").stringValue()).isEqualTo("Aud Meller");
        assertThat(items.get(3).get("comment").stringValue()).isEqualTo("Say what falls.");
        assertThat(view.toString()).doesNotContain("knows more").doesNotContain("\"At springs\"");
    }

    @Test
    void what_students_do_not_see_is_not_in_what_they_get(Scholion.Running school) {
        Lesson lesson = read(school, "Little");
        handBack(
                        lesson,
                        "Noor Haddix",
                        Map.of("score", false, "marks", false, "answers", false, "notes", false, "keys", false))
                .ok();
        JsonNode result = result(school, "Noor Haddix", "Little").get("result");
        assertThat(result.get("score").isNull()).isTrue();
        assertThat(result.toString())
                .doesNotContain("because")
                .doesNotContain("Say what falls")
                .doesNotContain("The level falls");
    }

    @Test
    void a_result_is_a_snapshot_and_a_later_difference_is_seen_and_can_be_handed_back_again(Scholion.Running school) {
        Lesson lesson = read(school, "Snapshot");
        handBack(lesson, "Noor Haddix", ALL).ok();
        assertThat(line(lesson).get("changed").booleanValue()).isFalse();
        read(lesson, "Noor Haddix", Map.of("c1", "1", "c2", "1"), false).ok();
        assertThat(result(school, "Noor Haddix", "Snapshot")
                        .get("result")
                        .get("percent")
                        .stringValue())
                .isEqualTo("60.0");
        assertThat(line(lesson).get("changed").booleanValue()).isTrue();
        handBack(lesson, "Noor Haddix", ALL).ok();
        assertThat(result(school, "Noor Haddix", "Snapshot")
                        .get("result")
                        .get("percent")
                        .stringValue())
                .isEqualTo("90.0");
        assertThat(line(lesson).get("changed").booleanValue()).isFalse();
    }

    @Test
    void another_wording_changes_no_result_and_another_comment_does(Scholion.Running school) {
        Lesson lesson = read(school, "Reworded");
        handBack(lesson, "Noor Haddix", ALL).ok();
        JdbcClient db = school.bean(JdbcClient.class);
        String reworded =
                "update result set snapshot = cast(replace(replace(cast(snapshot as text), 'right', 'correct'),"
                        + " 'Coastal Navigation', 'Navigation') as jsonb) where attempt_id = cast(? as uuid)";
        assertThat(db.sql(reworded).param(lesson.attempt("Noor Haddix")).update())
                .isEqualTo(1);
        assertThat(line(lesson).get("changed").booleanValue())
                .as("other words for the same")
                .isFalse();
        handBack(lesson, "Noor Haddix", ALL).ok();
        String results = "select count(*) from result where attempt_id = cast(? as uuid)";
        assertThat(db.sql(results)
                        .param(lesson.attempt("Noor Haddix"))
                        .query(Integer.class)
                        .single())
                .as("handed back as it was before")
                .isEqualTo(1);
        Map<String, Object> more = new HashMap<>(Map.of("c1", "1", "c2", "0"));
        lesson.reads(
                        "Noor Haddix",
                        "q4",
                        Map.of("levels", more, "comment", "Look at the third hour.", "note", "", "hold", false))
                .ok();
        assertThat(line(lesson).get("changed").booleanValue())
                .as("another comment")
                .isTrue();
    }

    private static JsonNode line(Lesson lesson) {
        return lesson.teacher
                .get(lesson.path("/hand-back"))
                .ok()
                .get("students")
                .get(0);
    }

    @Test
    void a_query_waits_on_the_desk_and_its_answer_may_move_the_mark(Scholion.Running school, Standings standings) {
        Lesson lesson = read(school, "Asked");
        handBack(lesson, "Noor Haddix", ALL).ok();
        Visitor noor = school.as("Noor Haddix");
        String result = result(school, "Noor Haddix", "Asked").get("id").stringValue();
        Map<String, String> question = Map.of("item", "q4", "words", "I named the range, did I not?");
        noor.post("/api/student/results/" + result + "/queries", question).ok();
        noor.post("/api/student/results/" + result + "/queries", question).isRefused(409);
        assertThat(lesson.teacher.get("/api/desk").body()).contains("I named the range");

        JsonNode query = lesson.teacher
                .get("/api/queries")
                .ok()
                .valueStream()
                .filter(q -> q.get("title").stringValue().equals("Asked"))
                .findFirst()
                .orElseThrow();
        String path = "/api/queries/" + query.get("id").stringValue();
        Map<String, Object> reply = new HashMap<>(Map.of(
                "words", "You did.", "points", "4", "saw", query.get("saw").stringValue()));
        assertThat(lesson.teacher
                        .post(path + "/preview", reply)
                        .ok()
                        .get("moves")
                        .get(0)
                        .get("percentAfter")
                        .stringValue())
                .isEqualTo("80.0");
        reply.put("points", "9");
        lesson.teacher.post(path + "/preview", reply).isRefused(422);
        reply.put("points", "4");
        lesson.teacher.post(path + "/reply", reply).ok();
        lesson.teacher.post(path + "/reply", reply).isRefused(409);
        assertThat(lesson.mark("Noor Haddix", "q4").get("because").stringValue())
                .isEqualTo("decided by a teacher: You did.");
        assertThat(line(lesson).get("changed").booleanValue()).isTrue();
        assertThat(noor.get("/api/student/results/" + result)
                        .ok()
                        .get("queries")
                        .get(0)
                        .get("reply")
                        .stringValue())
                .isEqualTo("You did.");
        assertThat(standings.differences()).isEmpty();
    }

    @Test
    void an_award_comes_with_the_result_that_reaches_it_and_only_where_the_score_is_shown(Scholion.Running school) {
        Lesson lesson = read(school, "Awarded");
        ObjectNode definition = Lesson.definition("Awarded").asObject();
        definition.get("grading").asObject().put("pass", "50");
        ArrayNode awards = definition.putArray("awards");
        awards.addObject().put("id", "a1").put("title", "Deckhand").put("from", "60");
        awards.addObject().put("id", "a2").put("title", "Mate").put("from", "60.1");
        lesson.teacher
                .post(lesson.path("/editions"), lesson.change(definition, "awards"))
                .ok();
        handBack(lesson, "Noor Haddix", ALL).ok();
        JsonNode given = result(school, "Noor Haddix", "Awarded").get("result").get("awards");
        assertThat(given.valueStream().map(a -> a.get("title").stringValue())).containsExactly("Deckhand");
        Map<String, Object> noScore = new HashMap<>(ALL);
        noScore.put("score", false);
        handBack(lesson, "Noor Haddix", noScore).ok();
        assertThat(result(school, "Noor Haddix", "Awarded").toString()).doesNotContain("Deckhand");
        assertThat(lesson.teacher
                        .get(lesson.path("/hand-back"))
                        .ok()
                        .get("borderline")
                        .get(0)
                        .get("bound")
                        .stringValue())
                .as("exactly on the first award")
                .isEqualTo("60");
    }

    @Test
    void a_comment_stays_with_the_reader_while_the_reading_is_held_back_or_not_finished(Scholion.Running school) {
        Lesson lesson = read(school, "Held comment");
        read(lesson, "Noor Haddix", Map.of("c1", "1", "c2", "0"), true).ok();
        handBack(lesson, "Noor Haddix", ALL).ok();
        assertThat(result(school, "Noor Haddix", "Held comment").toString()).doesNotContain("Say what falls.");
        read(lesson, "Noor Haddix", Map.of("c1", "1"), false).ok();
        handBack(lesson, "Noor Haddix", ALL).ok();
        assertThat(result(school, "Noor Haddix", "Held comment").toString()).doesNotContain("Say what falls.");
        read(lesson, "Noor Haddix", Map.of("c1", "1", "c2", "0"), false).ok();
        handBack(lesson, "Noor Haddix", ALL).ok();
        assertThat(result(school, "Noor Haddix", "Held comment").toString()).contains("Say what falls.");
    }

    @Test
    void a_result_handed_back_again_with_less_shows_no_longer_the_fuller_one(Scholion.Running school) {
        Lesson lesson = read(school, "Less");
        handBack(lesson, "Noor Haddix", ALL).ok();
        String fuller = result(school, "Noor Haddix", "Less").get("id").stringValue();
        handBack(
                        lesson,
                        "Noor Haddix",
                        Map.of("score", true, "marks", false, "answers", false, "notes", false, "keys", false))
                .ok();
        Visitor noor = school.as("Noor Haddix");
        JsonNode seen = noor.get("/api/student/results/" + fuller).ok();
        assertThat(seen.toString()).doesNotContain("Say what falls.").doesNotContain("The level falls");
        assertThat(seen.get("id").stringValue()).isNotEqualTo(fuller);
        noor.post("/api/student/results/" + fuller + "/queries", Map.of("item", "q4", "words", "Why?"))
                .isRefused(422);
    }

    @Test
    void a_student_exactly_on_a_bound_is_named_before_anything_is_sent(Scholion.Running school) {
        Lesson lesson = read(school, "Borderline");
        JsonNode borderline = lesson.teacher.get(lesson.path("/hand-back")).ok().get("borderline");
        assertThat(borderline.get(0).get("name").stringValue()).isEqualTo("Noor Haddix");
        assertThat(borderline.get(0).get("bound").stringValue()).isEqualTo("60");
    }
}
