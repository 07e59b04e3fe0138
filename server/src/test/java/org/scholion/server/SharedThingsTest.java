package org.scholion.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.scholion.server.testing.Colleague;
import org.scholion.server.testing.Lesson;
import org.scholion.server.testing.Scholion;
import org.scholion.server.testing.Together;
import org.scholion.server.testing.Visitor;
import org.springframework.jdbc.core.simple.JdbcClient;
import tools.jackson.databind.JsonNode;

/** What may be done with what somebody else shares, and what is removed and restored. */
@ExtendWith(Scholion.class)
class SharedThingsTest {
    private static final Map<String, Object> RUBRIC = Map.of(
            "criteria",
            List.of(Map.of(
                    "id",
                    "c1",
                    "title",
                    "Reason",
                    "levels",
                    List.of(
                            Map.of("id", "0", "points", "0", "text", "none"),
                            Map.of("id", "1", "points", "2", "text", "a cause")))));

    private static String item(Visitor who, String prompt) {
        Map<String, Object> item = Map.of(
                "id", "q1", "kind", "text", "points", "1", "prompt", prompt, "accept", List.of(Map.of("text", "x")));
        return made(who.post("/api/bank/items", Map.of("definition", item)));
    }

    private static String made(Visitor.Reply reply) {
        return reply.ok().get("id").stringValue();
    }

    private static void share(Visitor owner, String kind, String object, Colleague with, boolean mayEdit) {
        owner.put("/api/shares/" + kind + "/" + object + "/" + with.id(), Map.of("mayEdit", mayEdit))
                .ok();
    }

    @Test
    void whoever_may_edit_a_shared_thing_neither_shares_it_on_nor_removes_nor_moves_it(Scholion.Running school) {
        Visitor aud = school.as("Aud Meller");
        Colleague runa = Colleague.called(school, "Runa");
        Colleague third = Colleague.called(school, "Torben");
        String folder = made(aud.post("/api/bank/folders", Map.of("name", "Shared knots " + System.nanoTime())));
        String item = item(aud, "What is whipping for?");
        aud.post("/api/bank/move", Map.of("items", List.of(item), "folder", folder))
                .ok();
        String rubric = made(aud.post("/api/rubrics", Map.of("title", "Shared reasons", "definition", RUBRIC)));
        Map.of("ITEM", item, "FOLDER", folder, "RUBRIC", rubric).forEach((kind, object) -> {
            share(aud, kind, object, runa, true);
            String shares = "/api/shares/" + kind + "/" + object;
            runa.visitor().get(shares).isRefused(404);
            runa.visitor()
                    .put(shares + "/" + third.id(), Map.of("mayEdit", false))
                    .isRefused(404);
            runa.visitor().send("DELETE", shares + "/" + runa.id(), null).isRefused(404);
        });
        runa.visitor().send("DELETE", "/api/bank/items/" + item, null).isRefused(404);
        runa.visitor().send("DELETE", "/api/bank/folders/" + folder, null).isRefused(404);
        runa.visitor().send("DELETE", "/api/rubrics/" + rubric, null).isRefused(404);
        String own = made(runa.visitor().post("/api/bank/folders", Map.of("name", "Mine")));
        runa.visitor()
                .post("/api/bank/move", Map.of("items", List.of(item), "folder", own))
                .isRefused(404);
        assertThat(runa.visitor().get("/api/rubrics").ok().get(0).get("mine").booleanValue())
                .isFalse();
        third.visitor().get("/api/bank/items/" + item).isRefused(404);
    }

