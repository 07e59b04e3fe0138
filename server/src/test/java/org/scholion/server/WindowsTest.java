package org.scholion.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.scholion.server.ledger.Standings;
import org.scholion.server.ledger.Turns;
import org.scholion.server.testing.Counting;
import org.scholion.server.testing.Counting.Cost;
import org.scholion.server.testing.Crowd;
import org.scholion.server.testing.Lesson;
import org.scholion.server.testing.Scholion;
import org.scholion.server.testing.Visitor;
import org.springframework.jdbc.core.simple.JdbcClient;
import tools.jackson.databind.JsonNode;

/** Long lists come in parts, and a page asks as often among many as among few. */
@ExtendWith(Scholion.class)
class WindowsTest {
    private static final Map<String, Object> SEES =
            Map.of("score", true, "marks", true, "answers", true, "notes", true, "keys", false);

    /** What each page of an assessment costs. */
    private static Map<String, Cost> pages(Scholion.Running school, String title, int crowd) {
        Lesson lesson = Lesson.given(school, title, "A").sits("Tamsin Orrel", List.of("a"), "shet bend", "9", "First.");
        Crowd.at(school, lesson, "A", crowd);
        lesson.handsBack("Tamsin Orrel").ok();
        String attempt = Crowd.attempts(school, lesson).get(0);
        String item = "?item=q2";
        Counting counting = school.bean(Counting.class);
        Map<String, Cost> costs = new LinkedHashMap<>();
        for (String path : List.of(
                lesson.path(""),
                lesson.path("/key"),
                lesson.path("/collect"),
                lesson.path("/late"),
                lesson.path("/doubts"),
                lesson.path("/doubts/decided" + item),
                lesson.path("/doubts/learned" + item),
                lesson.path("/readings"),
                lesson.path("/readings?names=true"),
                lesson.path("/readings?byStudent=true"),
                lesson.path("/readings/q4/how"),
                lesson.path("/readings/q4/hint-plan"),
                lesson.path("/readings/q4/examples"),
                lesson.path("/readings/q4/" + attempt + "/hints?names=true"),
                lesson.path("/readings/q4/" + attempt + "/earlier?names=true"),
                lesson.path("/readings/q4/" + attempt + "/paper?names=true"),
                lesson.path("/readings/readers"),
                lesson.path("/examine"),
                lesson.path("/examine/students"),
                lesson.path("/examine/questions/q2"),
                lesson.path("/examine/sections"),
                lesson.path("/hand-back"),
                lesson.path("/key-from"),
                lesson.path("/typed"),
                lesson.path("/brought-in"),
                lesson.path("/about"),
                lesson.path("/as-student"),
                lesson.path("/so-far/q2"),
                lesson.path("/items/q2/earlier-answers"),
                lesson.path("/readings/q4/" + attempt + "/drawn?names=true"),
                "/api/attempts/" + attempt + "/drawn/q4",
                "/api/attempts/" + attempt + "/trace",
                "/api/sittings/" + lesson.sitting(),
                "/api/desk",
                "/api/queries",
                "/api/courses",
                "/api/find?words=tide")) {
            Runnable get = () -> lesson.teacher.get(path).ok();
            // What is compiled or cached once is no part of what a page costs.
            get.run();
            costs.put(
                    path.replace(lesson.id, "…").replace(attempt, "…").replace(lesson.sitting(), "…"),
                    counting.of(get));
        }
        return costs;
    }

    @Test
    void a_page_asks_the_database_as_often_with_three_hundred_attempts_as_with_thirty(Scholion.Running school) {
        Map<String, Cost> few = pages(school, "Thirty", 30);
        Map<String, Cost> many = pages(school, "Three hundred", 300);
        assertThat(few).hasSize(37);
        few.forEach(
                (page, cost) -> assertThat(many.get(page).statements()).as(page).isEqualTo(cost.statements()));
    }

