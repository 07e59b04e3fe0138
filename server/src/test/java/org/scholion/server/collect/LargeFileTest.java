package org.scholion.server.collect;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CompletableFuture;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.scholion.server.ledger.Standings;
import org.scholion.server.testing.AboutFile;
import org.scholion.server.testing.Lesson;
import org.scholion.server.testing.Scholion;
import org.scholion.server.testing.Visitor;
import tools.jackson.databind.JsonNode;

/** A file of many students comes in piece by piece and yet as a whole; whoever waits sees how far it is. */
@ExtendWith(Scholion.class)
class LargeFileTest {
    private static final int MANY = 1_100;

    private static String words(int i) {
        return "" + (char) ('a' + i / 26 / 26 % 26) + (char) ('a' + i / 26 % 26) + (char) ('a' + i % 26);
    }

    private static Lesson withMany(Scholion.Running school) {
        Visitor aud = school.as("Aud Meller");
        String course = aud.post("/api/courses", Map.of("title", "Many at once", "term", ""))
                .ok()
                .get("id")
                .stringValue();
        StringBuilder roster = new StringBuilder("Number,First name,Surname,Section\n");
        for (int i = 0; i < MANY; i++) {
            roster.append(640_000 + i)
                    .append(",Given")
                    .append(words(i))
                    .append(",Family")
                    .append(words(i * 7));
            roster.append(",S").append(i % 40).append('\n');
        }
        aud.sendFile("/api/courses/" + course + "/roster", roster.toString()).ok();
        String id = aud.post("/api/assessments", Map.of("course", course, "title", "Many at once"))
                .ok()
                .get("id")
                .stringValue();
        Lesson lesson = Lesson.of(school, aud, id);
        return lesson.holds(Lesson.definition("Many at once"));
    }

    @Test
    void it_is_watched_while_it_comes_in_and_stands_as_if_each_had_come_alone(
            Scholion.Running school, Standings standings) throws Exception {
        Lesson lesson = withMany(school);
        StringBuilder file = new StringBuilder("Number,q1,q2,q3,q4\n");
        for (int i = 0; i < MANY; i++) {
            file.append(640_000 + i).append(i % 2 == 0 ? ",A" : ",B").append(",bowline,10 nmi,The moon pulls.\n");
        }
        String coming = lesson.path("/coming-in");
        assertThat(lesson.teacher.get(coming).ok().get("work").isNull()).isTrue();
        CompletableFuture<JsonNode> taking = CompletableFuture.supplyAsync(() -> lesson.teacher
                .sendFile(lesson.path("/bring-in"), file.toString(), new AboutFile().said())
                .ok());
        List<Integer> seen = new ArrayList<>();
        while (!taking.isDone()) {
            JsonNode work = lesson.teacher.get(coming).ok().get("work");
            if (!work.isNull()) {
                assertThat(work.get("total").intValue()).isEqualTo(MANY);
                seen.add(work.get("done").intValue());
            }
            Thread.sleep(20);
        }
        assertThat(taking.get().get("students").intValue()).isEqualTo(MANY);
        assertThat(seen).as("how far it was").isNotEmpty().isSorted();
        assertThat(seen.get(seen.size() - 1)).isPositive();
        assertThat(lesson.teacher.get(coming).ok().get("work").isNull())
                .as("nothing is left of it")
                .isTrue();
        JsonNode line = lesson.teacher.get(lesson.path("")).ok().get("line");
        assertThat(line.get("in").intValue()).isEqualTo(MANY);
        assertThat(line.get("unread").intValue()).isEqualTo(MANY);
        assertThat(standings.differences()).isEmpty();

        JsonNode again = lesson.teacher
                .sendFile(lesson.path("/bring-in"), file.toString(), new AboutFile().said())
                .ok();
        assertThat(again.get("students").intValue()).isZero();
        assertThat(again.get("asBefore").intValue()).isEqualTo(MANY);
        school.as("Noor Haddix").get(coming).isRefused(403);
    }
}
