package org.scholion.bench.load;

import java.io.IOException;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicInteger;
import org.scholion.formats.json.Json;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** A large sitting: 500 who answer every five seconds, a monitor beside them, and a deadline for 2,000. */
final class LargeSitting {
    private static final int STUDENTS = Integer.getInteger("students", 500);
    private static final int AT_DEADLINE = Integer.getInteger("deadline", 2_000);
    private static final int QUESTIONS = 40;
    private static final int EVERY_MILLIS = 5_000;
    private static final int SECONDS = Integer.getInteger("sitting.seconds", 60);
    private static final int LONGEST_SECONDS = 300;

    private final Place place;
    private final School school;

    LargeSitting(Place place, School school) {
        this.place = place;
        this.school = school;
    }

    private static ObjectNode paper() {
        ObjectNode paper = Json.MAPPER.createObjectNode();
        paper.put("format", "scholion-assessment/1").put("title", "Large").put("language", "en");
        ArrayNode items = paper.putArray("items");
        for (int n = 1; n <= QUESTIONS; n++) {
            ObjectNode item = items.addObject();
            item.put("id", "q" + n).put("kind", "text").put("points", "1").put("prompt", "Question " + n);
            item.putArray("accept").addObject().put("text", "answer " + n);
        }
        return paper;
    }

    void run() throws Exception {
        answering();
        deadline();
    }

    private void answering() throws Exception {
        System.out.printf(
                "%n%d students, %d questions, an answer every %d s each, for %d s, a monitor open beside them:%n",
                STUDENTS, QUESTIONS, EVERY_MILLIS / 1_000, SECONDS);
        school.enrol("L", STUDENTS);
        String id = school.paper("Large", paper());
        List<School.Writer> writers = School.begin(school.giveOut(id, "L"), school.students("L", 0, STUDENTS));
        save(writers, 15, new Times(), new AtomicInteger());
        Times saves = new Times();
        Times looks = new Times();
        Times shown = new Times();
        AtomicInteger wrong = new AtomicInteger();
        AtomicBoolean over = new AtomicBoolean();
        Thread monitor = new Thread(() -> watch(id, writers.get(0), over, looks, shown));
        monitor.start();
        save(writers, SECONDS, saves, wrong);
        over.set(true);
        monitor.join();
        System.out.printf(
                "an acknowledgement: %s of %d; %d refused%nthe monitor's request: %s of %d%n"
                        + "from a change to the row that shows it, asked again and again: %s of %d%n",
                saves, saves.count(), wrong.get(), looks, looks.count(), shown, shown.count());
    }

    private static void save(List<School.Writer> writers, int seconds, Times times, AtomicInteger wrong)
            throws Exception {
        long end = System.nanoTime() + seconds * 1_000_000_000L;
        Crew.together(writers, (writer, n) -> {
            Thread.sleep((long) n * EVERY_MILLIS / writers.size());
            for (int i = 0; System.nanoTime() < end; i++) {
                long from = System.nanoTime();
                if (writer.save("q" + (1 + i % QUESTIONS), "\"answer " + i + "\"")
                        .isOk()) {
                    times.add(from);
                } else {
                    wrong.incrementAndGet();
                }
                Thread.sleep(EVERY_MILLIS);
            }
        });
    }

    /** Saves as one of them and asks until the row tells it; each request is one look of a page. */
    private void watch(String paper, School.Writer one, AtomicBoolean over, Times looks, Times shown) {
        try {
            for (int i = 0; !over.get(); i++) {
                Instant saved = Instant.parse(
                        Json.read(one.save("q40", "\"seen " + i + "\"").body())
                                .get("savedAt")
                                .stringValue());
                long from = System.nanoTime();
                while (!over.get() && !shows(paper, one.attempt(), saved, looks)) {
                    Thread.sleep(20);
                }
                shown.add(from);
                Thread.sleep(1_000);
            }
        } catch (IOException e) {
            throw new IllegalStateException(e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    private boolean shows(String paper, String attempt, Instant saved, Times looks) throws IOException {
        long from = System.nanoTime();
        JsonNode view = school.teacher.ok("GET", "/api/assessments/" + paper + "/collect", "");
        looks.add(from);
        for (JsonNode row : view.get("rows")) {
            if (row.path("attempt").asString("").equals(attempt)) {
                return !Instant.parse(row.get("lastChange").stringValue()).isBefore(saved);
            }
        }
        return false;
    }

    private void deadline() throws Exception {
        System.out.printf("%nA deadline at which %d are at work:%n", AT_DEADLINE);
        school.enrol("D", AT_DEADLINE);
        String id = school.paper("Deadline", paper());
        String sitting = school.giveOut(id, "D");
        List<School.Writer> writers = new ArrayList<>();
        for (int from = 0; from < AT_DEADLINE; from += STUDENTS) {
            List<Person> some = school.students("D", from, Math.min(STUDENTS, AT_DEADLINE - from));
            List<School.Writer> begun = School.begin(sitting, some);
            for (School.Writer writer : begun) {
                writer.save("q1", "\"answer 1\"");
                writer.person().leave();
            }
            writers.addAll(begun);
        }
        Instant closes = Instant.now().plusSeconds(2);
        ObjectNode times = Json.MAPPER.createObjectNode();
        times.put("opens", Instant.now().minusSeconds(600).toString()).put("closes", closes.toString());
        times.putNull("minutes").putNull("lateUntil");
        school.teacher.ok("PUT", "/api/sittings/" + sitting + "/times", times.toString());
        String in = "select count(*) from attempt where handed_in_at is not null and sitting_id = '" + sitting + "'";
        while (Integer.parseInt(place.rows(in).get(0)) < writers.size()
                && Instant.now().isBefore(closes.plusSeconds(LONGEST_SECONDS))) {
            Thread.sleep(250);
        }
        double all = Duration.between(closes, Instant.now()).toMillis() / 1e3;
        int responses = Integer.parseInt(place.rows(
                        "select count(*) from response r join attempt x on x.id = r.attempt_id where x.sitting_id = '"
                                + sitting + "'")
                .get(0));
        System.out.printf(
                "%s of %d are in %.1f s after the closing time, with %d answers (each once: %d)%n",
                place.rows(in).get(0), writers.size(), all, responses, writers.size());
        Load.failed |= responses != writers.size();
    }
}
