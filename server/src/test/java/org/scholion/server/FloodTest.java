package org.scholion.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.scholion.server.testing.Colleague;
import org.scholion.server.testing.Lesson;
import org.scholion.server.testing.Scholion;
import org.scholion.server.testing.Visitor;

/** Teachers flood the server with files that are heavy to look at; a student goes on and does not notice. */
@ExtendWith(Scholion.class)
class FloodTest {
    /** Within which an answer is safe, whatever others do; a page says that it is saving meanwhile. */
    private static final Duration NOT_NOTICED = Duration.ofSeconds(3);

    private static byte[] wide() {
        return ("a,".repeat(390) + "a\n" + ("1,".repeat(390) + "1\n").repeat(3_500)).getBytes(StandardCharsets.UTF_8);
    }

    private static byte[] bomb() {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(out)) {
            zip.putNextEntry(new ZipEntry("xl/worksheets/sheet1.xml"));
            byte[] block = "<row><c><v>1</v></c></row>".repeat(4_000).getBytes(StandardCharsets.UTF_8);
            for (int i = 0; i < 3_000; i++) {
                zip.write(block);
            }
        } catch (IOException e) {
            throw new IllegalStateException(e);
        }
        return out.toByteArray();
    }

    @Test
    void a_students_answers_are_saved_while_files_are_looked_at_and_what_is_refused_is_told_in_words(
            Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "During a flood", "A");
        Visitor noor = school.as("Noor Haddix");
        String attempt = lesson.begin(noor);
        byte[] wide = wide();
        byte[] bomb = bomb();
        assertThat(bomb.length).isLessThan(2_000_000);
        AtomicBoolean over = new AtomicBoolean();
        List<Integer> replies = Collections.synchronizedList(new ArrayList<>());
        List<String> words = Collections.synchronizedList(new ArrayList<>());
        ExecutorService flood = Executors.newFixedThreadPool(12);
        List<CompletableFuture<Void>> floods = new ArrayList<>();
        try {
            for (int i = 0; i < 12; i++) {
                Visitor teacher = i % 2 == 0 ? school.as("Aud Meller") : school.as("Halvard Quist");
                int kind = i;
                floods.add(CompletableFuture.runAsync(
                        () -> {
                            while (!over.get()) {
                                Visitor.Reply reply = kind % 3 == 0
                                        ? teacher.sendBytes(lesson.path("/bring-in/preview"), "a.csv", wide)
                                        : kind % 3 == 1
                                                ? teacher.sendBytes(lesson.path("/questions-in"), "b.xlsx", bomb)
                                                : teacher.get(lesson.path("/print"));
                                replies.add(reply.status());
                                if (reply.status() >= 400) {
                                    words.add(reply.detail());
                                }
                            }
                        },
                        flood));
            }
            long slowest = 0;
            for (int i = 0; i < 60; i++) {
                long start = System.nanoTime();
                Lesson.answer(noor, attempt, "q4", "Because the level falls, " + i)
                        .ok();
                slowest = Math.max(slowest, System.nanoTime() - start);
            }
            System.out.println("slowest of 60 saves during the flood: " + slowest / 1_000_000 + " ms");
            assertThat(Duration.ofNanos(slowest)).isLessThan(NOT_NOTICED);
        } finally {
            over.set(true);
            floods.forEach(CompletableFuture::join);
            flood.shutdown();
        }
        assertThat(replies).isSubsetOf(200, 409, 422, 503).hasSizeGreaterThan(20);
        assertThat(words).isNotEmpty().allSatisfy(w -> assertThat(w).isNotBlank());
        noor.post("/api/student/attempts/" + attempt + "/hand-in", null).ok();
        assertThat(lesson.trace("Noor Haddix").toString()).contains("Because the level falls, 59");
    }

    @Test
    void large_bodies_of_many_at_once_are_taken_or_refused_in_words(Scholion.Running school) {
        Lesson lesson = Lesson.written(school, "Large bodies");
        byte[] body = ("{\"definition\": {\"items\": [" + "{\"id\": \"q\", \"kind\": \"open\"},".repeat(110_000)
                        + "{}]}, \"revision\": 0}")
                .getBytes(StandardCharsets.UTF_8);
        List<CompletableFuture<Visitor.Reply>> all = new ArrayList<>();
        ExecutorService many = Executors.newFixedThreadPool(16);
        Colleague runa = Colleague.called(school, "Runa");
        try {
            for (int i = 0; i < 16; i++) {
                Visitor who = i % 2 == 0 ? school.as("Aud Meller") : runa.visitor();
                all.add(CompletableFuture.supplyAsync(
                        () -> who.sendRaw("PUT", lesson.path("/key"), "application/json", body), many));
            }
            assertThat(all)
                    .extracting(f -> f.join().status())
                    .isSubsetOf(404, 409, 413, 422, 503)
                    .contains(503);
        } finally {
            many.shutdown();
        }
        school.as("Aud Meller").get(lesson.path("/key")).ok();
    }
}
