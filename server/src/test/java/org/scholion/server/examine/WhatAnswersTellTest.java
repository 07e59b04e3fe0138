package org.scholion.server.examine;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.scholion.server.testing.Colleague;
import org.scholion.server.testing.Lesson;
import org.scholion.server.testing.Scholion;
import org.scholion.server.testing.Visitor;
import tools.jackson.databind.JsonNode;

@ExtendWith(Scholion.class)
class WhatAnswersTellTest {
    @Test
    void every_student_has_a_cell_for_every_question_and_the_score_of_the_gradebook(Scholion.Running school) {
        Lesson lesson = Lesson.withAWrongKey(school, "A cell an answer", "A");
        JsonNode view = lesson.teacher.get(lesson.path("/examine/students")).ok();
        assertThat(view.get("questions").valueStream().map(q -> q.get("number").intValue()))
                .containsExactly(1, 2, 3, 4);
        JsonNode tamsin = row(view, "Orrel");
        assertThat(tamsin.get("cells").stringValue())
                .as("wrong, right, right, to read")
                .isEqualTo("nffr");
        assertThat(row(view, "Marrin").get("cells").stringValue()).isEqualTo("fbnb");
        assertThat(row(view, "Quayle").get("cells").stringValue())
                .as("a doubt waits")
                .isEqualTo("nsnb");
        String attempt = tamsin.get("attempt").stringValue();
        JsonNode trace =
                lesson.teacher.get("/api/attempts/" + attempt + "/trace").ok();
        assertThat(tamsin.get("percent").stringValue())
                .isEqualTo(trace.get("standing").get("percent").stringValue());
        assertThat(tamsin.get("provisional").booleanValue()).isTrue();
    }

