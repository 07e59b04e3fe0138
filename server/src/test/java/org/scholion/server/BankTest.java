package org.scholion.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.Supplier;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.scholion.server.person.People;
import org.scholion.server.platform.Me;
import org.scholion.server.testing.Colleague;
import org.scholion.server.testing.Lesson;
import org.scholion.server.testing.Scholion;
import org.scholion.server.testing.Together;
import org.scholion.server.testing.Visitor;
import org.springframework.jdbc.core.simple.JdbcClient;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** The bank: kept, found, versioned, shared, put into papers; frameworks and the way from one to the next. */
@ExtendWith(Scholion.class)
class BankTest {
    private static Map<String, Object> item(String prompt, String accepted, Object... more) {
        Map<String, Object> item = new HashMap<>(Map.of(
                "id",
                "q1",
                "kind",
                "text",
                "points",
                "1",
                "prompt",
                prompt,
                "accept",
                List.of(Map.of("text", accepted))));
        for (int i = 0; i < more.length; i += 2) {
            item.put((String) more[i], more[i + 1]);
        }
        return item;
    }

    private static String add(Visitor who, Map<String, Object> item) {
        return who.post("/api/bank/items", Map.of("definition", item))
                .ok()
                .get("id")
                .stringValue();
    }

    private static JsonNode find(Visitor who, String... filters) {
        Map<String, Object> wanted = new HashMap<>();
        for (int i = 0; i < filters.length; i += 2) {
            wanted.put(filters[i], filters[i + 1]);
        }
        return who.post("/api/bank/find", wanted).ok().get("items");
    }

    private static List<String> prompts(JsonNode found) {
        return found.valueStream().map(i -> i.get("prompt").stringValue()).toList();
    }

    @Test
    void items_are_found_by_words_beginnings_of_words_slips_and_what_narrows_them(Scholion.Running school) {
        Visitor ines = school.as("Ines Calder");
        add(ines, item("Which lantern swings at the yardarm?", "fluke", "difficulty", "0.4"));
        add(ines, item("How is a kedge laid?", "from the boat", "tags", List.of("anchoring")));
        assertThat(prompts(find(ines, "words", "lantern"))).containsExactly("Which lantern swings at the yardarm?");
        assertThat(prompts(find(ines, "words", "lant yard"))).hasSize(1);
        assertThat(prompts(find(ines, "words", "yardamr"))).as("a slip").hasSize(1);
        assertThat(prompts(find(ines, "words", "fluke"))).as("an accepted text").hasSize(1);
        assertThat(prompts(find(ines, "tag", "anchoring"))).containsExactly("How is a kedge laid?");
        assertThat(prompts(find(ines, "words", "lantern", "from", "0.5"))).isEmpty();
        assertThat(prompts(find(ines, "words", "lantern", "to", "0.5", "kind", "text")))
                .hasSize(1);
        assertThat(prompts(find(school.as("Halvard Quist"), "words", "lantern")))
                .as("not shared")
                .isEmpty();
    }

    @Test
    void items_are_found_by_a_standard_with_all_below_it_slips_in_answers_accents_and_the_bounds_themselves(
            Scholion.Running school) {
        Visitor ines = school.as("Ines Calder");
        add(ines, item("What drives the gulf?", "thermohaline", "standards", List.of(Map.of("code", "T1"))));
        add(ines, item("Où est la bouée cardinale?", "côté nord", "difficulty", "1/3"));
        assertThat(prompts(find(ines, "code", "T1"))).contains("What drives the gulf?");
        assertThat(prompts(find(ines, "code", "T"))).as("T1 stands below T").contains("What drives the gulf?");
        assertThat(prompts(find(ines, "code", "B"))).doesNotContain("What drives the gulf?");
        assertThat(prompts(find(ines, "words", "termohaline")))
                .as("a slip in an answer")
                .containsExactly("What drives the gulf?");
        assertThat(prompts(find(ines, "words", "bouee")))
                .as("without the accent")
                .hasSize(1);
        assertThat(prompts(find(ines, "words", "cóte"))).as("with another one").hasSize(1);
        assertThat(prompts(find(ines, "words", "bouee", "from", "1/3", "to", "1/3")))
                .as("a third lies at a third")
                .hasSize(1);
        assertThat(prompts(find(ines, "words", "bouee", "from", "0.34"))).isEmpty();
    }

