package org.scholion.server.collect;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.scholion.server.testing.Lesson;
import org.scholion.server.testing.Scholion;
import org.scholion.server.testing.Visitor;
import tools.jackson.databind.JsonNode;

/** A slip lets one student into one sitting without a password, and into nothing else. */
@ExtendWith(Scholion.class)
class SittingSlipsTest {
    private static Visitor.Reply make(Lesson lesson, @Nullable List<String> students) {
        Map<String, Object> body = new HashMap<>();
        body.put("students", students);
        return lesson.teacher.post("/api/sittings/" + lesson.sitting() + "/slips", body);
    }

    private static JsonNode slip(JsonNode made, String family) {
        for (JsonNode slip : made.get("slips")) {
            if (slip.get("family").stringValue().equals(family)) {
                return slip;
            }
        }
        throw new AssertionError(family);
    }

    private static Visitor.Reply enter(Visitor visitor, JsonNode made, String who, String code) {
        return visitor.post(
                "/api/session/slip", Map.of("way", made.get("way").stringValue(), "who", who, "code", code));
    }

    private static Visitor in(Scholion.Running school, JsonNode made, String family) {
        JsonNode slip = slip(made, family);
        Visitor visitor = school.anybody();
        enter(visitor, made, slip.get("number").stringValue(), slip.get("code").stringValue())
                .ok();
        return visitor;
    }

    @Test
    void who_comes_in_by_a_slip_takes_that_sitting_and_finds_nothing_else_of_a_student(Scholion.Running school) {
        Lesson other = Lesson.given(school, "Not on the slip", "A");
        String hers = other.begin(school.as("Lotte Marrin"));
        Lesson lesson = Lesson.given(school, "On the slip", "A");
        JsonNode made = make(lesson, null).ok();
        Visitor lotte = in(school, made, "Marrin");
        JsonNode session = lotte.get("/api/session").ok();
        assertThat(session.get("way").stringValue()).isEqualTo(made.get("way").stringValue());
        assertThat(lotte.get("/api/student/todo").ok().findValues("title"))
                .extracting(JsonNode::stringValue)
                .containsExactly("On the slip");

        String attempt = lesson.begin(lotte);
        Lesson.say(lotte, attempt, "q2", "bowline").ok();
        lotte.get("/api/student/attempts/" + attempt + "/time").ok();
        lotte.post("/api/student/attempts/" + attempt + "/hand-in", null).ok();
        String receipt = lotte.get("/api/student/attempts/" + attempt)
                .ok()
                .get("receipt")
                .stringValue();
        lotte.get("/api/student/receipts/" + receipt).ok();

        lotte.get("/api/student/attempts/" + hers).isRefused(404);
        lotte.get("/api/student/attempts/" + hers + "/time").isRefused(404);
        lotte.get("/api/student/attempts/" + hers + "/result").isRefused(404);
        Lesson.say(lotte, hers, "q2", "granny").isRefused(404);
        lotte.post("/api/student/attempts/" + hers + "/hand-in", null).isRefused(404);
        lotte.post("/api/student/sittings/" + other.sitting() + "/attempt", null)
                .isRefused(404);
        lotte.get("/api/student/results").isRefused(403);
        lotte.post("/api/account/password", Map.of("now", "x", "wanted", "a long new password"))
                .isRefused(403);
        lotte.get("/api/desk").isRefused(403);
        lotte.get(lesson.path("/collect")).isRefused(403);
    }

