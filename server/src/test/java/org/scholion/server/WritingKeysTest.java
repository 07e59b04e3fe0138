package org.scholion.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.scholion.server.testing.Lesson;
import org.scholion.server.testing.Scholion;
import org.scholion.server.testing.Visitor;
import org.springframework.jdbc.core.simple.JdbcClient;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Writing keys: examples, whole sets of answers, draws, files, history, and what a new edition changes. */
@ExtendWith(Scholion.class)
class WritingKeysTest {
    private static Map<String, Object> change(JsonNode definition, int revision) {
        return Map.of("definition", Lesson.plain(definition), "revision", revision);
    }

    private static Map<String, Object> only(JsonNode definition) {
        return Map.of("definition", Lesson.plain(definition));
    }

    @Test
    void an_example_that_no_longer_gets_what_it_is_to_get_is_told(Scholion.Running school) {
        Lesson lesson = Lesson.written(school, "Examples");
        ObjectNode draft = Lesson.definition("Examples").asObject();
        ObjectNode item = draft.get("items").get(1).asObject();
        ArrayNode examples = item.putArray("examples");
        examples.addObject().put("answer", "a bowlin").put("credit", "1");
        examples.addObject().put("answer", "clove hitch").put("state", "waits");
        JsonNode saved =
                lesson.teacher.put(lesson.path("/key"), change(draft, 1)).ok();
        assertThat(saved.get("broken").toString())
                .as("the article is not ignored here")
                .isEqualTo("[\"q2\"]");
        item.putArray("ignore").add("case").add("space").add("articles");
        saved = lesson.teacher.put(lesson.path("/key"), change(draft, 2)).ok();
        assertThat(saved.get("broken")).isEmpty();

        JsonNode check = lesson.teacher
                .post("/api/items/check", Map.of("item", Lesson.plain(item), "answers", List.of("reef knot")))
                .ok();
        assertThat(check.get("examples").get(0).get("holds").booleanValue()).isTrue();
        assertThat(check.get("tried").get(0).get("state").stringValue()).isEqualTo("settle");
    }

    @Test
    void weights_that_do_not_sum_are_named_and_keep_it_from_being_given_out(Scholion.Running school) {
        Lesson lesson = Lesson.written(school, "Weights");
        ObjectNode draft = Lesson.definition("Weights").asObject();
        ArrayNode parts = draft.putArray("parts");
        parts.addObject().put("id", "A").put("title", "One").put("weight", "40");
        parts.addObject().put("id", "B").put("title", "Two").put("weight", "50");
        draft.get("items").forEach(i -> i.asObject().put("part", "A"));
        JsonNode saved =
                lesson.teacher.put(lesson.path("/key"), change(draft, 1)).ok();
        assertThat(saved.get("faults").toString()).contains("the weights of the parts sum to 90, not to 100");
        draft.get("parts").get(1).asObject().put("weight", "60");
        assertThat(lesson.teacher
                        .put(lesson.path("/key"), change(draft, 2))
                        .ok()
                        .get("faults"))
                .isEmpty();
    }

    @Test
    void sets_are_proposed_right_below_and_at_every_bound_and_come_to_what_they_promise(Scholion.Running school) {
        Lesson lesson = Lesson.written(school, "Sets");
        ObjectNode draft = Lesson.definition("Sets").asObject();
        JsonNode proposed = lesson.teacher
                .post(lesson.path("/trials/proposed"), only(draft))
                .ok();
        assertThat(proposed.valueStream().map(p -> p.get("name").stringValue()))
                .containsExactly(
                        "every answer right",
                        "no answers",
                        "just below 60%",
                        "exactly 60%",
                        "just below 70%",
                        "exactly 70%");
        ArrayNode trials = draft.putArray("trials");
        proposed.forEach(trials::add);
        JsonNode results =
                lesson.teacher.post(lesson.path("/trials"), only(draft)).ok();
        assertThat(results.get(0).get("percent").stringValue()).isEqualTo("100.0");
        assertThat(results.get(2).get("passed").booleanValue()).isFalse();
        assertThat(results.get(3).get("passed").booleanValue()).isTrue();
        assertThat(results.get(5).get("band").stringValue()).isEqualTo("Secure");
        assertThat(Double.parseDouble(results.get(4).get("percent").stringValue()))
                .isLessThan(70);
    }

