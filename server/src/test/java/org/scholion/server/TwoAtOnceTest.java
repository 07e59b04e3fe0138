package org.scholion.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.sql.Connection;
import java.sql.Statement;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import javax.sql.DataSource;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.scholion.server.ledger.Standings;
import org.scholion.server.testing.Lesson;
import org.scholion.server.testing.Scholion;
import org.scholion.server.testing.Together;
import org.scholion.server.testing.Visitor;
import org.springframework.jdbc.core.simple.JdbcClient;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Two colleagues at the same thing: nothing of either is overwritten unseen. */
@ExtendWith(Scholion.class)
class TwoAtOnceTest {
    private static final Map<String, Object> ALL =
            Map.of("score", true, "marks", true, "answers", true, "notes", true, "keys", false);

    private static Map<String, Object> reading(String c1, String c2, String comment) {
        return new HashMap<>(
                Map.of("levels", Map.of("c1", c1, "c2", c2), "comment", comment, "note", "", "hold", false));
    }

    @Test
    void an_edition_made_from_an_older_one_is_refused_and_the_colleagues_stays(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "Stale page", "A").sits("Noor Haddix", null, "sheet bend", "7", null);
        Map<String, Object> stale =
                lesson.change(Lesson.definition("Stale page").asObject().put("title", "Renamed"), "");
        Visitor halvard = school.as("Halvard Quist");
        halvard.post(lesson.path("/doubts"), lesson.decision("q2", "sheet bend", "1", "EXACT"))
                .ok();
        assertThat(lesson.teacher
                        .post(lesson.path("/editions"), stale)
                        .isRefused(409)
                        .json()
                        .get("code")
                        .stringValue())
                .isEqualTo("changed-meanwhile");
        lesson.teacher.post(lesson.path("/editions/preview"), stale).isRefused(409);
        assertThat(lesson.mark("Noor Haddix", "q2").get("points").stringValue())
                .as("what the colleague accepted stays accepted")
                .isEqualTo("2");
        lesson.teacher.post(lesson.path("/editions/undo"), Map.of("edition", 1)).isRefused(409);
        lesson.teacher
                .post(lesson.path("/editions/undo/preview"), Map.of("edition", 1))
                .isRefused(409);
    }

    @Test
    void of_six_contradictory_readings_one_is_taken_and_the_others_are_told_it(
            Scholion.Running school, Standings standings) {
        Lesson lesson = Lesson.given(school, "Six readers", "A").sits("Noor Haddix", null, null, null, "Because.");
        JsonNode answer = lesson.answerOf("Noor Haddix", "q4");
        List<Visitor.Reply> replies = Together.times(6, i -> {
            Map<String, Object> body = reading(String.valueOf(i % 2), "0", "reader " + i);
            body.put("saw", answer.get("saw").stringValue());
            return school.as(i % 2 == 0 ? "Aud Meller" : "Halvard Quist").put(lesson.reading(answer, "q4", ""), body);
        });
        assertThat(replies.stream().filter(r -> r.status() == 200)).hasSize(1);
        replies.stream().filter(r -> r.status() != 200).forEach(r -> {
            assertThat(r.status()).as(r.body()).isEqualTo(409);
            assertThat(r.json().get("theirs").get("comment").stringValue()).startsWith("reader ");
            assertThat(r.detail()).contains("was read meanwhile by");
        });
        assertThat(standings.differences()).isEmpty();
    }

    @Test
    void a_reading_is_taken_back_only_by_whoever_made_it_and_sees_it(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "Seen undo", "A").sits("Noor Haddix", null, null, null, "Because.");
        JsonNode mine =
                lesson.reads("Noor Haddix", "q4", reading("1", "1", "first")).ok();
        JsonNode now = lesson.answerOf("Noor Haddix", "q4");
        Map<String, Object> second = reading("0", "0", "second");
        second.put("saw", now.get("saw").stringValue());
        school.as("Halvard Quist").put(lesson.reading(now, "q4", ""), second).ok();
        lesson.teacher
                .post(
                        lesson.reading(now, "q4", "/undo"),
                        Map.of("saw", mine.get("saw").stringValue()))
                .isRefused(409);
        assertThat(lesson.answerOf("Noor Haddix", "q4").get("comment").stringValue())
                .isEqualTo("second");
        assertThat(lesson.undoesReading("Noor Haddix", "q4").isRefused(409).detail())
                .as("the last reading is a colleague's")
                .contains("Halvard Quist’s");
        JsonNode theirs = lesson.answerOf("Noor Haddix", "q4");
        school.as("Halvard Quist")
                .post(
                        lesson.reading(theirs, "q4", "/undo"),
                        Map.of("saw", theirs.get("saw").stringValue()))
                .ok();
        assertThat(lesson.answerOf("Noor Haddix", "q4").get("comment").stringValue())
                .isEqualTo("first");
        JsonNode mark = lesson.answerOf("Noor Haddix", "q4").get("mark");
        assertThat(mark.get("who").stringValue()).as("who decided").isEqualTo("Aud Meller");
        assertThat(mark.get("takenBackBy").stringValue()).as("who acted").isEqualTo("Halvard Quist");
        lesson.undoesReading("Noor Haddix", "q4").ok();
        assertThat(lesson.answerOf("Noor Haddix", "q4").get("mark").get("state").stringValue())
                .as("taking back goes on to what was before, not to what was taken back")
                .isEqualTo("read");
        lesson.undoesReading("Noor Haddix", "q4").isRefused(409);
    }

    @Test
    void a_group_that_was_decided_meanwhile_is_not_decided_again_and_both_are_shown(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "Decided meanwhile", "A")
                .sits("Noor Haddix", null, "sheet bend", null, null)
                .sits("Tamsin Orrel", null, "sheet bend", null, null);
        Map<String, Object> full = lesson.decision("q2", "sheet bend", "1", "THESE");
        Map<String, Object> none = lesson.decision("q2", "sheet bend", "0", "THESE");
        Map<String, Object> half = lesson.decision("q2", "sheet bend", "1/2", "EXACT");
        school.as("Halvard Quist").post(lesson.path("/doubts"), full).ok();
        for (Map<String, Object> late : List.of(none, half)) {
            Visitor.Reply refused =
                    lesson.teacher.post(lesson.path("/doubts"), late).isRefused(409);
            JsonNode theirs = refused.json().get("theirs").get(0);
            assertThat(theirs.get("student").stringValue()).isEqualTo("Noor Haddix");
            assertThat(theirs.get("mark").get("who").stringValue()).isEqualTo("Halvard Quist");
        }
        assertThat(lesson.mark("Tamsin Orrel", "q2").get("points").stringValue())
                .isEqualTo("2");
    }

    @Test
    void an_equal_answer_that_came_in_meanwhile_does_not_stand_in_the_way(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "One more", "A").sits("Noor Haddix", null, "sheet bend", null, null);
        Map<String, Object> seen = lesson.decision("q2", "sheet bend", "1", "THESE");
        lesson.sits("Tamsin Orrel", null, "sheet bend", null, null);
        lesson.teacher.post(lesson.path("/doubts"), seen).ok();
        assertThat(lesson.mark("Noor Haddix", "q2").get("points").stringValue()).isEqualTo("2");
        assertThat(lesson.mark("Tamsin Orrel", "q2").get("state").stringValue())
                .as("nobody has seen this one")
                .isEqualTo("settle");
    }

    @Test
    void a_reply_names_the_mark_it_was_made_on_and_gives_no_points_outside_the_question(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "Replies", "A").sits("Noor Haddix", null, null, null, "Because.");
        lesson.reads("Noor Haddix", "q4", reading("1", "0", "")).ok();
        lesson.handsBack("Noor Haddix").ok();
        Visitor noor = school.as("Noor Haddix");
        String result = resultOf(noor, "Replies");
        noor.post("/api/student/results/" + result + "/queries", Map.of("item", "q4", "words", "Why?"))
                .ok();
        JsonNode query = queryOf(lesson);
        String path = "/api/queries/" + query.get("id").stringValue();
        lesson.reads("Noor Haddix", "q4", reading("1", "1", "")).ok();
        Map<String, Object> reply = new HashMap<>(Map.of(
                "words", "Look again.", "points", "3", "saw", query.get("saw").stringValue()));
        Visitor.Reply refused = lesson.teacher.post(path + "/reply", reply).isRefused(409);
        assertThat(refused.json().get("theirs").get("points").stringValue()).isEqualTo("5");
        reply.put("saw", queryOf(lesson).get("saw").stringValue());
        for (String points : List.of("-1", "-5", "6", "1e9", "five")) {
            reply.put("points", points);
            assertThat(lesson.teacher
                            .post(path + "/reply", reply)
                            .isRefused(422)
                            .detail())
                    .as(points)
                    .contains("0 to 5");
        }
        reply.put("points", "0");
        lesson.teacher.post(path + "/reply", reply).ok();
        assertThat(lesson.mark("Noor Haddix", "q4").get("points").stringValue()).isEqualTo("0");
    }

    private static String resultOf(Visitor student, String title) {
        return student.get("/api/student/results")
                .ok()
                .valueStream()
                .filter(r -> r.get("title").stringValue().equals(title))
                .findFirst()
                .orElseThrow()
                .get("id")
                .stringValue();
    }

    private static JsonNode queryOf(Lesson lesson) {
        return lesson.teacher
                .get("/api/queries")
                .ok()
                .valueStream()
                .filter(q -> q.get("assessment").stringValue().equals(lesson.id))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void five_minutes_six_times_at_once_are_thirty(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "Thirty", "C");
        JsonNode sitting =
                lesson.teacher.get(lesson.path("/collect")).ok().get("sittings").get(0);
        String path = "/api/sittings/" + sitting.get("id").stringValue() + "/time";
        Together.times(
                6, i -> school.as("Aud Meller").post(path, Map.of("minutes", 5)).ok());
        JsonNode after =
                lesson.teacher.get(lesson.path("/collect")).ok().get("sittings").get(0);
        assertThat(Duration.between(
                        Instant.parse(sitting.get("closes").stringValue()),
                        Instant.parse(after.get("closes").stringValue())))
                .isEqualTo(Duration.ofMinutes(30));
    }

    @Test
    void a_result_handed_back_six_times_at_once_is_stored_once_and_again_only_when_it_differs(
            Scholion.Running school, JdbcClient db) {
        Lesson lesson = Lesson.given(school, "Six results", "A").sits("Noor Haddix", List.of("a"), null, null, null);
        Map<String, Object> wanted =
                Map.of("attempts", List.of(lesson.attempt("Noor Haddix")), "sees", ALL, "messages", List.of());
        List<Visitor.Reply> replies =
                Together.times(6, i -> school.as("Aud Meller").post(lesson.path("/hand-back"), wanted));
        assertThat(replies).allSatisfy(r -> assertThat(r.status()).as(r.body()).isEqualTo(200));
        assertThat(replies.stream()
                        .mapToInt(r -> r.json().get("unchanged").intValue())
                        .sum())
                .isEqualTo(5);
        assertThat(results(db, lesson)).isEqualTo(1);
        lesson.teacher
                .post(
                        lesson.path("/hand-back"),
                        Map.of(
                                "attempts",
                                List.of(lesson.attempt("Noor Haddix")),
                                "sees",
                                ALL,
                                "messages",
                                List.of(Map.of("from", "0", "text", "Well begun."))))
                .ok();
        assertThat(results(db, lesson)).isEqualTo(2);
    }

    private static int results(JdbcClient db, Lesson lesson) {
        return db.sql("select count(*) from result where attempt_id = cast(? as uuid)")
                .param(lesson.attempt("Noor Haddix"))
                .query(Integer.class)
                .single();
    }

    @Test
    void no_result_is_torn_between_two_editions_however_often_the_key_changes_meanwhile(
            Scholion.Running school, JdbcClient db, Standings standings) {
        Lesson lesson = Lesson.given(school, "Torn", "A");
        List<String> names = List.of(
                "Noor Haddix",
                "Tamsin Orrel",
                "Lotte Marrin",
                "Yuki Tarn",
                "Dov Kessler",
                "Ewan Pryce",
                "Ivo Lomas",
                "Oona Rusk",
                "Alby Eddis",
                "Gwen Kyle");
        names.forEach(n -> lesson.sits(n, List.of("a"), "bowline", "10 nmi", null));
        List<String> attempts = names.stream().map(lesson::attempt).toList();
        ObjectNode other = Lesson.definition("Torn").asObject();
        other.get("items").get(0).asObject().putArray("key").add("b");
        Together.times(4, i -> {
            Visitor aud = school.as("Aud Meller");
            List<Integer> statuses = new ArrayList<>();
            for (int round = 0; round < 6; round++) {
                if (i == 0) {
                    boolean odd = round % 2 == 0;
                    statuses.add(aud.post(
                                    lesson.path("/editions"),
                                    lesson.change(odd ? other : Lesson.definition("Torn"), "round " + round))
                            .status());
                } else {
                    statuses.add(aud.post(
                                    lesson.path("/hand-back"),
                                    Map.of("attempts", attempts, "sees", ALL, "messages", List.of()))
                            .status());
                }
            }
            assertThat(statuses).allMatch(s -> s == 200 || s == 409);
            return statuses;
        });
        List<String> snapshots =
                db.sql("""
                        select r.snapshot -> 'result' from result r join attempt x on x.id = r.attempt_id
                        where x.assessment_id = cast(? as uuid)""").param(lesson.id).query(String.class).list();
        assertThat(snapshots).hasSizeGreaterThanOrEqualTo(names.size());
        for (String snapshot : snapshots) {
            JsonNode result = org.scholion.formats.json.Json.read(snapshot);
            int sum = result.get("items")
                    .valueStream()
                    .mapToInt(one ->
                            Integer.parseInt(one.get("mark").get("points").stringValue()))
                    .sum();
            assertThat(result.get("score").stringValue())
                    .as("the score above is the sum of the marks below")
                    .isEqualTo(String.valueOf(sum));
        }
        assertThat(standings.differences()).isEmpty();
    }

    @Test
    void handing_in_waits_for_an_answer_that_is_just_being_saved_and_takes_it(
            Scholion.Running school, DataSource source, JdbcClient db) throws Exception {
        Lesson lesson = Lesson.given(school, "Just being saved", "A");
        Visitor noor = school.as("Noor Haddix");
        String attempt = lesson.begin(noor);
        Lesson.say(noor, attempt, "q2", "reef knot").ok();
        try (Connection saving = source.getConnection();
                Statement statement = saving.createStatement()) {
            saving.setAutoCommit(false);
            statement.execute("""
                    insert into draft_answer (school_id, attempt_id, item, answer, flagged, at)
                    select x.school_id, x.id, 'q2', '"bowline"', false, now() from attempt x where x.id = '%s'
                    for key share of x""".formatted(attempt));
            CompletableFuture<Visitor.Reply> handIn = CompletableFuture.supplyAsync(
                    () -> noor.post("/api/student/attempts/" + attempt + "/hand-in", null));
            assertThat(handIn)
                    .as("it waits for what will be acknowledged")
                    .failsWithin(Duration.ofMillis(1_500))
                    .withThrowableOfType(TimeoutException.class);
            saving.commit();
            saving.setAutoCommit(true);
            handIn.get(20, TimeUnit.SECONDS).ok();
        }
        assertThat(db.sql("select answer #>> '{}' from response where attempt_id = cast(? as uuid) and item = 'q2'")
                        .param(attempt)
                        .query(String.class)
                        .single())
                .isEqualTo("bowline");
    }
}