    @Test
    void every_version_stays_and_a_change_in_between_is_a_conflict(Scholion.Running school) {
        Visitor aud = school.as("Aud Meller");
        String id = add(aud, item("What is a hawser?", "a rope"));
        Map<String, Object> changed = Map.of("definition", item("What is a hawser?", "a thick rope"), "version", 1);
        aud.put("/api/bank/items/" + id, changed).ok();
        aud.put("/api/bank/items/" + id, changed).isRefused(409);
        JsonNode versions = aud.get("/api/bank/items/" + id).ok().get("versions");
        assertThat(versions).hasSize(2);
        assertThat(versions.get(1)
                        .get("definition")
                        .get("accept")
                        .get(0)
                        .get("text")
                        .stringValue())
                .isEqualTo("a rope");
    }

    @Test
    void equal_and_nearly_equal_questions_are_told(Scholion.Running school) {
        Visitor aud = school.as("Aud Meller");
        String one = add(aud, item("What is the name of the rope that holds an anchor?", "rode"));
        add(aud, item("what is the name of the rope that holds an anchor", "rode"));
        add(aud, item("What is the name of the chain that holds an anchor?", "rode"));
        assertThat(aud.get("/api/bank/items/" + one).ok().get("alike")).hasSize(2);
        assertThat(aud.get("/api/bank/twins").body()).contains("rope that holds an anchor");
    }

    @Test
    void a_whole_paper_is_put_into_the_bank_once_but_for_what_is_not_finished(Scholion.Running school) {
        Lesson lesson = Lesson.written(school, "Whole into the bank");
        ObjectNode draft = Lesson.definition("Whole into the bank").asObject();
        draft.get("items").get(0).asObject().remove("key");
        lesson.teacher
                .put(lesson.path("/key"), Map.of("definition", Lesson.plain(draft), "revision", 1))
                .ok();
        Map<String, String> whole = Map.of("assessment", lesson.id);
        assertThat(lesson.teacher.post("/api/bank/papers", whole).ok().toString())
                .isEqualTo("{\"added\":3,\"already\":0,\"unfinished\":1}");
        assertThat(lesson.teacher.post("/api/bank/papers", whole).ok().toString())
                .isEqualTo("{\"added\":0,\"already\":3,\"unfinished\":1}");
        assertThat(prompts(find(lesson.teacher, "words", "Which knot makes a fixed loop")))
                .contains("Which knot makes a fixed loop?");
    }