    @Test
    void signing_out_everywhere_by_a_slip_ends_nothing_but_this(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "Out by slip", "A");
        JsonNode made = make(lesson, null).ok();
        Visitor own = school.as("Lotte Marrin");
        in(school, made, "Marrin").delete("/api/session?everywhere=true").ok();
        own.get("/api/student/todo").ok();
    }

    @Test
    void a_code_is_for_one_student_and_one_sitting(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "Whose code", "A");
        Lesson other = Lesson.given(school, "Another code", "A");
        JsonNode made = make(lesson, null).ok();
        JsonNode elsewhere = make(other, null).ok();
        String lotte = slip(made, "Marrin").get("number").stringValue();
        String code = slip(made, "Marrin").get("code").stringValue();
        String name = slip(made, "Marrin").get("username").stringValue();
        String tamsin = slip(made, "Orrel").get("number").stringValue();
        assertThat(enter(school.anybody(), made, tamsin, code).code()).isEqualTo("slip");
        assertThat(enter(school.anybody(), elsewhere, lotte, code).code()).isEqualTo("slip");
        assertThat(enter(school.anybody(), made, lotte, "2222-2222").code()).isEqualTo("slip");
        assertThat(enter(school.anybody(), made, "", code).code()).isEqualTo("slip");
        enter(
                        school.anybody(),
                        made,
                        name,
                        code.toLowerCase(java.util.Locale.ROOT).replace("-", " "))
                .ok();
        assertThat(school.anybody()
                        .post("/api/session", Map.of("username", name, "password", code))
                        .status())
                .as("it is no password")
                .isEqualTo(401);
    }

    @Test
    void new_codes_end_those_before_and_ending_them_signs_out_at_once(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "New codes", "A");
        JsonNode first = make(lesson, null).ok();
        String lotte = slip(first, "Marrin").get("student").stringValue();
        Visitor inBefore = in(school, first, "Marrin");
        JsonNode second = make(lesson, List.of(lotte)).ok();
        assertThat(second.get("slips").size()).isEqualTo(1);
        String number = slip(first, "Marrin").get("number").stringValue();
        assertThat(enter(
                                school.anybody(),
                                first,
                                number,
                                slip(first, "Marrin").get("code").stringValue())
                        .code())
                .isEqualTo("slip");
        inBefore.get("/api/student/todo").ok();
        in(school, second, "Marrin");
        in(school, first, "Orrel");
        String slips = "/api/sittings/" + lesson.sitting() + "/slips";
        assertThat(lesson.teacher
                        .get("/api/sittings/" + lesson.sitting())
                        .ok()
                        .get("slips")
                        .intValue())
                .isEqualTo(first.get("slips").size());
        inBefore.delete(slips).isRefused(403);
        lesson.teacher.delete(slips).ok();
        inBefore.get("/api/student/todo").isRefused(401);
        assertThat(enter(
                                school.anybody(),
                                second,
                                number,
                                slip(second, "Marrin").get("code").stringValue())
                        .code())
                .isEqualTo("slip");
    }

    @Test
    void a_code_holds_no_longer_than_its_sitting_and_only_for_who_has_it(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "Until it is over", "A");
        JsonNode made = make(lesson, null).ok();
        JsonNode lotte = slip(made, "Marrin");
        JsonNode tamsin = slip(made, "Orrel");
        lesson.teacher
                .put(
                        "/api/sittings/" + lesson.sitting() + "/students",
                        Map.of("students", List.of(lotte.get("student").stringValue())))
                .ok();
        assertThat(enter(
                                school.anybody(),
                                made,
                                tamsin.get("number").stringValue(),
                                tamsin.get("code").stringValue())
                        .code())
                .isEqualTo("slip");
        assertThat(make(lesson, null).ok().get("slips").size()).isEqualTo(1);
        make(lesson, List.of(tamsin.get("student").stringValue())).isRefused(422);
        lesson.isOver("A");
        assertThat(enter(
                                school.anybody(),
                                made,
                                lotte.get("number").stringValue(),
                                lotte.get("code").stringValue())
                        .code())
                .isEqualTo("slip");
        assertThat(make(lesson, null).code()).isEqualTo("closed");
    }

    @Test
    void a_short_word_leads_anybody_to_the_sitting_by_name_and_tells_nothing_of_its_paper(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "A short word", "A");
        String way = lesson.teacher
                .get("/api/sittings/" + lesson.sitting())
                .ok()
                .get("sitting")
                .get("way")
                .stringValue();
        assertThat(way).hasSize(8);
        JsonNode told = school.anybody()
                .get("/api/ways/" + way.toLowerCase(java.util.Locale.ROOT))
                .ok();
        assertThat(told.get("title").stringValue()).isEqualTo("A short word");
        assertThat(told.propertyNames())
                .containsExactlyInAnyOrder("sitting", "way", "school", "title", "opens", "closes", "guests");
        school.anybody().get("/api/ways/22222222").isRefused(404);
    }
}