    @Test
    void a_set_says_which_awards_it_would_get_and_none_while_an_answer_waits_for_its_reader(Scholion.Running school) {
        Lesson lesson = Lesson.written(school, "Sets with awards");
        ObjectNode draft = Lesson.definition("Sets with awards").asObject();
        draft.putArray("awards")
                .addObject()
                .put("id", "a1")
                .put("title", "Deckhand")
                .put("from", "50");
        JsonNode proposed = lesson.teacher
                .post(lesson.path("/trials/proposed"), only(draft))
                .ok();
        assertThat(proposed.valueStream().map(p -> p.get("name").stringValue()))
                .contains("just below 50%", "exactly 50%");
        ArrayNode trials = draft.putArray("trials");
        proposed.forEach(trials::add);
        trials.addObject().put("name", "unread").putObject("answers").put("q4", "Because the water drops.");
        for (JsonNode set :
                lesson.teacher.post(lesson.path("/trials"), only(draft)).ok()) {
            boolean reached = Double.parseDouble(set.get("percent").stringValue()) >= 50
                    && !set.get("provisional").booleanValue();
            assertThat(set.get("awards")).as("%s", set.get("name")).hasSize(reached ? 1 : 0);
        }
    }

    @Test
    void points_time_and_coverage_are_summed_also_of_a_key_that_is_not_finished(Scholion.Running school) {
        Lesson lesson = Lesson.written(school, "Sums");
        ObjectNode draft = Lesson.definition("Sums").asObject();
        draft.get("items")
                .get(0)
                .asObject()
                .put("points", "1/3")
                .put("minutes", "1.5")
                .remove("key");
        JsonNode sums = lesson.teacher.post(lesson.path("/sums"), only(draft)).ok();
        assertThat(sums.get("points").stringValue()).isEqualTo("28/3");
        assertThat(sums.get("minutes").stringValue()).isEqualTo("1.5");
        assertThat(sums.get("untimed").intValue()).isEqualTo(3);
        JsonNode ropework = sums.get("covered")
                .valueStream()
                .filter(c -> c.get("code").stringValue().equals("S"))
                .findFirst()
                .orElseThrow();
        assertThat(ropework.get("points").stringValue())
                .as("what is below counts above")
                .isEqualTo("2");
    }

    @Test
    void what_an_item_was_is_kept_from_change_to_change(Scholion.Running school) {
        Lesson lesson = Lesson.written(school, "History");
        ObjectNode draft = Lesson.definition("History").asObject();
        draft.get("items").get(0).asObject().put("prompt", "By a colleague");
        school.as("Halvard Quist").put(lesson.path("/key"), change(draft, 1)).ok();
        JsonNode history = lesson.teacher.get(lesson.path("/items/q1/history")).ok();
        assertThat(history.valueStream().map(v -> v.get("by").stringValue()))
                .containsExactly("Halvard Quist", "Aud Meller");
        assertThat(history.get(1).get("definition").get("prompt").stringValue())
                .isEqualTo("When is the range greatest?");
        assertThat(lesson.teacher.get(lesson.path("/key")).ok().get("changedBy").stringValue())
                .isEqualTo("Halvard Quist");
    }

    @Test
    void a_draw_that_is_made_once_leaves_its_number_and_everybody_gets_the_same(Scholion.Running school) {
        Lesson lesson = Lesson.written(school, "Draw once");
        lesson.teacher
                .put(lesson.path("/key"), change(withDraw("Draw once", "sitting"), 1))
                .ok();
        lesson.giveOut("A").ok();
        JsonNode key = lesson.teacher.get(lesson.path("/key")).ok();
        assertThat(key.get("definition").get("items")).hasSize(4 + 2);
        assertThat(items(lesson, school, "Tamsin Orrel")).isEqualTo(items(lesson, school, "Noor Haddix"));
    }