    @Test
    void what_is_removed_is_gone_for_everybody_until_its_owner_restores_it(Scholion.Running school) {
        Visitor aud = school.as("Aud Meller");
        Colleague runa = Colleague.called(school, "Runa");
        String item = item(aud, "Which hitch holds a fender, removed?");
        String folder = made(aud.post("/api/bank/folders", Map.of("name", "Removed " + System.nanoTime())));
        aud.post("/api/bank/move", Map.of("items", List.of(item), "folder", folder))
                .ok();
        share(aud, "FOLDER", folder, runa, false);
        String rubric = made(aud.post("/api/rubrics", Map.of("title", "Removed reasons", "definition", RUBRIC)));
        share(aud, "RUBRIC", rubric, runa, false);

        aud.send("DELETE", "/api/bank/folders/" + folder, null).ok();
        runa.visitor().get("/api/bank/items/" + item).isRefused(404);
        assertThat(found(aud, "fender removed").get("folder").isNull()).isTrue();
        aud.post("/api/bank/folders/" + folder + "/restore", null).ok();
        assertThat(runa.visitor().get("/api/bank/items/" + item).status()).isEqualTo(200);
        assertThat(found(aud, "fender removed").get("folder").stringValue()).isEqualTo(folder);

        aud.send("DELETE", "/api/bank/items/" + item, null).ok();
        assertThat(aud.post("/api/bank/find", Map.of("words", "fender removed"))
                        .ok()
                        .get("items"))
                .isEmpty();
        aud.get("/api/bank/items/" + item).isRefused(404);
        aud.put("/api/bank/items/" + item, Map.of("definition", Map.of(), "version", 1))
                .isRefused(404);
        runa.visitor().post("/api/bank/items/" + item + "/restore", null).isRefused(404);
        assertThat(aud.get("/api/bank/removed").body()).contains("Which hitch holds a fender, removed?");
        aud.post("/api/bank/items/" + item + "/restore", null).ok();
        assertThat(found(aud, "fender removed").get("id").stringValue()).isEqualTo(item);

        aud.send("DELETE", "/api/rubrics/" + rubric, null).ok();
        runa.visitor().get("/api/rubrics/" + rubric).isRefused(404);
        assertThat(aud.get("/api/rubrics/removed").body()).contains("Removed reasons");
        aud.post("/api/rubrics/" + rubric + "/restore", null).ok();
        assertThat(runa.visitor().get("/api/rubrics/" + rubric).status()).isEqualTo(200);
    }

    private static JsonNode found(Visitor who, String words) {
        return who.post("/api/bank/find", Map.of("words", words))
                .ok()
                .get("items")
                .get(0);
    }

    @Test
    void copying_a_key_that_one_may_only_use_changes_nothing_of_the_original(Scholion.Running school, JdbcClient db) {
        Lesson lesson = Lesson.written(school, "Only to use");
        Colleague runa = Colleague.called(school, "Runa");
        share(lesson.teacher, "ASSESSMENT", lesson.id, runa, false);
        JsonNode before = lesson.teacher.get(lesson.path("/key")).ok();
        String uses = "select count(*) from bank_use where assessment_id = cast(? as uuid)";
        JsonNode whole = runa.visitor()
                .post("/api/bank/papers", Map.of("assessment", lesson.id))
                .ok();
        assertThat(whole.get("added").intValue()).isEqualTo(4);
        runa.visitor()
                .post(
                        "/api/bank/items",
                        Map.of(
                                "definition",
                                Lesson.plain(
                                        before.get("definition").get("items").get(0)),
                                "assessment",
                                lesson.id))
                .isRefused(409);
        assertThat(lesson.teacher.get(lesson.path("/key")).ok()).isEqualTo(before);
        assertThat(db.sql(uses).param(lesson.id).query(Integer.class).single()).isZero();
        lesson.teacher.post("/api/bank/papers", Map.of("assessment", lesson.id)).ok();
        assertThat(db.sql(uses).param(lesson.id).query(Integer.class).single())
                .as("its own teacher's copies are uses")
                .isEqualTo(4);
    }

    @Test
    void a_whole_key_that_is_copied_six_times_at_once_is_there_once(Scholion.Running school, JdbcClient db) {
        Lesson lesson = Lesson.written(school, "Six times");
        List<Visitor.Reply> replies = Together.times(
                6, i -> school.as("Aud Meller").post("/api/bank/papers", Map.of("assessment", lesson.id)));
        assertThat(replies).allSatisfy(r -> assertThat(r.status()).as(r.body()).isEqualTo(200));
        assertThat(replies.stream()
                        .mapToInt(r -> r.json().get("added").intValue())
                        .sum())
                .isEqualTo(4);
        assertThat(db.sql("select count(*) from bank_item where from_assessment = cast(? as uuid)")
                        .param(lesson.id)
                        .query(Integer.class)
                        .single())
                .isEqualTo(4);
    }

