package org.scholion.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.ServerSocket;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.scholion.server.testing.TestDatabase;
import org.scholion.server.testing.Visitor;
import tools.jackson.databind.JsonNode;

/** The server is killed between two acknowledged answers; after the restart every acknowledged answer is there. */
class CrashTest {
    @Test
    void every_acknowledged_answer_survives_a_kill() throws Exception {
        try (TestDatabase database = new TestDatabase()) {
            int port = freePort();
            Process server = start(database, port);
            Visitor student = new Visitor("http://127.0.0.1:" + port).signIn("Maude Rudd");
            String attempt = attempt(student);
            answer(student, attempt, "q2", "3.6 h").ok();
            answer(student, attempt, "q3", "point of no return").ok();
            kill(server);

            Process again = start(database, port);
            Visitor back = new Visitor("http://127.0.0.1:" + port).signIn("Maude Rudd");
            JsonNode answers = back.get("/api/student/attempts/" + attempt).ok().get("answers");
            assertThat(answers.get("q2").stringValue()).isEqualTo("3.6 h");
            assertThat(answers.get("q3").stringValue()).isEqualTo("point of no return");
            answer(back, attempt, "q5", "17 kn").ok();
            kill(again);

            Process third = start(database, port);
            Visitor last = new Visitor("http://127.0.0.1:" + port).signIn("Maude Rudd");
            assertThat(last.get("/api/student/attempts/" + attempt)
                            .ok()
                            .get("answers")
                            .get("q5")
                            .stringValue())
                    .isEqualTo("17 kn");
            kill(third);
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

    /** As SIGKILL does it: no shutdown hook runs. */
    private static void kill(Process server) throws InterruptedException {
        server.destroyForcibly().waitFor();
    }

    private static int freePort() throws IOException {
        try (ServerSocket socket = new ServerSocket(0)) {
            return socket.getLocalPort();
        }
    }

    private static Process start(TestDatabase database, int port) throws IOException, InterruptedException {
        Path log = Files.createTempFile("scholion", ".log");
        List<String> command = new ArrayList<>(List.of(
                Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                "-XX:+UseSerialGC",
                "-XX:TieredStopAtLevel=1",
                "-cp",
                System.getProperty("java.class.path"),
                "org.scholion.server.ScholionApplication",
                "--server.port=" + port,
                "--spring.datasource.url=" + database.url(),
                "--spring.datasource.username=" + database.user(),
                "--spring.datasource.password=" + database.password(),
                "--scholion.demo=true"));
        Process server = new ProcessBuilder(command)
                .redirectErrorStream(true)
                .redirectOutput(log.toFile())
                .start();
        Instant until = Instant.now().plus(Duration.ofSeconds(120));
        while (Instant.now().isBefore(until)) {
            try {
                if (new Visitor("http://127.0.0.1:" + port).get("/api/ready").status() == 204) {
                    return server;
                }
            } catch (IllegalStateException notYet) {
                // Not listening yet.
            }
            if (!server.isAlive()) {
                throw new AssertionError(Files.readString(log));
            }
            Thread.sleep(200);
        }
        server.destroyForcibly();
        throw new AssertionError("not ready after two minutes: " + Files.readString(log));
    }
}
