package org.scholion.server.collect;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.locks.LockSupport;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.scholion.server.testing.Lesson;
import org.scholion.server.testing.Scholion;
import tools.jackson.databind.JsonNode;

/** Who hands in is mailed the receipt with their answers, once, where the sitting says so. */
@ExtendWith(Scholion.class)
class ReceiptByMailTest {
    private static void mails(Lesson lesson, boolean receipts) {
        String path = "/api/sittings/" + lesson.sitting();
        Map<String, Object> settings = new HashMap<>();
        lesson.teacher
                .get(path)
                .ok()
                .at("/sitting/settings")
                .properties()
                .forEach(p -> settings.put(p.getKey(), Lesson.plain(p.getValue())));
        settings.put("receiptByMail", receipts);
        lesson.teacher.put(path + "/settings", settings).ok();
    }

    private static List<String> letters(Scholion.Running school, String title) {
        return school.anybody()
                .get("/api/demo/mail")
                .ok()
                .valueStream()
                .filter(m -> m.get("subject").stringValue().equals("Your receipt for " + title))
                .map(m -> m.get("to").stringValue() + "\n"
                        + m.get("text").stringValue().replace("\r", ""))
                .toList();
    }

    private static List<String> soon(Scholion.Running school, String title) {
        Instant end = Instant.now().plus(Duration.ofSeconds(20));
        while (letters(school, title).isEmpty() && Instant.now().isBefore(end)) {
            LockSupport.parkNanos(100_000_000);
        }
        return letters(school, title);
    }

    @Test
    void the_letter_has_the_code_and_each_answer_by_its_number_and_no_question(Scholion.Running school) {
        Lesson silent = Lesson.given(school, "No receipt by mail", "A");
        silent.sits("Lotte Marrin", List.of("a"), "bowline", null, null);
        Lesson lesson = Lesson.given(school, "Receipt by mail", "A");
        mails(lesson, true);
        lesson.sits("Lotte Marrin", List.of("a"), "bowline", null, "It runs.");
        JsonNode paper = school.as("Lotte Marrin")
                .get("/api/student/attempts/" + lesson.attempt("Lotte Marrin"))
                .ok();
        List<String> letters = soon(school, "Receipt by mail");
        assertThat(letters).hasSize(1);
        assertThat(letters.get(0))
                .contains("lotte.marrin@", paper.get("receipt").stringValue())
                .contains("1. At springs\n2. bowline\n3. –\n4. It runs.")
                .doesNotContain("Which knot");
        school.as("Lotte Marrin")
                .post("/api/student/attempts/" + lesson.attempt("Lotte Marrin") + "/hand-in", null)
                .ok();
        mails(lesson, false);
        lesson.sits("Tamsin Orrel", List.of("a"), "bowline", null, null);
        assertThat(letters(school, "No receipt by mail")).isEmpty();
        assertThat(letters(school, "Receipt by mail"))
                .as("once, and to nobody afterwards")
                .hasSize(1);
    }
}