    @Test
    void a_draw_for_each_student_asks_each_so_many_and_leaves_the_rest_out_of_score_and_possible(
            Scholion.Running school, JdbcClient db) {
        Lesson lesson = Lesson.written(school, "Draw each");
        lesson.teacher
                .put(lesson.path("/key"), change(withDraw("Draw each", "student"), 1))
                .ok();
        lesson.giveOut("A").ok();
        TreeSet<String> drawn = new TreeSet<>();
        for (String name : List.of("Tamsin Orrel", "Noor Haddix", "Lotte Marrin", "Yuki Tarn")) {
            List<String> items = items(lesson, school, name);
            assertThat(items).hasSize(4 + 2);
            assertThat(items(lesson, school, name)).as("the same again").isEqualTo(items);
            drawn.addAll(items);
        }
        assertThat(drawn).as("not everybody gets the same two of six").hasSizeGreaterThan(6);
        lesson.sits("Tamsin Orrel", List.of("a"), "bowline", "10 nmi", null);
        String possible = db.sql("""
                        select s.possible from standing s join attempt x on x.id = s.attempt_id
                        join person p on p.id = x.student_id
                        where x.assessment_id = cast(? as uuid) and p.given = 'Tamsin'""").param(lesson.id).query(String.class).single();
        assertThat(possible).as("ten points and two drawn").isEqualTo("12");
    }

    @Test
    void an_item_that_not_everybody_was_drawn_is_examined_on_those_who_were_asked_it(Scholion.Running school) {
        Lesson lesson = Lesson.written(school, "Examined draws");
        lesson.teacher
                .put(lesson.path("/key"), change(withDraw("Examined draws", "student"), 1))
                .ok();
        lesson.giveOut("A").ok();
        Map<String, Integer> asked = new HashMap<>();
        for (String name : List.of("Tamsin Orrel", "Noor Haddix", "Lotte Marrin", "Yuki Tarn")) {
            for (String item : items(lesson, school, name)) {
                asked.merge(item, 1, Integer::sum);
                if (item.startsWith("d")) {
                    Lesson.answer(school.as(name), lesson.attempt(name), item, List.of("a"))
                            .ok();
                }
            }
            school.as(name)
                    .post("/api/student/attempts/" + lesson.attempt(name) + "/hand-in", null)
                    .ok();
        }
        JsonNode examined = lesson.teacher.get(lesson.path("/examine")).ok();
        assertThat(examined.get("possible").stringValue()).isEqualTo("12");
        for (JsonNode line : examined.get("items")) {
            String item = line.get("item").stringValue();
            JsonNode measures = line.get("measures");
            assertThat(measures.get("n").intValue()).as(item).isEqualTo(asked.getOrDefault(item, 0));
            if (item.startsWith("d") && asked.containsKey(item)) {
                assertThat(measures.get("difficulty").get("value").doubleValue())
                        .as("%s: whoever was asked it had it right", item)
                        .isEqualTo(1);
            }
        }
    }

    private static ObjectNode withDraw(String title, String each) {
        ObjectNode draft = Lesson.definition(title).asObject();
        for (int i = 0; i < 6; i++) {
            ObjectNode item = draft.get("items").get(0).deepCopy().asObject();
            item.put("id", "d" + i).put("draw", "d1").put("difficulty", "0." + (3 + i));
            draft.get("items").asArray().add(item);
        }
        draft.putArray("draws").addObject().put("id", "d1").put("take", 2).put("each", each);
        return draft;
    }