    private static JsonNode row(JsonNode view, String family) {
        return view.get("students")
                .valueStream()
                .filter(s -> s.get("family").stringValue().equals(family))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void a_question_lists_its_answers_by_frequency_in_full_with_what_each_got(Scholion.Running school) {
        Lesson lesson = Lesson.withAWrongKey(school, "By frequency", "A");
        JsonNode view = lesson.teacher.get(lesson.path("/examine/questions/q2")).ok();
        assertThat(view.get("asked").intValue()).isEqualTo(4);
        assertThat(view.get("answered").intValue()).isEqualTo(3);
        assertThat(view.get("groups").valueStream().map(g -> g.get("shown").stringValue()))
                .containsExactly("bowline", "clove hitch");
        JsonNode bowline = view.get("groups").get(0);
        assertThat(bowline.get("points").stringValue()).isEqualTo("2");
        assertThat(bowline.get("figures").get("count").intValue()).isEqualTo(2);
        assertThat(bowline.get("figures").get("share").get("value").doubleValue())
                .isEqualTo(0.5);
        assertThat(bowline.get("figures").get("keyed").booleanValue()).isTrue();
        assertThat(view.get("groups").get(1).get("state").stringValue()).isEqualTo("settle");
    }

    @Test
    void typed_numbers_come_as_places_on_a_line_beside_what_is_accepted(Scholion.Running school) {
        Lesson lesson = Lesson.withAWrongKey(school, "On a line", "A");
        JsonNode line =
                lesson.teacher.get(lesson.path("/examine/questions/q3")).ok().get("line");
        assertThat(line.get("numbers").valueStream().map(n -> n.get("value").stringValue()))
                .containsExactly("7", "10");
        assertThat(line.get("accepted").get(0).get("shown").stringValue()).isEqualTo("10 ± 0.1");
        assertThat(line.get("numbers").get(0).get("count").intValue()).isEqualTo(3);
    }

    @Test
    void an_open_question_counts_its_levels_as_they_are_read(Scholion.Running school) {
        Lesson lesson = Lesson.withAWrongKey(school, "Levels counted", "A");
        lesson.reads(
                        "Tamsin Orrel",
                        "q4",
                        Map.of("levels", Map.of("c1", "1", "c2", "0"), "comment", "", "note", "", "hold", false))
                .ok();
        JsonNode criteria =
                lesson.teacher.get(lesson.path("/examine/questions/q4")).ok().get("criteria");
        assertThat(criteria.get(0)
                        .get("levels")
                        .valueStream()
                        .map(l -> l.get("count").intValue()))
                .containsExactly(0, 1);
        assertThat(criteria.get(1)
                        .get("levels")
                        .valueStream()
                        .map(l -> l.get("count").intValue()))
                .containsExactly(1, 0);
    }

    @Test
    void a_wrong_key_is_mended_from_its_flag_and_the_promised_effect_is_what_happens(Scholion.Running school) {
        Lesson lesson = Lesson.withAWrongKey(school, "A key mended", "A");
        JsonNode item =
                lesson.teacher.get(lesson.path("/examine")).ok().get("items").get(0);
        assertThat(item.get("flags").valueStream().map(f -> f.get("flag").stringValue()))
                .contains("key");
        assertThat(item.get("flags").get(0).get("remedies").valueStream().map(JsonNode::stringValue))
                .contains("ACCEPT_ALSO", "DROP");
        Map<String, Object> remedy = Map.of("what", "ACCEPT_ALSO", "item", "q1", "option", "b", "edition", 1);
        JsonNode promised = lesson.teacher
                .post(lesson.path("/examine/remedies/preview"), remedy)
                .ok();
        assertThat(promised.get("effect").get("up").intValue()).isEqualTo(3);
        assertThat(promised.get("words").stringValue()).isEqualTo("question 1 accepts “At neaps” too");
        assertThat(lesson.edition()).as("only looked at").isEqualTo(1);

        JsonNode done =
                lesson.teacher.post(lesson.path("/examine/remedies"), remedy).ok();
        assertThat(done.get("edition").intValue()).isEqualTo(2);
        assertThat(done.get("effect").get("moves"))
                .isEqualTo(promised.get("effect").get("moves"));
        JsonNode after = lesson.teacher.get(lesson.path("/examine")).ok();
        assertThat(after.get("test").get("alpha"))
                .as("the reliability that was promised")
                .isEqualTo(promised.get("reliability").get("after"));
        assertThat(after.get("items").get(0).get("measures").get("itemRest"))
                .isEqualTo(promised.get("reliability").get("restAfter"));
        assertThat(after.get("items")
                        .get(0)
                        .get("measures")
                        .get("difficulty")
                        .get("value")
                        .doubleValue())
                .isEqualTo(1.0);

        lesson.undo().ok();
        assertThat(lesson.teacher
                        .get(lesson.path("/examine"))
                        .ok()
                        .get("items")
                        .get(0)
                        .get("measures")
                        .get("difficulty")
                        .get("value")
                        .doubleValue())
                .isEqualTo(0.25);
    }

    @Test
    void each_remedy_says_what_it_does_and_does_it(Scholion.Running school) {
        Lesson lesson = Lesson.withAWrongKey(school, "Every remedy", "A");
        assertThat(words(lesson, Map.of("what", "CHANGE_KEY", "item", "q1", "option", "b")))
                .isEqualTo("question 1: “At neaps” is right instead");
        assertThat(words(lesson, Map.of("what", "DROP", "item", "q1"))).isEqualTo("question 1 is dropped for everyone");
        assertThat(lesson.teacher
                        .get(lesson.path("/examine"))
                        .ok()
                        .get("possible")
                        .stringValue())
                .isEqualTo("9");
        assertThat(words(lesson, Map.of("what", "CREDIT_ALL", "item", "q1")))
                .isEqualTo("question 1 gives full points to everyone");
        assertThat(words(lesson, Map.of("what", "CREDIT_ANSWERED", "item", "q2")))
                .isEqualTo("question 2 gives full points to everyone who answered it");
        assertThat(words(lesson, Map.of("what", "BONUS", "item", "q3"))).isEqualTo("question 3 counts as a bonus");
        assertThat(words(lesson, Map.of("what", "AS_USUAL", "item", "q3")))
                .isEqualTo("question 3 counts by its points again");
        assertThat(words(lesson, Map.of("what", "POINTS", "item", "q2", "amount", "1,5")))
                .isEqualTo("question 2 is worth 1.5 instead of 2");
        String before = percentOf(lesson, "Marrin");
        assertThat(words(lesson, Map.of("what", "ADD", "amount", "5"))).isEqualTo("+5 percentage points for everyone");
        assertThat(Double.parseDouble(percentOf(lesson, "Marrin")) - Double.parseDouble(before))
                .isEqualTo(5.0);
        assertThat(lesson.teacher
                        .get(lesson.path("/editions"))
                        .ok()
                        .get(0)
                        .get("why")
                        .stringValue())
                .isEqualTo("+5 percentage points for everyone");
    }

    private static String percentOf(Lesson lesson, String family) {
        return row(lesson.teacher.get(lesson.path("/examine/students")).ok(), family)
                .get("percent")
                .stringValue();
    }

    private static String words(Lesson lesson, Map<String, Object> remedy) {
        Map<String, Object> whole = new java.util.HashMap<>(remedy);
        whole.put("edition", lesson.edition());
        return lesson.teacher
                .post(lesson.path("/examine/remedies"), whole)
                .ok()
                .get("words")
                .stringValue();
    }

    @Test
    void a_remedy_that_cannot_be_names_the_place_and_changes_nothing(Scholion.Running school) {
        Lesson lesson = Lesson.withAWrongKey(school, "No such remedy", "A");
        for (Map<String, Object> wrong : List.<Map<String, Object>>of(
                Map.of("what", "ACCEPT_ALSO", "item", "q1", "option", "z", "edition", 1),
                Map.of("what", "ACCEPT_ALSO", "item", "q1", "option", "a", "edition", 1),
                Map.of("what", "ACCEPT_ALSO", "item", "q2", "option", "a", "edition", 1),
                Map.of("what", "POINTS", "item", "q1", "amount", "-1", "edition", 1),
                Map.of("what", "POINTS", "item", "q1", "amount", "1e999999999", "edition", 1),
                Map.of("what", "ADD", "amount", "1000", "edition", 1),
                Map.of("what", "ADD", "edition", 1))) {
            Visitor.Reply reply = lesson.teacher.post(lesson.path("/examine/remedies"), wrong);
            assertThat(reply.status()).as(wrong.toString()).isEqualTo(422);
        }
        assertThat(lesson.teacher
                        .post(lesson.path("/examine/remedies"), Map.of("what", "DROP", "item", "q9", "edition", 1))
                        .status())
                .isEqualTo(404);
        assertThat(lesson.teacher
                        .post(lesson.path("/examine/remedies"), Map.of("what", "DROP", "item", "q1", "edition", 7))
                        .status())
                .as("looked at another edition")
                .isEqualTo(409);
        assertThat(lesson.edition()).isEqualTo(1);
    }

    @Test
    void sections_are_compared_with_intervals_and_question_by_question(Scholion.Running school) {
        Lesson lesson = Lesson.withAWrongKey(school, "Side by side", "A", "B")
                .sits("Kofi Sande", List.of("a"), "bowline", "10 nmi", null)
                .sits("Rosa Ellery", List.of("a"), "bowline", "10", null);
        JsonNode view = lesson.teacher.get(lesson.path("/examine/sections")).ok();
        assertThat(view.get("sections").valueStream().map(s -> s.get("section").stringValue()))
                .containsExactly("Section A", "Section B");
        JsonNode b = view.get("sections").get(1);
        assertThat(b.get("mean").get("value").doubleValue()).as("5 and 4").isEqualTo(4.5);
        assertThat(b.get("range").get("low").get("value").doubleValue()).isLessThan(4.5);
        JsonNode first = view.get("questions").get(0);
        assertThat(first.get("inSections")
                        .valueStream()
                        .map(s -> s.get("mean").get("value").doubleValue()))
                .containsExactly(0.25, 1.0);
        assertThat(first.get("differences").get(0).get("second").stringValue()).isEqualTo("Section B");
        double difference =
                view.get("differences").get(0).get("difference").get("value").doubleValue();
        assertThat(difference)
                .isEqualTo(view.get("sections").get(0).get("mean").get("value").doubleValue() - 4.5);
    }

    @Test
    void what_is_undecided_and_left_out_is_counted_and_a_band_has_its_threshold(Scholion.Running school) {
        Lesson lesson = Lesson.withAWrongKey(school, "Undecided counted", "A");
        JsonNode view = lesson.teacher.get(lesson.path("/examine")).ok();
        assertThat(view.get("undecided").intValue())
                .as("an answer to read and a doubt")
                .isEqualTo(2);
        assertThat(view.get("couldAdd").stringValue()).as("(5 + 2) / 4").isEqualTo("1.75");
        assertThat(view.get("noAnswer").intValue()).isEqualTo(4);
        assertThat(view.get("asked").intValue()).isEqualTo(16);
        assertThat(view.get("thresholds").valueStream().map(b -> b.get("from").stringValue()))
                .as("the pass mark, then the bands above the lowest")
                .containsExactly("60", "70");
        assertThat(view.get("thresholds").get(1).get("tenth").intValue()).isEqualTo(7);
        assertThat(view.get("time").get("n").intValue()).isEqualTo(4);
    }

    @Test
    void a_colleague_and_a_student_examine_nothing(Scholion.Running school) {
        Lesson lesson = Lesson.withAWrongKey(school, "Not theirs to examine", "A");
        Visitor colleague = Colleague.called(school, "Wilma").visitor();
        for (Visitor other : List.of(colleague, school.as("Tamsin Orrel"))) {
            for (String path : List.of("/examine/students", "/examine/questions/q2", "/examine/sections")) {
                assertThat(other.get(lesson.path(path)).status()).as(path).isIn(403, 404);
            }
            assertThat(other.post(lesson.path("/examine/remedies"), Map.of("what", "DROP", "item", "q1", "edition", 1))
                            .status())
                    .isIn(403, 404);
        }
        assertThat(lesson.edition()).isEqualTo(1);
    }
}