    @Test
    void answers_to_read_come_a_hundred_at_a_time_each_once_and_the_first_unread_first(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "To be read", "A");
        Crowd.at(school, lesson, "A", 230);
        Set<String> seen = new HashSet<>();
        List<UUID> order = new ArrayList<>();
        for (int from : new int[] {0, 100, 200}) {
            JsonNode view =
                    lesson.teacher.get(lesson.path("/readings?from=" + from)).ok();
            assertThat(view.get("from").intValue()).isEqualTo(from);
            assertThat(view.get("answers")).hasSize(from == 200 ? 30 : 100);
            view.get("answers").forEach(a -> {
                seen.add(a.get("answer").stringValue());
                order.add(UUID.fromString(a.get("answer").stringValue()));
            });
            assertThat(view.get("questions").get(0).get("unread").intValue()).isEqualTo(230);
        }
        assertThat(seen).hasSize(230);
        assertThat(order).isSorted();
        JsonNode around = lesson.teacher.get(lesson.path("/readings?from=137")).ok();
        assertThat(around.get("from").intValue()).isEqualTo(100);
        // Once the first hundred are read, the page begins with the next.
        JsonNode first = lesson.teacher.get(lesson.path("/readings")).ok();
        first.get("answers").forEach(a -> read(lesson, a));
        JsonNode next = lesson.teacher.get(lesson.path("/readings")).ok();
        assertThat(next.get("from").intValue()).isEqualTo(100);
        assertThat(next.get("questions").get(0).get("unread").intValue()).isEqualTo(130);
        lesson.teacher.get(lesson.path("/readings?from=-5")).ok();
        lesson.teacher.get(lesson.path("/readings?from=100000")).ok();
    }

    private static void read(Lesson lesson, JsonNode answer) {
        Map<String, Object> reading = new HashMap<>(Map.of(
                "levels",
                Map.of("c1", "1", "c2", "0"),
                "comment",
                "",
                "note",
                "",
                "hold",
                false,
                "saw",
                answer.get("saw").stringValue()));
        lesson.teacher
                .put(lesson.path("/readings/q4/" + answer.get("answer").stringValue()), reading)
                .ok();
    }

    @Test
    void a_great_many_doubts_show_the_question_that_is_looked_at_and_name_the_others(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "All different", "A");
        Crowd.at(school, lesson, "A", 260);
        JdbcClient db = school.bean(JdbcClient.class);
        for (String item : List.of("q2", "q3")) {
            db.sql("""
                            update response r set answer = to_jsonb('no ' || n.n || ' of ' || :item)
                            from (select x.id, row_number() over (order by x.id) n from attempt x where x.assessment_id = :id) n
                            where n.id = r.attempt_id and r.item = :item""")
                    .param("item", item)
                    .param("id", UUID.fromString(lesson.id))
                    .update();
        }
        db.sql("update mark m set state = 'SETTLE', numerator = 0 from attempt x where x.id = m.attempt_id"
                        + " and m.item = 'q3' and x.assessment_id = :id")
                .param("id", UUID.fromString(lesson.id))
                .update();
        db.sql("update standing s set tally = null from attempt x where x.id = s.attempt_id and x.assessment_id = :id")
                .param("id", UUID.fromString(lesson.id))
                .update();
        refresh(school, lesson);
        JsonNode view = lesson.teacher.get(lesson.path("/doubts")).ok();
        assertThat(view.get("doubts").intValue()).isEqualTo(520);
        JsonNode q2 = view.get("questions").get(0);
        JsonNode q3 = view.get("questions").get(1);
        assertThat(q2.get("waiting").intValue()).isEqualTo(260);
        assertThat(q2.get("groups")).hasSize(200);
        assertThat(q3.get("waiting").intValue()).isEqualTo(260);
        assertThat(q3.get("groups")).hasSize(4);
        JsonNode other =
                lesson.teacher.get(lesson.path("/doubts?item=q3&groups=400")).ok();
        assertThat(other.get("questions").get(0).get("groups")).hasSize(4);
        assertThat(other.get("questions").get(1).get("groups")).hasSize(260);
    }

    private static void refresh(Scholion.Running school, Lesson lesson) {
        UUID id = UUID.fromString(lesson.id);
        school.bean(Turns.class).whole(id, () -> {
            school.bean(Standings.class).refresh(id);
            return id;
        });
    }

    @Test
    void a_group_of_very_many_is_decided_at_once_and_only_those_that_were_seen(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "The same answer", "A");
        Crowd.at(school, lesson, "A", 120);
        JsonNode group = doubt(lesson);
        assertThat(group.get("count").intValue()).isEqualTo(120);
        assertThat(group.get("students")).hasSize(30);
        assertThat(group.get("saw")).hasSize(1);
        // One more comes in with the same answer, and was not seen.
        lesson.sits("Tamsin Orrel", null, "sheet bend", null, null);
        Map<String, Object> these = decision(group, "THESE", "1/2");
        assertThat(lesson.teacher
                        .post(lesson.path("/doubts"), these)
                        .ok()
                        .get("effect")
                        .get("marks")
                        .intValue())
                .isEqualTo(120);
        assertThat(doubt(lesson).get("count").intValue()).isEqualTo(1);
        // What was seen is decided by now.
        lesson.teacher.post(lesson.path("/doubts"), these).isRefused(409);
        Map<String, Object> madeUp = new HashMap<>(these);
        for (String saw : List.of("together.121.aaaaaaaaaaaa", "together.x.y", "together.999999999.a", "together.")) {
            madeUp.put("saw", List.of(saw));
            lesson.teacher.post(lesson.path("/doubts"), madeUp).isRefused(409);
        }
    }

    /** The first group of the question about the knot. */
    private static JsonNode doubt(Lesson lesson) {
        return lesson.teacher
                .get(lesson.path("/doubts"))
                .ok()
                .get("questions")
                .get(0)
                .get("groups")
                .get(0);
    }

    private static Map<String, Object> decision(JsonNode group, String reach, String credit) {
        Map<String, Object> decision = new HashMap<>();
        decision.put("item", "q2");
        decision.put("form", group.get("form").stringValue());
        decision.put("credit", credit);
        decision.put("reach", reach);
        decision.put("phrase", null);
        decision.put("note", null);
        decision.put("section", null);
        decision.put("saw", Lesson.plain(group.get("saw")));
        return decision;
    }

    @Test
    void very_many_are_handed_back_to_by_groups_but_for_some_and_not_to_others_than_were_seen(Scholion.Running school)
            throws InterruptedException {
        Lesson lesson = Lesson.given(school, "By groups", "A");
        Crowd.at(school, lesson, "A", 230);
        JsonNode view = lesson.teacher.get(lesson.path("/hand-back")).ok();
        assertThat(view.get("all").intValue()).isEqualTo(230);
        assertThat(view.get("students")).hasSize(200);
        assertThat(lesson.teacher.get(lesson.path("/hand-back?from=200")).ok().get("students"))
                .hasSize(30);
        JsonNode one = view.get("students").get(7);
        String name = one.get("name").stringValue().replace(" ", "%20");
        assertThat(lesson.teacher
                        .get(lesson.path("/hand-back?words=" + name))
                        .ok()
                        .get("students")
                        .get(0)
                        .get("attempt"))
                .isEqualTo(one.get("attempt"));
        assertThat(groups(view)).isEqualTo(Map.of("UNDECIDED", 230));

        Map<String, Object> wanted = new HashMap<>();
        wanted.put("attempts", List.of());
        wanted.put("groups", List.of("UNDECIDED"));
        wanted.put("except", List.of(one.get("attempt").stringValue()));
        wanted.put("section", null);
        wanted.put("expected", 230);
        wanted.put("sees", SEES);
        wanted.put("messages", List.of());
        lesson.teacher.post(lesson.path("/hand-back"), wanted).isRefused(409);
        wanted.put("expected", 229);
        JsonNode begun = lesson.teacher.post(lesson.path("/hand-back"), wanted).ok();
        waitFor(lesson, begun.get("job").stringValue());
        JsonNode after = lesson.teacher.get(lesson.path("/hand-back")).ok();
        assertThat(groups(after)).isEqualTo(Map.of("UNDECIDED", 1, "UNCHANGED", 229));
    }

    @Test
    void whether_very_many_results_have_changed_is_found_out_in_the_background_and_then_known(Scholion.Running school)
            throws InterruptedException {
        Lesson lesson = Lesson.given(school, "Changed by the key", "A");
        Crowd.at(school, lesson, "A", 240);
        Map<String, Object> wanted = new HashMap<>();
        wanted.put("attempts", List.of());
        wanted.put("groups", List.of("UNDECIDED"));
        wanted.put("except", List.of());
        wanted.put("section", null);
        wanted.put("expected", null);
        wanted.put("sees", SEES);
        wanted.put("messages", List.of());
        waitFor(
                lesson,
                lesson.teacher
                        .post(lesson.path("/hand-back"), wanted)
                        .ok()
                        .get("job")
                        .stringValue());
        // Another wording moves no mark; another key of the first question moves all.
        JsonNode key = Lesson.definition("Changed by the key");
        key.get("items").get(3).asObject().put("prompt", "Why does the stream run as it does?");
        change(lesson, key, 1);
        assertThat(settled(lesson)).isEqualTo(Map.of("UNCHANGED", 240));
        key.get("items").get(0).asObject().putArray("key").add("b");
        change(lesson, key, 2);
        assertThat(settled(lesson)).isEqualTo(Map.of("CHANGED_UNDECIDED", 240));
    }

    private static void change(Lesson lesson, JsonNode definition, int edition) {
        lesson.teacher
                .post(
                        lesson.path("/editions"),
                        Map.of("definition", Lesson.plain(definition), "why", "", "edition", edition))
                .ok();
    }

    /** The groups once nothing is being compared any more. */
    private static Map<String, Integer> settled(Lesson lesson) throws InterruptedException {
        Map<String, Integer> groups =
                groups(lesson.teacher.get(lesson.path("/hand-back")).ok());
        for (int i = 0; i < 200 && groups.containsKey("COMPARING"); i++) {
            Thread.sleep(100);
            groups = groups(lesson.teacher.get(lesson.path("/hand-back")).ok());
        }
        return groups;
    }

    private static Map<String, Integer> groups(JsonNode view) {
        Map<String, Integer> groups = new HashMap<>();
        view.get("groups")
                .forEach(g -> groups.put(
                        g.get("group").stringValue(), g.get("students").intValue()));
        return groups;
    }

    private static void waitFor(Lesson lesson, String job) throws InterruptedException {
        Visitor teacher = lesson.teacher;
        for (int i = 0; i < 300; i++) {
            String state = teacher.get("/api/jobs/" + job).ok().get("state").stringValue();
            if (!state.equals("RUNNING")) {
                assertThat(state).isEqualTo("DONE");
                return;
            }
            Thread.sleep(100);
        }
        throw new AssertionError("the work does not end");
    }
}
