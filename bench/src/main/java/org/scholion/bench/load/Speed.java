package org.scholion.bench.load;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicInteger;
import org.scholion.formats.json.Json;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** How many answers a server saves beside pgbench, and what it is like when a class hands in. */
final class Speed {
    private static final int STUDENTS = 300;
    private static final int SECONDS = Integer.getInteger("seconds", 10);
    private static final int WARMING = 6 * SECONDS;
    private static final int ROUNDS = 3;
    private static final String ANSWER = "\"Because the water level falls, and the stream runs to where it is lower.\"";

    private final Place place;
    private final School school;
    private final List<Person> students;

    Speed(Place place, School school) throws IOException {
        this.place = place;
        this.school = school;
        school.enrol("S", STUDENTS);
        students = school.students("S", 0, STUDENTS);
    }

    void saves() throws Exception {
        System.out.printf(
                "%nSaves of 300 students without pauses, after %d s of them, beside pgbench with the same insert and commit%n"
                        + "just before and just after:%n",
                WARMING);
        String first = school.giveOut(school.paper("Saves"), "S");
        saving(School.begin(first, students), WARMING, new Times(), new AtomicInteger());
        for (int round = 1; round <= ROUNDS; round++) {
            String sitting = school.giveOut(school.paper("Saves " + round), "S");
            List<School.Writer> writers = School.begin(sitting, students);
            Times times = new Times();
            AtomicInteger wrong = new AtomicInteger();
            double before = plain(sitting);
            saving(writers, SECONDS, times, wrong);
            double plain = (before + plain(sitting)) / 2;
            double ours = times.count() / (double) SECONDS;
            System.out.printf(
                    "round %d: %.0f a second, pgbench %.0f, share %.0f %%; %s; %d refused%n",
                    round, ours, plain, 100 * ours / plain, times, wrong.get());
        }
    }

    private static void saving(List<School.Writer> writers, int seconds, Times times, AtomicInteger wrong)
            throws Exception {
        long end = System.nanoTime() + seconds * 1_000_000_000L;
        Crew.together(writers, (writer, n) -> {
            while (System.nanoTime() < end) {
                long from = System.nanoTime();
                if (writer.save("q4", ANSWER).isOk()) {
                    times.add(from);
                } else {
                    wrong.incrementAndGet();
                }
            }
        });
    }

    /** The same statement by as many connections as the server has, in as many transactions as it can. */
    private double plain(String sitting) throws IOException, InterruptedException {
        place.rows("drop table if exists bench_attempt");
        place.rows("create table bench_attempt as select row_number() over () - 1 as n, id, student_id from attempt"
                + " where sitting_id = '" + sitting + "'");
        place.rows("create unique index on bench_attempt (n)");
        place.rows("analyze bench_attempt");
        Path script = Files.createTempFile("save", ".sql");
        Files.writeString(script, """
                \\set n random(0, %d)
                insert into draft_answer (school_id, attempt_id, item, answer, flagged, at)
                select x.school_id, x.id, 'q4', '%s'::jsonb, false, now()
                from bench_attempt b join attempt x on x.id = b.id join sitting s on s.id = x.sitting_id
                where b.n = :n and x.student_id = b.student_id and x.handed_in_at is null
                  and x.set_aside_at is null and (s.going_back or x.reached <= 0)
                  and now() <= least(x.paused_at, x.due_at) + make_interval(secs => 20)
                for key share of x;
                """.formatted(STUDENTS - 1, ANSWER));
        try {
            String told = place.pgbench(script, 12, Math.max(1, SECONDS / 2));
            return told.lines()
                    .filter(l -> l.startsWith("tps = "))
                    .mapToDouble(l -> Double.parseDouble(l.split(" ")[2]))
                    .findFirst()
                    .orElseThrow(() -> new IOException(told));
        } finally {
            Files.delete(script);
        }
    }