    @Test
    void items_are_found_by_the_mean_so_far_in_ones_own_courses_as_it_was_handed_back_last(Scholion.Running school)
            throws InterruptedException {
        Lesson lesson = Lesson.given(school, "Measured in the bank", "A");
        Visitor aud = lesson.teacher;
        aud.post("/api/bank/papers", Map.of("assessment", lesson.id)).ok();
        assertThat(soFar(school, aud, lesson, "q2")).as("not handed back").isEqualTo("null of 0");
        lesson.sits("Yuki Tarn", List.of("a"), "bowline", "10 nmi", "x");
        lesson.sits("Tamsin Orrel", List.of("a"), "granny", "10 nmi", "x");
        lesson.handsBack("Yuki Tarn", "Tamsin Orrel").ok();
        becomes("\"0.5\" of 2", () -> soFar(school, aud, lesson, "q2"));
        assertThat(soFar(school, aud, lesson, "q1")).isEqualTo("\"1\" of 2");
        assertThat(ids(find(aud, "soFar", "true", "from", "0.45", "to", "0.5"))).contains(inBank(school, lesson, "q2"));
        assertThat(ids(find(aud, "soFar", "true", "from", "0.51"))).doesNotContain(inBank(school, lesson, "q2"));
        assertThat(ids(find(aud, "from", "0.45", "to", "0.5")))
                .as("expected is another thing")
                .doesNotContain(inBank(school, lesson, "q2"));

        aud.post(lesson.path("/doubts"), lesson.decision("q2", "granny", "1", "EXACT"))
                .ok();
        assertThat(soFar(school, aud, lesson, "q2")).as("not handed back again").isEqualTo("\"0.5\" of 2");
        lesson.handsBack("Tamsin Orrel").ok();
        becomes("\"1\" of 2", () -> soFar(school, aud, lesson, "q2"));

        Lesson other = Lesson.written(school, "Measured elsewhere");
        school.bean(JdbcClient.class)
                .sql("insert into bank_use (item_id, version, assessment_id, item, at, students, mean_score, outdated)"
                        + " values (cast(? as uuid), 1, cast(? as uuid), 'q2', now(), 6, 0.2, false)")
                .params(inBank(school, lesson, "q2"), other.id)
                .update();
        assertThat(soFar(school, aud, lesson, "q2"))
                .as("each student counts once, not each use")
                .isEqualTo("\"0.4\" of 8");

        Colleague runa = Colleague.called(school, "Runa");
        aud.put("/api/shares/ITEM/" + inBank(school, lesson, "q2") + "/" + runa.id(), Map.of("mayEdit", false))
                .ok();
        assertThat(soFar(school, runa.visitor(), lesson, "q2"))
                .as("who teaches elsewhere")
                .isEqualTo("null of 0");
    }

    private static String inBank(Scholion.Running school, Lesson lesson, String item) {
        return school.bean(JdbcClient.class)
                .sql("select item_id from bank_use where assessment_id = cast(? as uuid) and item = ?")
                .params(lesson.id, item)
                .query(UUID.class)
                .single()
                .toString();
    }

    private static String soFar(Scholion.Running school, Visitor who, Lesson lesson, String item) {
        String id = inBank(school, lesson, item);
        JsonNode line = find(who, "words", item.equals("q1") ? "range greatest" : "makes a fixed loop")
                .valueStream()
                .filter(i -> i.get("id").stringValue().equals(id))
                .findFirst()
                .orElseThrow();
        return line.get("soFar") + " of " + line.get("students");
    }

    private static List<String> ids(JsonNode found) {
        return found.valueStream().map(i -> i.get("id").stringValue()).toList();
    }

    private static void becomes(String expected, Supplier<String> actual) throws InterruptedException {
        for (int i = 0; i < 100 && !actual.get().equals(expected); i++) {
            Thread.sleep(200);
        }
        assertThat(actual.get()).isEqualTo(expected);
    }

    @Test
    void nearly_equal_prompts_of_the_whole_bank_are_listed_once_and_no_longer_when_one_of_them_changes(
            Scholion.Running school) {
        Visitor ines = school.as("Ines Calder");
        add(ines, item("Which light does a vessel at anchor show by night?", "white"));
        String second = add(ines, item("Which light does a vessel at anchor show at night?", "white all round"));
        add(ines, item("Name the cardinal mark with its cones pointing up.", "north"));
        JsonNode near = ines.get("/api/bank/near").ok();
        assertThat(near).hasSize(1);
        assertThat(near.get(0).get("prompt").stringValue()).contains("at anchor show at night");
        assertThat(near.get(0).get("otherPrompt").stringValue()).contains("by night");
        assertThat(Double.parseDouble(near.get(0).get("likeness").stringValue()))
                .isBetween(0.6, 0.99);
        assertThat(school.as("Halvard Quist").get("/api/bank/near").body()).doesNotContain("at anchor");
        ines.put(
                        "/api/bank/items/" + second,
                        Map.of("definition", item("How long is a shackle of chain?", "27.5 m"), "version", 1))
                .ok();
        assertThat(ines.get("/api/bank/near").ok()).isEmpty();
    }

