package org.scholion.server.collect;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.scholion.server.testing.Colleague;
import org.scholion.server.testing.Lesson;
import org.scholion.server.testing.Scholion;
import org.scholion.server.testing.Visitor;
import org.springframework.jdbc.core.simple.JdbcClient;
import tools.jackson.databind.JsonNode;

/** The server's clock while a student works, and the proof that they get at the end. */
@ExtendWith(Scholion.class)
class ReceiptTest {
    private static JsonNode paper(Visitor student, String attempt) {
        return student.get("/api/student/attempts/" + attempt).ok();
    }

    @Test
    void a_receipt_proves_what_was_handed_in_and_when_and_a_changed_answer_is_seen(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "With a receipt", "A");
        Visitor noor = school.as("Noor Haddix");
        String attempt = lesson.begin(noor);
        assertThat(paper(noor, attempt).get("receipt").isNull()).isTrue();
        lesson.sits("Noor Haddix", List.of("a"), "bowline", "10 nmi", null);
        String code = paper(noor, attempt).get("receipt").stringValue();
        assertThat(code).matches("[A-Z2-7]{4}-[A-Z2-7]{4}-[A-Z2-7]{4}");

        JsonNode seen = noor.get("/api/student/receipts/" + code).ok();
        assertThat(seen.get("title").stringValue()).isEqualTo("With a receipt");
        assertThat(seen.get("answers").intValue()).isEqualTo(3);
        assertThat(seen.get("unchanged").booleanValue()).isTrue();
        assertThat(Instant.parse(seen.get("handedInAt").stringValue()))
                .isBetween(Instant.now().minusSeconds(60), Instant.now());
        String typed = code.toLowerCase(java.util.Locale.ROOT).replace("-", "%20");
        assertThat(lesson.teacher
                        .get("/api/receipts/" + typed)
                        .ok()
                        .get("student")
                        .stringValue())
                .as("however it is typed")
                .isEqualTo("Noor Haddix");

        school.bean(JdbcClient.class)
                .sql("update response set answer = '\"reef knot\"' where attempt_id = :a and item = 'q2'")
                .param("a", UUID.fromString(attempt))
                .update();
        assertThat(lesson.teacher
                        .get("/api/receipts/" + code)
                        .ok()
                        .get("unchanged")
                        .booleanValue())
                .isFalse();
    }

    @Test
    void a_receipt_is_for_its_student_and_its_teachers_alone(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "Whose receipt", "A").sits("Oona Rusk", List.of("a"), null, null, null);
        Visitor oona = school.as("Oona Rusk");
        String code = paper(oona, lesson.attempt("Oona Rusk")).get("receipt").stringValue();
        oona.get("/api/student/receipts/" + code).ok();
        oona.get("/api/receipts/" + code).isRefused(403);
        school.as("Noor Haddix").get("/api/student/receipts/" + code).isRefused(404);
        Colleague.called(school, "Elsewhere")
                .visitor()
                .get("/api/receipts/" + code)
                .isRefused(404);
        school.anybody().get("/api/receipts/" + code).isRefused(401);
        lesson.teacher.get("/api/receipts/AAAA-BBBB-CCCC").isRefused(404);
        lesson.teacher.get("/api/receipts/nonsense").isRefused(404);
    }

    @Test
    void the_clock_is_the_servers_and_more_time_arrives_by_it(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "By the server's clock", "A");
        Visitor ivo = school.as("Ivo Lomas");
        String attempt = lesson.begin(ivo);
        String path = "/api/student/attempts/" + attempt + "/time";
        JsonNode before = ivo.get(path).ok();
        assertThat(Instant.parse(before.get("now").stringValue()))
                .isBetween(Instant.now().minusSeconds(20), Instant.now().plusSeconds(1));
        Instant deadline = Instant.parse(before.get("deadline").stringValue());
        lesson.teacher
                .post("/api/sittings/" + lesson.sitting() + "/time", Map.of("minutes", 10))
                .ok();
        JsonNode after = ivo.get(path).ok();
        assertThat(Instant.parse(after.get("deadline").stringValue())).isEqualTo(deadline.plusSeconds(600));
        assertThat(after.get("handedIn").booleanValue()).isFalse();
        school.as("Noor Haddix").get(path).isRefused(404);
        ivo.post("/api/student/attempts/" + attempt + "/hand-in", null).ok();
        assertThat(ivo.get(path).ok().get("handedIn").booleanValue()).isTrue();
    }
}
