package org.scholion.server;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.UUID;
import java.util.function.Supplier;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.scholion.formats.json.Json;
import org.scholion.server.testing.Lesson;
import org.scholion.server.testing.Scholion;
import org.scholion.server.testing.Visitor;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.core.simple.JdbcClient;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * Speeds that need the database, measured over HTTP beside an empty request; run by {@code bin/bench store}, never with
 * the tests. It prints, and asserts nothing.
 */
@ExtendWith(Scholion.class)
class StoreBench {
    private static final int ITEMS = 50_000;
    private static final int ATTEMPTS = 1_000;
    private static final int QUESTIONS = 60;
    private static final int TIMES = 15;
    private static final String[] WORDS =
            ("tide stream ebb flood spring neap anchor cable bowline hitch compass bearing"
                            + " course variation deviation buoy light sector fog signal vessel sail motor chart depth datum fix"
                            + " leading line harbour pier ledge rock sand mud wind sea swell front pressure barometer")
                    .split(" ");

    private static String median(Supplier<?> work) {
        double[] ms = new double[TIMES];
        for (int i = 0; i < TIMES + 3; i++) {
            long from = System.nanoTime();
            work.get();
            if (i >= 3) {
                ms[i - 3] = (System.nanoTime() - from) / 1e6;
            }
        }
        Arrays.sort(ms);
        return "%.0f ms (slowest of %d: %.0f)".formatted(ms[TIMES / 2], TIMES, ms[TIMES - 1]);
    }

    @Test
    void a_bank_of_fifty_thousand_items(Scholion.Running school, JdbcClient db, JdbcTemplate batch) {
        Random random = new Random(7);
        UUID owner = db.sql("select id from person where given = 'Aud'")
                .query(UUID.class)
                .single();
        UUID schoolId = db.sql("select id from school").query(UUID.class).single();
        List<Object[]> rows = new ArrayList<>();
        for (int i = 0; i < ITEMS; i++) {
            StringBuilder prompt = new StringBuilder("Question " + i + ":");
            for (int w = 0; w < 9; w++) {
                prompt.append(' ').append(WORDS[random.nextInt(WORDS.length)]);
            }
            String alike = prompt.toString().toLowerCase(java.util.Locale.ROOT).replace(":", "");
            rows.add(new Object[] {
                UUID.randomUUID(), schoolId, owner, prompt.toString(), alike, "T" + i % 3, i % 10 / 10.0, alike
            });
        }
        batch.batchUpdate(
                "insert into bank_item (id, school_id, owner_id, version, definition, kind, prompt, alike, tags, codes,"
                        + " difficulty, made_at, changed_at, words) values (?, ?, ?, 1, '{\"id\": \"q1\", \"kind\": \"open\"}',"
                        + " 'open', ?, ?, '{}', array[?], ?, now(), now(), to_tsvector('simple', ?))",
                rows);
        db.sql("analyze bank_item").update();
        Visitor aud = school.as("Aud Meller");
        System.out.println("an empty request: " + median(() -> aud.get("/api/session")));
        for (Map<String, Object> wanted : List.<Map<String, Object>>of(
                Map.of(),
                Map.of("words", "bowline"),
                Map.of("words", "spring neap ledge"),
                Map.of("words", "baromter presure"),
                Map.of("words", "zzyzx"),
                Map.of("code", "T1", "from", "0.4", "to", "0.6"),
                Map.of("words", "tide", "kind", "open", "code", "T2"))) {
            System.out.println("of 50,000 items, " + wanted + ": "
                    + median(() -> aud.post("/api/bank/find", wanted).ok()));
        }
    }

    @Test
    void the_effect_of_a_change_on_a_thousand_attempts_at_sixty_items(
            Scholion.Running school, JdbcClient db, JdbcTemplate batch) {
        Lesson lesson = Lesson.written(school, "A thousand");
        ObjectNode draft = Lesson.definition("A thousand").asObject();
        JsonNode choice = draft.get("items").get(0);
        ArrayNode items = draft.putArray("items");
        for (int i = 1; i <= QUESTIONS; i++) {
            items.add(choice.deepCopy().asObject().put("id", "q" + i));
        }
        lesson.teacher
                .put(lesson.path("/key"), Map.of("definition", Lesson.plain(draft), "revision", 1))
                .ok();
        lesson.giveOut("A").ok();
        fill(db, batch, UUID.fromString(lesson.id));
        items.get(0).asObject().putArray("key").add("b");
        Map<String, Object> change = new HashMap<>(Map.of("definition", Lesson.plain(draft), "why", "", "edition", 1));
        System.out.println("effect of one changed key on 1,000 attempts at 60 items: "
                + median(() -> lesson.teacher
                        .post(lesson.path("/editions/preview"), change)
                        .ok()));
    }

    private static void fill(JdbcClient db, JdbcTemplate batch, UUID assessment) {
        Random random = new Random(3);
        UUID schoolId = db.sql("select id from school").query(UUID.class).single();
        UUID sitting = db.sql("select id from sitting where assessment_id = ?")
                .param(assessment)
                .query(UUID.class)
                .single();
        UUID section = db.sql("select section_id from sitting where id = ?")
                .param(sitting)
                .query(UUID.class)
                .single();
        UUID edition = db.sql("select id from edition where assessment_id = ?")
                .param(assessment)
                .query(UUID.class)
                .single();
        UUID student = db.sql("select id from person where given = 'Yuki'")
                .query(UUID.class)
                .single();
        List<Object[]> attempts = new ArrayList<>();
        List<Object[]> responses = new ArrayList<>();
        List<Object[]> marks = new ArrayList<>();
        String reason = db.sql("select reason::text from mark where reason::text like '%CHOICE%' limit 1")
                .query(String.class)
                .single();
        for (int a = 0; a < ATTEMPTS; a++) {
            UUID id = UUID.randomUUID();
            attempts.add(new Object[] {schoolId, id, assessment, sitting, section, student, a + 1, edition});
            for (int q = 1; q <= QUESTIONS; q++) {
                boolean right = random.nextInt(3) > 0;
                responses.add(
                        new Object[] {schoolId, id, "q" + q, Json.write(Json.read(right ? "[\"a\"]" : "[\"b\"]"))});
                marks.add(new Object[] {schoolId, id, "q" + q, right ? "1" : "0", reason});
            }
        }
        batch.batchUpdate(
                "insert into attempt (school_id, id, assessment_id, sitting_id, section_id, student_id, number, edition_id,"
                        + " way, started_at, handed_in_at) values (?, ?, ?, ?, ?, ?, ?, ?, 'FILE', now(), now())",
                attempts);
        batch.batchUpdate(
                "insert into response (school_id, attempt_id, item, answer, at) values (?, ?, ?, cast(? as jsonb), now())",
                responses);
        batch.batchUpdate(
                "insert into mark (school_id, attempt_id, item, state, numerator, denominator, reason, edition, at)"
                        + " values (?, ?, ?, 'SCORED', cast(? as numeric), 1, cast(? as jsonb), 1, now())",
                marks);
    }
}