    void handIns() throws Exception {
        System.out.println("\n300 hand in at once, while 40 others save an answer every half second:");
        school.enrol("O", 40);
        List<Person> others = school.students("O", 0, 40);
        for (int round = 1; round <= ROUNDS; round++) {
            String paper = school.paper("Hand in " + round);
            List<School.Writer> class1 = School.begin(school.giveOut(paper, "S"), students);
            List<School.Writer> class2 = School.begin(school.giveOut(paper, "O"), others);
            fill(class1);
            Times handIns = new Times();
            Times saves = new Times();
            AtomicInteger wrong = new AtomicInteger();
            AtomicBoolean over = new AtomicBoolean();
            Thread beside = new Thread(() -> saving(class2, saves, wrong, over));
            beside.start();
            Thread.sleep(1_000);
            long from = System.nanoTime();
            Crew.together(class1, (writer, n) -> {
                long own = System.nanoTime();
                if (writer.handIn().isOk()) {
                    handIns.add(own);
                } else {
                    wrong.incrementAndGet();
                }
            });
            double all = (System.nanoTime() - from) / 1e9;
            over.set(true);
            beside.join();
            System.out.printf(
                    "round %d: %d handed in within %.1f s (%s); saves meanwhile: %s of %d; %d errors%n",
                    round, handIns.count(), all, handIns, saves, saves.count(), wrong.get());
        }
    }

    private static void fill(List<School.Writer> writers) throws Exception {
        Crew.together(writers, (writer, n) -> {
            writer.save("q2", n % 3 == 0 ? "\"bowlin\"" : "\"bowline\"");
            writer.save("q3", "\"10 nmi\"");
            writer.save("q4", ANSWER);
        });
    }

    private static void saving(List<School.Writer> writers, Times times, AtomicInteger wrong, AtomicBoolean over) {
        try {
            Crew.together(writers, (writer, n) -> {
                Thread.sleep(n * 12L);
                while (!over.get()) {
                    long from = System.nanoTime();
                    if (writer.save("q4", ANSWER).isOk()) {
                        times.add(from);
                    } else {
                        wrong.incrementAndGet();
                    }
                    Thread.sleep(500);
                }
            });
        } catch (Exception e) {
            throw new IllegalStateException(e);
        }
    }

    /** One reading and one decision where a thousand attempts are. */
    void amongAThousand() throws Exception {
        System.out.println("\nA reading and a decision with 1,000 attempts present:");
        school.enrol("T", 1_000);
        String paper = school.paper("A thousand");
        StringBuilder file = new StringBuilder("number,q1,q2,q3,q4\n");
        for (int i = 0; i < 1_000; i++) {
            file.append("T%d,a,%s,10 nmi,\"Because the level falls, %d.\"\n"
                    .formatted(i, i % 2 == 0 ? "bowline" : "knot " + i % 100, i));
        }
        school.teacher.sendFile("/api/assessments/" + paper + "/bring-in", file.toString());
        String path = "/api/assessments/" + paper;
        Times readings = new Times();
        Times decisions = new Times();
        JsonNode answers = school.teacher
                .ok("GET", path + "/readings?item=q4&names=true", "")
                .get("answers");
        for (int i = 0; i < 60; i++) {
            JsonNode answer = answers.get(i);
            ObjectNode body = Json.MAPPER.createObjectNode();
            body.put("saw", answer.get("saw").stringValue());
            body.putObject("levels").put("c1", "1");
            body.putNull("points").put("comment", "").put("note", "").put("hold", false);
            long from = System.nanoTime();
            school.teacher.ok(
                    "PUT",
                    path + "/readings/q4/" + answer.get("answer").stringValue() + "?names=true",
                    body.toString());
            readings.add(from);
        }
        List<JsonNode> groups = new ArrayList<>();
        school.teacher
                .ok("GET", path + "/doubts", "")
                .get("questions")
                .get(0)
                .get("groups")
                .forEach(groups::add);
        for (JsonNode group : groups.subList(0, Math.min(20, groups.size()))) {
            ObjectNode body = Json.MAPPER.createObjectNode();
            body.put("item", "q2").put("form", group.get("form").stringValue()).put("credit", "0");
            body.put("reach", "THESE").set("saw", group.get("saw"));
            long from = System.nanoTime();
            school.teacher.ok("POST", path + "/doubts", body.toString());
            decisions.add(from);
        }
        System.out.println("a reading: " + readings + "\na decision: " + decisions);
    }
}