    @Test
    void a_framework_is_removed_when_no_course_works_with_it_and_restored(Scholion.Running school) {
        Visitor aud = school.as("Aud Meller");
        String title = "Sails " + System.nanoTime();
        Map<String, Object> definition = Map.of(
                "id",
                "x",
                "title",
                title,
                "version",
                "1",
                "standards",
                List.of(Map.of("code", "SA1", "text", "Reefs")));
        String id = made(aud.post("/api/frameworks", Map.of("definition", definition)));
        String course = aud.get("/api/courses").ok().get(0).get("id").stringValue();
        aud.post("/api/courses/" + course + "/frameworks", Map.of("framework", id))
                .ok();
        assertThat(aud.send("DELETE", "/api/frameworks/" + id, null)
                        .isRefused(409)
                        .detail())
                .contains("Coastal Navigation");
        aud.send("DELETE", "/api/courses/" + course + "/frameworks/" + id, null).ok();
        aud.send("DELETE", "/api/frameworks/" + id, null).ok();
        aud.get("/api/frameworks/" + id).isRefused(404);
        assertThat(aud.get("/api/frameworks").body()).doesNotContain(title);
        assertThat(aud.get("/api/frameworks/removed").body()).contains(title);
        aud.post("/api/frameworks/" + id + "/restore", null).ok();
        assertThat(aud.get("/api/frameworks").body()).contains(title);
    }

    @Test
    void a_framework_that_would_make_standards_useless_is_refused_in_words(Scholion.Running school) {
        Visitor aud = school.as("Aud Meller");
        StringBuilder deep = new StringBuilder("code,text,parent\nC0,x,\n");
        StringBuilder many = new StringBuilder("code,text\n");
        for (int i = 1; i < 6_000; i++) {
            deep.append("C").append(i).append(",x,C").append(i - 1).append('\n');
            many.append("C").append(i).append(",x\n");
        }
        assertThat(aud.sendFile("/api/frameworks/file", deep.toString())
                        .isRefused(422)
                        .detail())
                .contains("more than 20 levels deep");
        assertThat(aud.sendFile("/api/frameworks/file", many.toString())
                        .isRefused(422)
                        .body())
                .contains("at most 5000");
        Map<String, Object> twice = Map.of(
                "id",
                "new",
                "title",
                "Twice",
                "version",
                "1",
                "standards",
                List.of(Map.of("code", "T1", "text", "a"), Map.of("code", "t1 ", "text", "b")));
        assertThat(aud.post("/api/frameworks", Map.of("definition", twice))
                        .isRefused(422)
                        .body())
                .contains("is there already");
        assertThat(aud.sendFile("/api/frameworks/file", "code,text\n" + "T".repeat(61) + ",a\n")
                        .isRefused(422)
                        .body())
                .contains("61 characters; at most 60");
    }

    @Test
    void a_file_of_standards_is_shown_with_what_is_lost_before_anything_is_stored(Scholion.Running school) {
        Visitor aud = school.as("Aud Meller");
        String csv = "Our own\ncode;words;old\nT;Tides;T\nT1;Causes;\nT1;Causes;x\n";
        JsonNode seen = aud.sendFile("/api/frameworks/file/preview", csv).ok();
        assertThat(seen.at("/definition/standards")
                        .valueStream()
                        .map(s -> s.get("code").stringValue()))
                .containsExactly("T", "T1");
        assertThat(seen.at("/definition/standards/1/parent").stringValue()).isEqualTo("T");
        assertThat(seen.get("notes").toString())
                .contains("this stands above the heading", "T1 is there twice with the same words");
        assertThat(seen.get("faults")).isEmpty();
        assertThat(aud.get("/api/frameworks").body()).doesNotContain("Our own words");

        Map<String, Object> how = Map.of("encoding", "", "separator", "", "sheet", 0);
        Map<String, Object> asked = Map.of("how", how, "roles", Map.of("1", "LEFT_OUT", "2", "TEXT"));
        JsonNode said = aud.sendFile("/api/frameworks/file/preview", csv, asked).ok();
        assertThat(said.at("/definition/standards/0/text").stringValue()).isEqualTo("T");
        assertThat(aud.sendFile("/api/frameworks/file", csv, asked)
                        .isRefused(422)
                        .body())
                .contains("a framework has a title");
        school.as("Noor Haddix").sendFile("/api/frameworks/file/preview", csv).isRefused(403);
        assertThat(aud.sendFile("/api/frameworks/file/preview", "code,text\n" + "T".repeat(61) + ",a\n")
                        .ok()
                        .get("faults")
                        .toString())
                .contains("line 2", "61 characters; at most 60");
    }
}
