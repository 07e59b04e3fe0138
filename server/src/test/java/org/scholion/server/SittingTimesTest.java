package org.scholion.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.HashMap;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.scholion.server.testing.Lesson;
import org.scholion.server.testing.Scholion;
import org.scholion.server.testing.Visitor;
import tools.jackson.databind.JsonNode;

/** A sitting's times can be changed, and giving out can be withdrawn until somebody begins. */
@ExtendWith(Scholion.class)
class SittingTimesTest {
    private static Map<String, Object> times(Instant opens, Instant closes, Integer minutes) {
        Map<String, Object> times = new HashMap<>();
        times.put("opens", opens.toString());
        times.put("closes", closes.toString());
        times.put("minutes", minutes);
        return times;
    }

    private static JsonNode line(Visitor student, String title) {
        for (JsonNode line : student.get("/api/student/todo").ok()) {
            if (line.get("title").stringValue().equals(title)) {
                return line;
            }
        }
        throw new AssertionError(title);
    }

    @Test
    void other_times_hold_at_once_for_who_is_at_work(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "Other times", "A");
        Visitor lotte = school.as("Lotte Marrin");
        String attempt = lesson.begin(lotte);
        Instant now = Instant.now();
        lesson.teacher
                .put(
                        "/api/sittings/" + lesson.sitting() + "/times",
                        times(now.minusSeconds(600), now.plusSeconds(9_000), 100))
                .ok();
        Instant deadline = Instant.parse(lotte.get("/api/student/attempts/" + attempt)
                .ok()
                .get("deadline")
                .stringValue());
        assertThat(deadline).isBetween(now.plusSeconds(5_900), now.plusSeconds(6_100));
    }

    @Test
    void times_that_cannot_be_are_refused_in_words_and_nothing_changes(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "Impossible times", "A");
        String before = line(school.as("Lotte Marrin"), "Impossible times")
                .get("closes")
                .stringValue();
        Instant now = Instant.now();
        String path = "/api/sittings/" + lesson.sitting() + "/times";
        assertThat(lesson.teacher
                        .put(path, times(now, now.minusSeconds(1), null))
                        .isRefused(422)
                        .detail())
                .contains("The closing time is before the opening time.");
        lesson.teacher.put(path, times(now, now.plusSeconds(1), 0)).isRefused(422);
        lesson.begin(school.as("Lotte Marrin"));
        assertThat(lesson.teacher
                        .put(path, times(now.plusSeconds(600), now.plusSeconds(1_000), null))
                        .isRefused(409)
                        .detail())
                .contains("has begun already");
        assertThat(line(school.as("Lotte Marrin"), "Impossible times")
                        .get("closes")
                        .stringValue())
                .isEqualTo(before);
    }

    @Test
    void giving_out_is_withdrawn_until_somebody_begins_and_the_key_is_as_before(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "Withdrawn", "A", "B");
        String first = lesson.sitting();
        lesson.teacher.delete("/api/sittings/" + first).ok();
        assertThat(lesson.teacher.get(lesson.path("/collect")).ok().get("sittings"))
                .hasSize(1);
        assertThat(lesson.edition()).as("the other section still has it").isEqualTo(1);
        lesson.teacher.delete("/api/sittings/" + lesson.sitting()).ok();
        JsonNode key = lesson.teacher.get(lesson.path("/key")).ok();
        assertThat(key.hasNonNull("edition")).isFalse();
        lesson.teacher
                .put(
                        lesson.path("/key"),
                        Map.of(
                                "definition",
                                Lesson.plain(key.get("definition")),
                                "revision",
                                key.get("revision").intValue()))
                .ok();
        lesson.giveOut("A").ok();
        lesson.sits("Lotte Marrin", null, "bowline", null, null);
        assertThat(lesson.mark("Lotte Marrin", "q2").get("points").stringValue())
                .isEqualTo("2");
    }

    @Test
    void what_somebody_has_begun_cannot_be_withdrawn_nor_by_anybody_else(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "Begun", "A");
        String path = "/api/sittings/" + lesson.sitting();
        school.as("Lotte Marrin").delete(path).isRefused(403);
        Instant now = Instant.now();
        school.as("Lotte Marrin")
                .put(path + "/times", times(now, now.plusSeconds(99_000), null))
                .isRefused(403);
        lesson.begin(school.as("Lotte Marrin"));
        assertThat(lesson.teacher.delete(path).isRefused(409).detail()).contains("has begun already");
    }
}