    @Test
    void what_is_shared_to_use_can_be_used_and_not_changed_and_to_edit_both(Scholion.Running school) {
        Visitor aud = school.as("Aud Meller");
        Visitor halvard = school.as("Halvard Quist");
        String id = add(aud, item("What is a fid for, in splicing?", "opening strands"));
        String him = aud.get("/api/colleagues")
                .ok()
                .valueStream()
                .filter(c -> c.get("name").stringValue().equals("Halvard Quist"))
                .findFirst()
                .orElseThrow()
                .get("id")
                .stringValue();
        halvard.get("/api/bank/items/" + id).isRefused(404);
        aud.put("/api/shares/ITEM/" + id + "/" + him, Map.of("mayEdit", false)).ok();
        assertThat(prompts(find(halvard, "words", "splicing"))).hasSize(1);
        Map<String, Object> changed = Map.of("definition", item("What is a fid for, in splicing?", "x"), "version", 1);
        halvard.put("/api/bank/items/" + id, changed).isRefused(404);
        aud.put("/api/shares/ITEM/" + id + "/" + him, Map.of("mayEdit", true)).ok();
        halvard.put("/api/bank/items/" + id, changed).ok();
        aud.send("DELETE", "/api/shares/ITEM/" + id + "/" + him, null).ok();
        halvard.get("/api/bank/items/" + id).isRefused(404);
    }

    @Test
    void items_go_into_a_paper_with_free_ids_and_remember_where_they_came_from(Scholion.Running school) {
        Lesson lesson = Lesson.written(school, "From the bank");
        String id = add(lesson.teacher, item("What is a bight?", "a bend in a rope"));
        JsonNode put = lesson.teacher
                .post("/api/bank/put", Map.of("assessment", lesson.id, "items", List.of(id)))
                .ok();
        assertThat(put.get("items").get(0).stringValue()).as("q1 is taken").isEqualTo("q5");
        assertThat(lesson.teacher
                        .get("/api/bank/items/" + id)
                        .ok()
                        .get("uses")
                        .get(0)
                        .get("use")
                        .get("title")
                        .stringValue())
                .isEqualTo("From the bank");
        lesson.giveOut("A").ok();
        lesson.teacher
                .post("/api/bank/put", Map.of("assessment", lesson.id, "items", List.of(id)))
                .isRefused(409);
    }

    @Test
    void an_unfinished_item_is_not_taken_into_the_bank(Scholion.Running school) {
        assertThat(school.as("Aud Meller")
                        .post("/api/bank/items", Map.of("definition", item("No key?", "x", "accept", List.of())))
                        .isRefused(422)
                        .detail())
                .contains("accept");
    }

    @Test
    void a_key_that_is_shared_can_be_copied_into_ones_own_course(Scholion.Running school) {
        Lesson lesson = Lesson.written(school, "To be copied");
        String course = lesson.teacher.get("/api/courses").ok().get(0).get("id").stringValue();
        String copy = school.as("Ines Calder")
                .post("/api/courses/" + course + "/copies", Map.of("assessment", lesson.id))
                .ok()
                .get("id")
                .stringValue();
        assertThat(lesson.teacher
                        .get("/api/assessments/" + copy + "/key")
                        .ok()
                        .get("definition")
                        .get("items"))
                .hasSize(4);
    }