    private static List<String> items(Lesson lesson, Scholion.Running school, String name) {
        JsonNode paper = school.as(name)
                .get("/api/student/attempts/" + lesson.attempt(name))
                .ok();
        List<String> ids = new ArrayList<>();
        paper.get("items").forEach(i -> ids.add(i.get("id").stringValue()));
        return ids;
    }

    @Test
    void an_edition_is_compared_in_words_and_other_words_than_were_answered_are_asked_about(Scholion.Running school) {
        Lesson lesson =
                Lesson.given(school, "Compared", "A").sits("Tamsin Orrel", List.of("a"), "bowline", "10 nmi", null);
        ObjectNode changed = Lesson.definition("Compared").asObject();
        changed.get("items").get(0).asObject().put("prompt", "When is the range greatest ?");
        changed.get("items").get(1).asObject().put("points", "3");
        changed.get("items").get(2).asObject().put("prompt", "How far does she come in 2 h at 5 kn over ground?");
        JsonNode preview = lesson.teacher
                .post(lesson.path("/editions/preview"), lesson.change(changed, ""))
                .ok();
        assertThat(preview.get("differences")
                        .valueStream()
                        .map(d -> d.get("number").intValue() + " "
                                + d.get("words").stringValue()))
                .containsExactly(
                        "1 now asks “When is the range greatest ?” (was “When is the range greatest?”)",
                        "2 points: 3 (was 2)",
                        "3 now asks “How far does she come in 2 h at 5 kn over ground?” (was “How far in 2 h at 5 kn?”)");
        assertThat(preview.get("asked")).hasSize(1);
        assertThat(preview.get("asked").get(0).get("item").stringValue()).isEqualTo("q3");
        assertThat(preview.get("asked").get(0).get("answered").intValue()).isEqualTo(1);
    }

