package org.scholion.server;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.sql.Connection;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.locks.LockSupport;
import java.util.function.Supplier;
import javax.sql.DataSource;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.postgresql.PGConnection;
import org.postgresql.copy.CopyManager;
import org.scholion.server.ledger.Standings;
import org.scholion.server.ledger.Turns;
import org.scholion.server.testing.Lesson;
import org.scholion.server.testing.Scholion;
import org.scholion.server.testing.Visitor;
import org.springframework.jdbc.core.simple.JdbcClient;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * What a large school costs: pages at a thousand and at ten thousand attempts at sixty items, a hand-in and a reading
 * among few and among many, and a changed key beside a COPY of as many rows. Run by {@code bin/bench large}; it prints,
 * and asserts nothing.
 */
@ExtendWith(Scholion.class)
class LargeBench {
    private static final int QUESTIONS = 60;
    private static final int TIMES = 9;
    private static final String[] MODELS = {"Noor Haddix", "Tamsin Orrel", "Yuki Tarn"};

    private final JdbcClient db;
    private final Scholion.Running school;

    LargeBench(Scholion.Running school, JdbcClient db) {
        this.school = school;
        this.db = db;
    }

    private static double median(int times, Supplier<?> work) {
        double[] ms = new double[times];
        for (int i = 0; i < times + 2; i++) {
            long from = System.nanoTime();
            work.get();
            if (i >= 2) {
                ms[i - 2] = (System.nanoTime() - from) / 1e6;
            }
        }
        Arrays.sort(ms);
        return ms[times / 2];
    }

    /** Of sixty questions some forty choices, twelve texts, three numbers and an open question. */
    private static ObjectNode paper(String title) {
        ObjectNode draft = Lesson.definition(title).asObject();
        List<JsonNode> kinds = new ArrayList<>();
        draft.get("items").forEach(kinds::add);
        ArrayNode items = draft.putArray("items");
        for (int i = 1; i <= QUESTIONS; i++) {
            JsonNode kind = kinds.get(i == QUESTIONS ? 3 : i % 5 == 0 ? 1 : i % 20 == 7 ? 2 : 0);
            items.add(kind.deepCopy().asObject().put("id", "q" + i));
        }
        return draft;
    }

    /**
     * A paper that three students have answered, each in their own way and each with one answer in doubt, and so many
     * others as one of them.
     */
    private Lesson many(String title, int howMany) {
        Lesson lesson = Lesson.written(school, title).holds(paper(title));
        lesson.giveOut("A").ok();
        List<String> models = new ArrayList<>();
        for (int m = 0; m < MODELS.length; m++) {
            Visitor student = school.as(MODELS[m]);
            String attempt = lesson.begin(student);
            for (JsonNode item : paper(title).get("items")) {
                String id = item.get("id").stringValue();
                Object answer = switch (item.get("kind").stringValue()) {
                    case "choice" -> List.of(m == 1 ? "b" : "a");
                    case "text" -> id.equals("q" + 5 * (m + 1)) ? "sheet bend" : "bowline";
                    case "number" -> "1" + m + " nmi";
                    default -> "Because the level falls from here to there, " + m + " times over.";
                };
                Lesson.answer(student, attempt, id, answer).ok();
            }
            student.post("/api/student/attempts/" + attempt + "/hand-in", null).ok();
            models.add(attempt);
        }
        fill(lesson, models, howMany);
        return lesson;
    }

