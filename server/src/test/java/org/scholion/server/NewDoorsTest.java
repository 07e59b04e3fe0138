package org.scholion.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.scholion.server.ledger.Standings;
import org.scholion.server.testing.Lesson;
import org.scholion.server.testing.Scholion;
import org.scholion.server.testing.Together;
import org.scholion.server.testing.Visitor;

/** Times, withdrawing, days late and decisions, tried as somebody would who means no good. */
@ExtendWith(Scholion.class)
class NewDoorsTest {
    private static final String TITLE = "Behind new doors";

    private static Map<String, Object> times() {
        Map<String, Object> times = new HashMap<>();
        times.put("opens", "2026-01-01T00:00:00Z");
        times.put("closes", "2036-01-01T00:00:00Z");
        times.put("minutes", null);
        return times;
    }

    private static Map<String, Map<String, Object>> puts(Lesson lesson) {
        Map<String, Map<String, Object>> all = new LinkedHashMap<>();
        all.put("/api/sittings/" + lesson.sitting() + "/times", times());
        all.put("/api/attempts/" + lesson.attempt("Tamsin Orrel") + "/late", Map.of("days", "1"));
        return all;
    }

    @Test
    void fields_that_no_page_sends_are_refused_and_change_nothing(Scholion.Running school, Standings standings) {
        Lesson lesson = Lesson.given(school, TITLE, "A").sits("Tamsin Orrel", List.of("a"), null, null, null);
        String before =
                lesson.teacher.get(lesson.path("/collect")).ok().get("sittings").toString();
        puts(lesson).forEach((path, body) -> {
            Map<String, Object> more = new HashMap<>(body);
            more.put("points", "5");
            more.put("school", "x");
            assertThat(lesson.teacher.put(path, more).status()).as(path).isIn(400, 422);
        });
        assertThat(lesson.teacher
                        .get(lesson.path("/collect"))
                        .ok()
                        .get("sittings")
                        .toString())
                .isEqualTo(before);
        assertThat(lesson.trace("Tamsin Orrel").get("daysLate").stringValue()).isEqualTo("0");
        assertThat(standings.differences()).isEmpty();
    }

    @Test
    void far_too_much_is_refused_in_words(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "Far too much", "A").sits("Tamsin Orrel", List.of("a"), null, null, null);
        Map<String, Object> days = Map.of("days", "1".repeat(5_000_000));
        Visitor.Reply reply = lesson.teacher.put("/api/attempts/" + lesson.attempt("Tamsin Orrel") + "/late", days);
        assertThat(reply.status()).isIn(413, 422);
        assertThat(reply.detail()).isNotBlank();
        assertThat(lesson.teacher
                        .get(lesson.path("/doubts/decided?item=" + "q".repeat(5_000)))
                        .ok())
                .isEmpty();
    }

    @Test
    void of_withdrawing_and_beginning_at_once_one_happens(Scholion.Running school) {
        for (int i = 0; i < 6; i++) {
            Lesson lesson = Lesson.given(school, "At once " + i, "A");
            String sitting = lesson.sitting();
            Visitor student = school.as("Lotte Marrin");
            List<Visitor.Reply> both = Together.times(
                    2,
                    who -> who == 0
                            ? lesson.teacher.delete("/api/sittings/" + sitting)
                            : student.post("/api/student/sittings/" + sitting + "/attempt", null));
            assertThat(both.get(0).status() < 300)
                    .as(
                            "withdrawn: %s, begun: %s",
                            both.get(0).body(), both.get(1).body())
                    .isNotEqualTo(both.get(1).status() < 300);
            assertThat(both).as("never a fault of the server").allMatch(reply -> reply.status() < 500);
        }
    }

    @Test
    void days_late_twice_at_once_are_the_one_or_the_other(Scholion.Running school, Standings standings) {
        Lesson lesson =
                Lesson.given(school, "Late at once", "A").sits("Tamsin Orrel", List.of("a"), "bowline", null, null);
        String path = "/api/attempts/" + lesson.attempt("Tamsin Orrel") + "/late";
        List<Visitor> teachers = List.of(lesson.teacher, school.as("Halvard Quist"));
        Together.times(
                2,
                who -> teachers.get(who)
                        .put(path, Map.of("days", String.valueOf(who + 1)))
                        .ok());
        assertThat(lesson.trace("Tamsin Orrel").get("daysLate").stringValue()).isIn("1", "2");
        assertThat(standings.differences()).isEmpty();
    }
}
