package org.scholion.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.scholion.server.ledger.Standings;
import org.scholion.server.testing.Counting;
import org.scholion.server.testing.Counting.Cost;
import org.scholion.server.testing.Crowd;
import org.scholion.server.testing.Lesson;
import org.scholion.server.testing.Scholion;
import org.scholion.server.testing.Visitor;
import tools.jackson.databind.JsonNode;

/** What a request about one attempt costs does not grow with how many there are. */
@ExtendWith(Scholion.class)
class OwnCostTest {
    private static final Map<String, Object> ALL =
            Map.of("score", true, "marks", true, "answers", true, "notes", true, "keys", false);

    /** The cost of each kind of request about a single attempt. */
    private static Map<String, Cost> costs(Scholion.Running school, String title, int crowd) {
        Counting counting = school.bean(Counting.class);
        Lesson lesson = Lesson.given(school, title, "A").sits("Tamsin Orrel", null, null, null, "First.");
        Crowd.at(school, lesson, "A", crowd);
        Map<String, Cost> costs = new LinkedHashMap<>();
        Visitor student = school.as("Noor Haddix");
        String attempt = lesson.begin(student);
        student.get("/api/student/attempts/" + attempt).ok();
        costs.put(
                "save",
                counting.of(() -> Lesson.say(student, attempt, "q2", "bowline").ok()));
        Lesson.say(student, attempt, "q4", "Because.").ok();
        costs.put(
                "time",
                counting.of(() -> student.get("/api/student/attempts/" + attempt + "/time")
                        .ok()));
        costs.put(
                "hand in",
                counting.of(() -> student.post("/api/student/attempts/" + attempt + "/hand-in", null)
                        .ok()));
        String receipt = student.get("/api/student/attempts/" + attempt)
                .ok()
                .get("receipt")
                .stringValue();
        costs.put(
                "receipt",
                counting.of(() -> lesson.teacher.get("/api/receipts/" + receipt).ok()));
        String typed = lesson.path(
                "/typed/" + student.get("/api/session").ok().get("id").stringValue());
        Map<String, Object> cell = Map.of("cells", Map.of("q2", "bowline"), "stays", Map.of());
        costs.put("typed", counting.of(() -> lesson.teacher.put(typed, cell).ok()));
        costs.put(
                "late answer",
                counting.of(() -> student.put(
                                "/api/student/attempts/" + attempt + "/answers/q3",
                                Map.of("answer", "10 nmi", "flagged", false, "secondsAgo", 600))
                        .ok()));
        costs.put(
                "late answers",
                counting.of(() -> lesson.teacher.get(lesson.path("/late")).ok()));
        JsonNode late = lesson.teacher.get(lesson.path("/late")).ok().get(0);
        for (String how : List.of("/take", "/take-back", "/leave")) {
            costs.put(
                    "late" + how,
                    counting.of(() -> lesson.teacher
                            .post("/api/late/" + late.get("id").stringValue() + how, null)
                            .ok()));
        }
        JsonNode answer = lesson.answerOf("Tamsin Orrel", "q4");
        Map<String, Object> reading = new HashMap<>(Map.of(
                "levels",
                Map.of("c1", "1", "c2", "1"),
                "comment",
                "",
                "note",
                "",
                "hold",
                false,
                "saw",
                answer.get("saw").stringValue()));
        costs.put(
                "reading",
                counting.of(() -> lesson.teacher
                        .put(lesson.reading(answer, "q4", ""), reading)
                        .ok()));
        JsonNode read = lesson.answerOf("Tamsin Orrel", "q4");
        costs.put(
                "undo of a reading",
                counting.of(() -> lesson.teacher
                        .post(
                                lesson.reading(read, "q4", "/undo"),
                                Map.of("saw", read.get("saw").stringValue()))
                        .ok()));
        String daysLate = "/api/attempts/" + attempt + "/late";
        costs.put(
                "preview of days late",
                counting.of(() -> lesson.teacher
                        .post(daysLate + "/preview", Map.of("days", "1"))
                        .ok()));
        costs.put(
                "days late",
                counting.of(
                        () -> lesson.teacher.put(daysLate, Map.of("days", "1")).ok()));
        Map<String, Object> times = new HashMap<>();
        times.put("opens", "2026-01-01T00:00:00Z");
        times.put("closes", "2036-01-01T00:00:00Z");
        times.put("minutes", null);
        String sitting = "/api/sittings/" + lesson.sitting();
        costs.put(
                "times",
                counting.of(() -> lesson.teacher.put(sitting + "/times", times).ok()));
        costs.put(
                "withdrawing", counting.of(() -> lesson.teacher.delete(sitting).isRefused(409)));
        lesson.handsBack("Tamsin Orrel").ok();
        Visitor tamsin = school.as("Tamsin Orrel");
        String result = tamsin.get("/api/student/results").ok().get(0).get("id").stringValue();
        costs.put(
                "query",
                counting.of(() -> tamsin.post(
                                "/api/student/results/" + result + "/queries", Map.of("item", "q4", "words", "Why?"))
                        .ok()));
        JsonNode query = lesson.teacher
                .get("/api/queries")
                .ok()
                .valueStream()
                .filter(q -> q.get("assessment").stringValue().equals(lesson.id))
                .findFirst()
                .orElseThrow();
        Map<String, Object> reply =
                Map.of("words", "So.", "points", "1", "saw", query.get("saw").stringValue());
        String path = "/api/queries/" + query.get("id").stringValue();
        costs.put(
                "preview of a reply",
                counting.of(() -> lesson.teacher.post(path + "/preview", reply).ok()));
        costs.put(
                "reply",
                counting.of(() -> lesson.teacher.post(path + "/reply", reply).ok()));
        return costs;
    }