    @Test
    void old_tags_are_carried_over_by_a_crosswalk_in_papers_and_in_the_bank(Scholion.Running school) {
        Visitor aud = school.as("Aud Meller");
        String older = framework(aud, "Knots", "1", "K1", "Ties knots for mooring");
        String newer = framework(aud, "Knots", "2", "KN.1", "Ties working knots for mooring");
        JsonNode lines = aud.get("/api/crosswalks/" + older + "/" + newer).ok();
        assertThat(lines.get(0).get("mapped").booleanValue()).isFalse();
        assertThat(lines.get(0).get("proposed").get(0).get("code").stringValue())
                .isEqualTo("KN.1");
        String id = add(
                aud, item("Which bend joins two hawsers?", "carrick bend", "standards", List.of(Map.of("code", "K1"))));
        aud.put(
                        "/api/crosswalks/" + older + "/" + newer,
                        Map.of("links", List.of(Map.of("from", "K1", "to", List.of("XX")))))
                .isRefused(422);
        aud.put(
                        "/api/crosswalks/" + older + "/" + newer,
                        Map.of("links", List.of(Map.of("from", "K1", "to", List.of("KN.1")))))
                .ok();
        JsonNode outdated =
                aud.get("/api/crosswalks/" + older + "/" + newer + "/outdated").ok();
        assertThat(outdated).hasSize(1);
        assertThat(outdated.get(0).get("proposed").get(0).stringValue()).isEqualTo("KN.1");
        aud.post("/api/crosswalks/" + older + "/" + newer + "/outdated", Map.of("items", List.of(Map.of("item", id))))
                .ok();
        assertThat(aud.get("/api/crosswalks/" + older + "/" + newer + "/outdated")
                        .ok())
                .isEmpty();
        assertThat(prompts(find(aud, "code", "KN.1"))).containsExactly("Which bend joins two hawsers?");
    }

    @Test
    void the_same_thing_said_eight_times_at_once_is_said_once_and_refused_to_nobody(Scholion.Running school) {
        Visitor aud = school.as("Aud Meller");
        for (int round = 0; round < 5; round++) {
            String older = framework(aud, "At once " + round, "1", "AO" + round, "Says it once");
            String newer = framework(aud, "At once " + round, "2", "AN" + round, "Says it once");
            String course = aud.get("/api/courses").ok().get(0).get("id").stringValue();
            String item = add(aud, item("At once " + round + "?", "yes"));
            Colleague runa = Colleague.called(school, "Runa");
            Map<String, Object> links =
                    Map.of("links", List.of(Map.of("from", "AO" + round, "to", List.of("AN" + round))));
            Together.times(
                    8,
                    i -> aud.put("/api/shares/ITEM/" + item + "/" + runa.id(), Map.of("mayEdit", true))
                            .ok());
            Together.times(
                    8,
                    i -> aud.put("/api/crosswalks/" + older + "/" + newer, links)
                            .ok());
            Together.times(
                    8,
                    i -> aud.post("/api/courses/" + course + "/frameworks", Map.of("framework", newer))
                            .ok());
            assertThat(aud.get("/api/shares/ITEM/" + item).ok()).hasSize(1);
            aud.send("DELETE", "/api/courses/" + course + "/frameworks/" + newer, null)
                    .ok();
        }
    }

    @Test
    void retired_tags_go_and_a_course_that_lacks_the_newer_version_is_named_before(Scholion.Running school) {
        Visitor aud = school.as("Aud Meller");
        String older = framework(aud, "Splices", "1", "SP1", "Splices hemp");
        String newer = framework(aud, "Splices", "2", "SN.1", "Splices laid rope");
        Lesson lesson = Lesson.written(school, "Old splices");
        ObjectNode draft = Lesson.definition("Old splices").asObject();
        draft.get("items").get(1).asObject().putArray("standards").addObject().put("code", "SP1");
        lesson.holds(draft);
        String path = "/api/crosswalks/" + older + "/" + newer;
        JsonNode before = aud.get(path + "/outdated").ok().get(0);
        assertThat(before.get("unmapped").toString()).isEqualTo("[\"SP1\"]");
        assertThat(before.get("retired")).isEmpty();
        assertThat(before.get("lacking").get("title").stringValue()).isEqualTo("Coastal Navigation");

        aud.put(path, Map.of("links", List.of(Map.of("from", "SP1", "to", List.of()))))
                .ok();
        String course = before.get("lacking").get("id").stringValue();
        aud.post("/api/courses/" + course + "/frameworks", Map.of("framework", newer))
                .ok();
        JsonNode said = aud.get(path + "/outdated").ok().get(0);
        assertThat(said.get("retired").toString()).isEqualTo("[\"SP1\"]");
        assertThat(said.get("unmapped")).isEmpty();
        assertThat(said.get("lacking").isNull()).isTrue();
        aud.post(path + "/outdated", Map.of("items", List.of(Map.of("assessment", lesson.id, "item", "q2"))))
                .ok();
        assertThat(aud.get(path + "/outdated").ok()).isEmpty();
        assertThat(aud.get(lesson.path("/key"))
                        .ok()
                        .get("definition")
                        .get("items")
                        .get(1)
                        .get("standards"))
                .isEmpty();
        aud.send("DELETE", "/api/courses/" + course + "/frameworks/" + newer, null)
                .ok();
    }