    private void fill(Lesson lesson, List<String> models, int howMany) {
        String tag = UUID.randomUUID().toString().substring(0, 8);
        db.sql("""
                        insert into person (id, school_id, role, given, family, username)
                        select gen_random_uuid(), s.id, 'STUDENT', 'Crowd', :tag || n, :tag || n
                        from (select id from school order by id limit 1) s, generate_series(1, :n) n""").param("tag", tag).param("n", howMany).update();
        String each = """
                 from (select p.*, row_number() over (order by p.id) % 3 as which from person p where p.username like :tag || '%') p
                 join (values (0, cast(:m0 as uuid)), (1, cast(:m1 as uuid)), (2, cast(:m2 as uuid))) m (which, id)
                   on m.which = p.which\s""";
        for (String sql : List.of(
                """
                insert into attempt (school_id, id, assessment_id, sitting_id, section_id, student_id, number, edition_id, way,
                                     started_at, handed_in_at)
                select x.school_id, gen_random_uuid(), x.assessment_id, x.sitting_id, x.section_id, p.id, 1, x.edition_id,
                       'FILE', now(), now()""" + each + "join attempt x on x.id = m.id",
                """
                insert into response (school_id, attempt_id, item, answer, at)
                select x.school_id, x.id, r.item, r.answer, now()""" + each + "join attempt x on x.student_id = p.id join response r on r.attempt_id = m.id",
                """
                insert into mark (school_id, attempt_id, item, state, numerator, denominator, reason, edition, at)
                select x.school_id, x.id, r.item, r.state, r.numerator, r.denominator, r.reason, r.edition, now()""" + each + "join attempt x on x.student_id = p.id join mark r on r.attempt_id = m.id")) {
            db.sql(sql)
                    .param("tag", tag)
                    .param("m0", models.get(0))
                    .param("m1", models.get(1))
                    .param("m2", models.get(2))
                    .update();
        }
        UUID id = UUID.fromString(lesson.id);
        school.bean(Turns.class).whole(id, () -> {
            school.bean(Standings.class).refresh(id);
            return id;
        });
        db.sql("analyze").update();
    }

    @Test
    void pages() {
        Lesson thousand = many("A thousand", 1_000);
        Lesson ten = many("Ten thousand", 10_000);
        for (String page : List.of("", "/doubts", "/readings", "/examine", "/hand-back")) {
            double few = median(
                    TIMES, () -> thousand.teacher.get(thousand.path(page)).ok());
            double more = median(TIMES, () -> ten.teacher.get(ten.path(page)).ok());
            int bytes = ten.teacher.get(ten.path(page)).body().length();
            System.out.printf(
                    "page %-10s 1,000: %.0f ms, 10,000: %.0f ms, grows with the power %.2f, %d KB%n",
                    page.isEmpty() ? "(header)" : page, few, more, Math.log10(more / few), bytes / 1024);
        }
        System.out.printf(
                "page %-10s %.0f ms%n",
                "desk", median(TIMES, () -> ten.teacher.get("/api/desk").ok()));
    }

    @Test
    void one_among_many() {
        double[] handIn = new double[2];
        double[] reading = new double[2];
        int[] present = {10, 1_000};
        for (int i = 0; i < 2; i++) {
            Lesson lesson = many("One among " + present[i], present[i]);
            JsonNode answers = lesson.teacher.get(lesson.path("/readings")).ok().get("answers");
            int[] next = {0};
            reading[i] = median(7, () -> read(lesson, answers.get(next[0]++)));
            handIn[i] = handIns(lesson);
        }
        System.out.printf(
                "one hand-in among 10: %.1f ms, among 1,000: %.1f ms, ratio %.2f%n",
                handIn[0], handIn[1], handIn[1] / handIn[0]);
        System.out.printf(
                "one reading among 10: %.1f ms, among 1,000: %.1f ms, ratio %.2f%n",
                reading[0], reading[1], reading[1] / reading[0]);
    }

    private Object read(Lesson lesson, JsonNode answer) {
        Map<String, Object> reading =
                new HashMap<>(Map.of("levels", Map.of("c1", "1", "c2", "0"), "comment", "", "note", "", "hold", false));
        reading.put("saw", answer.get("saw").stringValue());
        return lesson.teacher
                .put(lesson.path("/readings/q60/" + answer.get("answer").stringValue()), reading)
                .ok();
    }

    private double handIns(Lesson lesson) {
        List<Double> ms = new ArrayList<>();
        for (String name : List.of(
                "Lotte Marrin",
                "Gideon Jarvik",
                "Dov Kessler",
                "Ewan Pryce",
                "Asa Quayle",
                "Ivo Lomas",
                "Maren Pell")) {
            Visitor student = school.as(name);
            String attempt = lesson.begin(student);
            for (int q = 5; q <= 60; q += 5) {
                Lesson.say(student, attempt, "q" + q, "bowline").ok();
            }
            long from = System.nanoTime();
            student.post("/api/student/attempts/" + attempt + "/hand-in", null).ok();
            ms.add((System.nanoTime() - from) / 1e6);
        }
        ms.sort(null);
        return ms.get(ms.size() / 2);
    }