    @Test
    void students_keep_the_text_that_they_saw(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "Old text", "A");
        String attempt = lesson.attempt("Noor Haddix");
        ObjectNode changed = Lesson.definition("Old text").asObject();
        changed.get("items").get(0).asObject().put("prompt", "Quite another question?");
        lesson.teacher
                .post(lesson.path("/editions"), lesson.change(changed, "typo"))
                .ok();
        assertThat(school.as("Noor Haddix")
                        .get("/api/student/attempts/" + attempt)
                        .body())
                .contains("When is the range greatest?")
                .doesNotContain("Quite another question?");
        assertThat(school.as("Yuki Tarn")
                        .get("/api/student/attempts/" + lesson.attempt("Yuki Tarn"))
                        .body())
                .contains("Quite another question?");
    }

    @Test
    void a_filled_in_attempt_becomes_the_key_only_after_it_is_shown_what_it_means(Scholion.Running school) {
        Lesson lesson =
                Lesson.given(school, "Key from", "A").sits("Noor Haddix", List.of("b"), "sheet bend", "12 nmi", null);
        JsonNode sources = lesson.teacher.get(lesson.path("/key-from")).ok();
        Map<String, Object> body = new HashMap<>(only(Lesson.definition("Key from")));
        body.put("attempt", sources.get(0).get("attempt").stringValue());
        JsonNode taken = lesson.teacher.post(lesson.path("/key-from"), body).ok();
        assertThat(taken.get("changes").toString())
                .contains("key: At neaps (was At springs)", "accepted: sheet bend, bowline (was bowline)", "12");
        assertThat(taken.get("kept").toString())
                .as("the open one is read by hand")
                .isEqualTo("[4]");
        assertThat(taken.get("definition")
                        .get("items")
                        .get(2)
                        .get("accept")
                        .get(0)
                        .get("within")
                        .stringValue())
                .as("the tolerance stays")
                .isEqualTo("0.1");
        assertThat(lesson.mark("Noor Haddix", "q1").get("points").stringValue())
                .as("nothing happens by looking")
                .isEqualTo("0");
    }

    @Test
    void pictures_are_kept_once_and_what_is_none_or_too_large_is_refused_in_words(Scholion.Running school) {
        Visitor aud = school.as("Aud Meller");
        byte[] png = new byte[200];
        System.arraycopy(new byte[] {(byte) 0x89, 'P', 'N', 'G', '\r', '\n', 0x1a, '\n'}, 0, png, 0, 8);
        String id = aud.sendBytes("/api/files", "a.png", png).ok().get("id").stringValue();
        assertThat(aud.sendBytes("/api/files", "b.png", png).ok().get("id").stringValue())
                .isEqualTo(id);
        aud.get("/api/files/" + id).ok200();
        assertThat(aud.sendFile("/api/files", "just words").isRefused(422).detail())
                .contains("is no file that is taken here");
        byte[] large = new byte[30_000_000];
        System.arraycopy(png, 0, large, 0, 8);
        assertThat(aud.sendBytes("/api/files", "sea.png", large).isRefused(422).detail())
                .contains("'sea.png' has 30 MB; a picture may have 10");
    }

    @Test
    void pictures_travel_inside_the_assessment_file_and_bytes_under_a_false_name_are_refused(
            Scholion.Running school, JdbcClient db) {
        Visitor aud = school.as("Aud Meller");
        byte[] png = new byte[300];
        System.arraycopy(new byte[] {(byte) 0x89, 'P', 'N', 'G', '\r', '\n', 0x1a, '\n', 7}, 0, png, 0, 9);
        String id = aud.sendBytes("/api/files", "a.png", png).ok().get("id").stringValue();
        Lesson lesson = Lesson.written(school, "Pictured");
        ObjectNode draft = Lesson.definition("Pictured").asObject();
        draft.get("items").get(0).asObject().put("body", "<p><img src=\"/api/files/" + id + "\" alt=\"a buoy\"></p>");
        lesson.teacher.put(lesson.path("/key"), change(draft, 1)).ok();
        String file = aud.get(lesson.path("/file")).body();
        db.sql("delete from file_use where file_id = ?").param(id).update();
        db.sql("delete from file where id = ?").param(id).update();
        assertThat(aud.get("/api/files/" + id).status()).isEqualTo(404);

        String course = aud.get("/api/courses").ok().get(0).get("id").stringValue();
        String way = "/api/courses/" + course + "/assessment-file";
        assertThat(aud.sendFile(way, file.replace("\"id\" : \"" + id, "\"id\" : \"" + "0".repeat(64)))
                        .isRefused(422)
                        .detail())
                .contains("files[0].id: this is not the SHA-256 of its bytes");
        assertThat(aud.get("/api/files/" + id).status())
                .as("nothing is half done")
                .isEqualTo(404);
        aud.sendFile(way, file).ok();
        assertThat(aud.get("/api/files/" + id).status()).isEqualTo(200);
    }

    @Test
    void a_script_in_what_is_asked_is_named_and_no_student_ever_gets_it(Scholion.Running school) {
        Lesson lesson = Lesson.written(school, "Script");
        ObjectNode draft = Lesson.definition("Script").asObject();
        draft.get("items").get(0).asObject().put("body", "<p>x</p><script>steal()</script>");
        assertThat(lesson.teacher
                        .put(lesson.path("/key"), change(draft, 1))
                        .ok()
                        .get("faults")
                        .toString())
                .contains("items[0].body", "a script cannot stand in a text");
        lesson.giveOut("A").isRefused(422);
    }

    @Test
    void a_table_of_questions_is_read_in_any_order_of_columns_and_nothing_is_stored(Scholion.Running school) {
        Lesson lesson = Lesson.written(school, "Table");
        JsonNode found = lesson.teacher
                .sendFile(
                        lesson.path("/questions-in"),
                        "points;correct answer;B;A;question\n2;B;sun and moon;sun;What makes a spring tide?\n")
                .ok();
        assertThat(found.get("columns").valueStream().map(c -> c.get("role").stringValue()))
                .containsExactly("POINTS", "KEY", "OPTION", "OPTION", "PROMPT");
        assertThat(found.get("items").get(0).get("faults")).isEmpty();
        JsonNode options = found.get("items").get(0).get("item").get("options");
        assertThat(options.valueStream()
                        .map(o ->
                                o.get("id").stringValue() + " " + o.get("text").stringValue()))
                .containsExactly("a sun", "b sun and moon");
        assertThat(lesson.teacher
                        .post(lesson.path("/questions-text"), Map.of("text", "? Which knot?\n! bowline"))
                        .ok()
                        .get("items"))
                .hasSize(1);
        assertThat(lesson.teacher
                        .get(lesson.path("/key"))
                        .ok()
                        .get("definition")
                        .get("items"))
                .hasSize(4);
    }

    @Test
    void a_person_says_how_a_file_of_questions_is_to_be_read(Scholion.Running school) {
        Lesson lesson = Lesson.written(school, "Two ways to read it");
        String csv = "Long title\nquestion;answer;remark\nHow long is a mile?;1,852;sea\n";
        JsonNode found =
                lesson.teacher.sendFile(lesson.path("/questions-in"), csv).ok();
        assertThat(found.get("asksMark").booleanValue()).isTrue();
        assertThat(found.get("notes").get(0).stringValue()).contains("Line 1 stands above the heading");
        assertThat(found.get("items").get(0).get("faults").toString()).contains("can be read as 1852 or as 1.852");
        Map<String, Object> how = Map.of("encoding", "", "separator", "", "sheet", 0);
        Map<String, Object> said = Map.of("how", how, "said", Map.of("roles", Map.of("2", "TAGS"), "mark", "COMMA"));
        JsonNode item = lesson.teacher
                .sendFile(lesson.path("/questions-in"), csv, said)
                .ok()
                .get("items")
                .get(0);
        assertThat(item.get("faults")).isEmpty();
        assertThat(item.get("item").get("accept").get(0).get("value").stringValue())
                .isEqualTo("1.852");
        assertThat(item.get("item").get("tags").get(0).stringValue()).isEqualTo("sea");
        lesson.teacher
                .sendFile(lesson.path("/questions-in"), csv, Map.of("how", how, "nobody", "sends"))
                .isRefused(422);
    }

    @Test
    void feedback_for_right_and_wrong_comes_back_with_the_result(Scholion.Running school) {
        Lesson lesson = Lesson.written(school, "Feedback");
        ObjectNode draft = Lesson.definition("Feedback").asObject();
        draft.get("items")
                .get(0)
                .asObject()
                .putObject("feedback")
                .put("right", "<p>Yes.</p>")
                .put("wrong", "<p>Look at the <em>moon</em>.</p>");
        lesson.teacher.put(lesson.path("/key"), change(draft, 1)).ok();
        lesson.giveOut("A").ok();
        lesson.sits("Noor Haddix", List.of("b"), "bowline", "10 nmi", null);
        Map<String, Object> sees = Map.of("score", true, "marks", true, "answers", true, "notes", true, "keys", false);
        JsonNode page = lesson.teacher
                .post(
                        "/api/attempts/" + lesson.attempt("Noor Haddix") + "/result/preview",
                        Map.of("sees", sees, "messages", List.of()))
                .ok();
        assertThat(page.get("items").get(0).get("feedback").stringValue())
                .isEqualTo("<p>Look at the <em>moon</em>.</p>");
        assertThat(page.get("items").get(1).has("feedback")).isFalse();
    }

    @Test
    void paper_and_key_print_as_pdf(Scholion.Running school) {
        Lesson lesson = Lesson.written(school, "Print");
        for (String which : List.of("?answers=false", "?answers=true&version=2")) {
            Visitor.Reply reply = lesson.teacher.get(lesson.path("/print" + which));
            assertThat(reply.status()).isEqualTo(200);
            assertThat(reply.body()).startsWith("%PDF-");
        }
        lesson.teacher.get(lesson.path("/print?version=99")).isRefused(422);
    }
}
