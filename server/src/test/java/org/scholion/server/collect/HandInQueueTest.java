package org.scholion.server.collect;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.scholion.server.ledger.Turns;
import org.scholion.server.testing.Lesson;
import org.scholion.server.testing.Scholion;
import org.scholion.server.testing.Visitor;

/** Many who hand in at once take nothing that others need. */
@ExtendWith(Scholion.class)
class HandInQueueTest {
    /** More than the server has threads for requests. */
    private static final int MANY = 80;

    @Test
    void answers_are_saved_and_pages_open_while_more_wait_to_hand_in_than_the_server_has_threads(
            Scholion.Running school) throws Exception {
        Lesson lesson = Lesson.given(school, "A long queue", "A");
        Visitor lotte = school.as("Lotte Marrin");
        String waiting = lesson.begin(lotte);
        Lesson.say(lotte, waiting, "q2", "bowline").ok();
        Visitor tamsin = school.as("Tamsin Orrel");
        String writing = lesson.begin(tamsin);
        CountDownLatch held = new CountDownLatch(1);
        CountDownLatch release = new CountDownLatch(1);
        ExecutorService threads = Executors.newFixedThreadPool(MANY + 1);
        try {
            threads.execute(() -> school.bean(Turns.class).whole(UUID.fromString(lesson.id), () -> {
                held.countDown();
                await(release);
                return lesson;
            }));
            await(held);
            List<CompletableFuture<Visitor.Reply>> handIns = IntStream.range(0, MANY)
                    .mapToObj(i -> CompletableFuture.supplyAsync(
                            () -> lotte.post("/api/student/attempts/" + waiting + "/hand-in", null), threads))
                    .toList();
            Thread.sleep(1_000);
            Lesson.say(tamsin, writing, "q2", "sheet bend").ok();
            lesson.teacher.get("/api/courses").ok();
            assertThat(handIns).noneMatch(CompletableFuture::isDone);
            release.countDown();
            for (CompletableFuture<Visitor.Reply> one : handIns) {
                one.get(30, TimeUnit.SECONDS).ok();
            }
        } finally {
            release.countDown();
            threads.shutdown();
        }
        assertThat(lesson.teacher.get(lesson.path("/hand-back")).ok().get("students"))
                .as("handed in once")
                .hasSize(1);
        Lesson.say(lotte, waiting, "q2", "later").isRefused(409);
    }

    private static void await(CountDownLatch latch) {
        try {
            assertThat(latch.await(15, TimeUnit.SECONDS)).isTrue();
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }
}