    @Test
    void a_save_a_hand_in_a_reading_and_a_reply_cost_the_same_among_thirty_and_among_a_thousand(
            Scholion.Running school, Standings standings) {
        Map<String, Cost> few = costs(school, "Among thirty", 30);
        Map<String, Cost> many = costs(school, "Among a thousand", 1_000);
        few.forEach((what, cost) -> assertThat(many.get(what)).as(what).isEqualTo(cost));
        assertThat(few.get("save").statements())
                .as("one short transaction: %s", few)
                .isLessThanOrEqualTo(6);
        assertThat(standings.differences()).isEmpty();
    }

    @Test
    void handing_back_to_a_thousand_reads_standings_once_a_step_and_tells_how_far_it_is(Scholion.Running school)
            throws InterruptedException {
        Lesson lesson = Lesson.given(school, "To a thousand", "A");
        Crowd.at(school, lesson, "A", 1_000);
        List<String> attempts = Crowd.attempts(school, lesson);
        Map<String, Object> wanted = Map.of("attempts", attempts, "sees", ALL, "messages", List.of());
        JsonNode begun = lesson.teacher.post(lesson.path("/hand-back"), wanted).ok();
        assertThat(begun.get("students").intValue()).isEqualTo(1_000);
        String job = "/api/jobs/" + begun.get("job").stringValue();
        JsonNode view = lesson.teacher.get(job).ok();
        for (int i = 0; i < 300 && view.get("state").stringValue().equals("RUNNING"); i++) {
            Thread.sleep(100);
            view = lesson.teacher.get(job).ok();
        }
        assertThat(view.get("state").stringValue()).as(view.toString()).isEqualTo("DONE");
        assertThat(view.get("done").intValue()).isEqualTo(1_000);
        assertThat(view.get("said").stringValue()).isEqualTo("Handed back to 1000 students.");
        assertThat(lesson.teacher.get("/api/desk").body()).contains("Handed back to 1000 students.");
        school.as("Halvard Quist").get(job).isRefused(404);

        Counting counting = school.bean(Counting.class);
        List<String> hundred = attempts.subList(0, 100);
        Cost ten = counting.of(() -> handBack(lesson, attempts.subList(0, 10), "ten"));
        Cost all = counting.of(() -> handBack(lesson, hundred, "a hundred"));
        assertThat(all.statements()).as("%s to ten, %s to a hundred", ten, all).isEqualTo(ten.statements());
    }

    private static void handBack(Lesson lesson, List<String> attempts, String message) {
        lesson.teacher
                .post(
                        lesson.path("/hand-back"),
                        Map.of(
                                "attempts",
                                attempts,
                                "sees",
                                ALL,
                                "messages",
                                List.of(Map.of("from", "0", "text", message))))
                .ok();
    }
}
