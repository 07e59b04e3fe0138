package org.scholion.server;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.scholion.server.testing.Node;
import org.scholion.server.testing.TestDatabase;
import org.scholion.server.testing.Visitor;
import tools.jackson.databind.JsonNode;

/** The server is killed between two acknowledged answers; after the restart every acknowledged answer is there. */
class CrashTest {
    @Test
    void every_acknowledged_answer_survives_a_kill() throws Exception {
        try (TestDatabase database = new TestDatabase()) {
            String attempt;
            try (Node node = Node.on(database)) {
                Visitor student = node.as("Maude Rudd");
                attempt = attempt(student);
                answer(student, attempt, "q2", "3.6 h").ok();
                answer(student, attempt, "q3", "point of no return").ok();
                node.kill();
            }
            try (Node again = Node.on(database)) {
                Visitor back = again.as("Maude Rudd");
                JsonNode answers =
                        back.get("/api/student/attempts/" + attempt).ok().get("answers");
                assertThat(answers.get("q2").stringValue()).isEqualTo("3.6 h");
                assertThat(answers.get("q3").stringValue()).isEqualTo("point of no return");
                answer(back, attempt, "q5", "17 kn").ok();
                again.kill();
            }
            try (Node third = Node.on(database)) {
                JsonNode answers = third.as("Maude Rudd")
                        .get("/api/student/attempts/" + attempt)
                        .ok()
                        .get("answers");
                assertThat(answers.get("q5").stringValue()).isEqualTo("17 kn");
                third.kill();
            }
        }
    }

    private static String attempt(Visitor student) {
        for (JsonNode line : student.get("/api/student/todo").ok()) {
            if (line.get("stage").stringValue().equals("WORKING")) {
                return line.get("attempt").stringValue();
            }
        }
        throw new AssertionError("Maude Rudd is not working on anything");
    }

    private static Visitor.Reply answer(Visitor student, String attempt, String item, String text) {
        return student.put(
                "/api/student/attempts/" + attempt + "/answers/" + item,
                java.util.Map.of("answer", text, "flagged", false));
    }
}