    @Test
    void a_paper_shared_only_to_use_is_not_carried_over_by_the_one_it_is_shared_with(
            Scholion.Running school, JdbcClient db, People people) {
        Lesson lesson = Lesson.written(school, "Shared to use");
        lesson.giveOut("A").ok();
        UUID schoolId = db.sql("select id from school").query(UUID.class).single();
        String name = "Elsewhere" + System.nanoTime();
        people.add(schoolId, new People.NewPerson(Me.Role.TEACHER, "Runa", name, null, null, name), null);
        UUID runaId = db.sql("select id from person where family = ?")
                .param(name)
                .query(UUID.class)
                .single();
        Visitor runa = school.as("Runa " + name);
        lesson.teacher
                .put("/api/shares/ASSESSMENT/" + lesson.id + "/" + runaId, Map.of("mayEdit", false))
                .ok();
        runa.get("/api/assessments/" + lesson.id + "/key").ok();
        String older = framework(runa, "Hitches", "1", "H1", "Ties hitches");
        String newer = framework(runa, "Hitches", "2", "HT.1", "Ties working hitches");
        runa.post(
                        "/api/crosswalks/" + older + "/" + newer + "/outdated",
                        Map.of("items", List.of(Map.of("assessment", lesson.id, "item", "q1"))))
                .isRefused(404);
    }

    private static String framework(Visitor who, String title, String version, String code, String text) {
        return who.post(
                        "/api/frameworks",
                        Map.of(
                                "definition",
                                Map.of(
                                        "id",
                                        "x",
                                        "title",
                                        title,
                                        "version",
                                        version,
                                        "standards",
                                        List.of(Map.of("code", code, "text", text)))))
                .ok()
                .get("id")
                .stringValue();
    }

    @Test
    void a_framework_is_brought_in_changed_and_refused_where_it_is_no_tree(Scholion.Running school) {
        Visitor aud = school.as("Aud Meller");
        String id = framework(aud, "Sails", "1", "A", "Bends a sail");
        JsonNode view = aud.get("/api/frameworks/" + id).ok();
        Map<String, Object> tree = Map.of(
                "id",
                "x",
                "title",
                "Sails",
                "version",
                "1",
                "standards",
                List.of(
                        Map.of("code", "A", "text", "Bends a sail"),
                        Map.of("code", "A1", "parent", "A", "text", "Reefs")));
        aud.put(
                        "/api/frameworks/" + id,
                        Map.of(
                                "definition",
                                tree,
                                "revision",
                                view.get("revision").intValue()))
                .ok();
        aud.put("/api/frameworks/" + id, Map.of("definition", tree, "revision", 0))
                .isRefused(409);
        Map<String, Object> circle = Map.of(
                "id",
                "x",
                "title",
                "Sails",
                "version",
                "1",
                "standards",
                List.of(Map.of("code", "A", "parent", "A", "text", "round")));
        assertThat(aud.put("/api/frameworks/" + id, Map.of("definition", circle, "revision", 1))
                        .isRefused(422)
                        .detail())
                .contains("'A' stands above itself");
        aud.post("/api/frameworks", Map.of("definition", tree)).isRefused(409);
    }
}