    @Test
    void another_key() throws Exception {
        Lesson lesson = many("Another key", 10_000);
        Visitor student = school.as("Maude Rudd");
        String own = working(student);
        int edition = 1;
        for (int changed : new int[] {1, 30}) {
            ObjectNode key = paper("Another key");
            int left = changed;
            for (JsonNode item : key.get("items")) {
                if (left > 0 && item.get("kind").stringValue().equals("choice")) {
                    item.asObject().putArray("key").add(changed == 1 || left < changed ? "b" : "a");
                    left--;
                }
            }
            AtomicBoolean over = new AtomicBoolean();
            List<Double> saves = new ArrayList<>();
            Thread saving = new Thread(() -> {
                while (!over.get()) {
                    long at = System.nanoTime();
                    Lesson.say(student, own, "q2", "3.6 h").ok();
                    saves.add((System.nanoTime() - at) / 1e6);
                    LockSupport.parkNanos(100_000_000);
                }
            });
            long before = count();
            Runtime.getRuntime().gc();
            long[] peak = {0};
            Thread memory = new Thread(() -> {
                while (!over.get()) {
                    Runtime r = Runtime.getRuntime();
                    peak[0] = Math.max(peak[0], r.totalMemory() - r.freeMemory());
                    LockSupport.parkNanos(10_000_000);
                }
            });
            saving.start();
            memory.start();
            long from = System.nanoTime();
            JsonNode begun = lesson.teacher
                    .post(
                            lesson.path("/editions"),
                            Map.of("definition", Lesson.plain(key), "why", "", "edition", edition))
                    .ok();
            double asked = (System.nanoTime() - from) / 1e6;
            String job = begun.get("job").stringValue();
            while (lesson.teacher
                    .get("/api/jobs/" + job)
                    .ok()
                    .get("state")
                    .stringValue()
                    .equals("RUNNING")) {
                Thread.sleep(20);
            }
            double took = (System.nanoTime() - from) / 1e6;
            over.set(true);
            saving.join();
            memory.join();
            long written = count() - before;
            double copy = copy(written);
            saves.sort(null);
            System.out.printf(
                    "another key of %d: %d marks written; effect told after %.0f ms, all done after %.0f ms;"
                            + " COPY of as many marks %.0f ms, ratio of the writing %.1f; of %d saves meanwhile the 99th of 100"
                            + " took %.0f ms; heap at most %d MB%n",
                    changed,
                    written,
                    asked,
                    took,
                    copy,
                    (took - asked) / copy,
                    saves.size(),
                    saves.get(saves.size() * 99 / 100),
                    peak[0] >> 20);
            edition++;
        }
    }

    private static String working(Visitor student) {
        for (JsonNode line : student.get("/api/student/todo").ok()) {
            if (line.get("stage").stringValue().equals("WORKING")) {
                return line.get("attempt").stringValue();
            }
        }
        throw new AssertionError("not working on anything");
    }

    private long count() {
        return db.sql("select count(*) from mark").query(Long.class).single();
    }

    /** The same rows into a table with the same indexes. */
    private double copy(long rows) throws Exception {
        db.sql("drop table if exists plain_mark").update();
        db.sql("create table plain_mark (like mark including all)").update();
        db.sql("alter table plain_mark add foreign key (attempt_id) references attempt (id)")
                .update();
        try (Connection connection = school.bean(DataSource.class).getConnection()) {
            CopyManager copying = connection.unwrap(PGConnection.class).getCopyAPI();
            ByteArrayOutputStream text = new ByteArrayOutputStream();
            copying.copyOut("copy (select * from mark order by seq desc limit " + rows + ") to stdout", text);
            byte[] all = text.toByteArray();
            double[] ms = new double[3];
            for (int i = 0; i < ms.length; i++) {
                connection.createStatement().execute("truncate plain_mark");
                long from = System.nanoTime();
                copying.copyIn("copy plain_mark from stdin", new ByteArrayInputStream(all));
                ms[i] = (System.nanoTime() - from) / 1e6;
            }
            Arrays.sort(ms);
            return ms[1];
        }
    }
}
