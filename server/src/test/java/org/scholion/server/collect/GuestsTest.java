package org.scholion.server.collect;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.locks.LockSupport;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.scholion.server.testing.Colleague;
import org.scholion.server.testing.Lesson;
import org.scholion.server.testing.Scholion;
import org.scholion.server.testing.Together;
import org.scholion.server.testing.Visitor;
import org.springframework.jdbc.core.simple.JdbcClient;
import tools.jackson.databind.JsonNode;

/** Guests come to one sitting by its short link, where it lets them, say who they are, and find nothing else. */
@ExtendWith(Scholion.class)
class GuestsTest {
    private static Map<String, Object> form(String group, String email, List<Map<String, Object>> own) {
        return Map.of("groupAsked", group, "email", email, "own", own);
    }

    private static final Map<String, Object> NOTHING_ASKED = form("NO", "NO", List.of());

    private static Visitor.Reply let(Lesson lesson, String who, Map<String, Object> form) {
        return lesson.teacher.put("/api/sittings/" + lesson.sitting() + "/guests", Map.of("who", who, "form", form));
    }

    private static Lesson open(Scholion.Running school, String title) {
        Lesson lesson = Lesson.given(school, title, "A");
        let(lesson, "ANYBODY", NOTHING_ASKED).ok();
        return lesson;
    }

    private static String way(Lesson lesson) {
        return lesson.teacher
                .get("/api/sittings/" + lesson.sitting())
                .ok()
                .at("/sitting/way")
                .stringValue();
    }

    private static Map<String, Object> guest(Lesson lesson, String given) {
        Map<String, Object> body = new HashMap<>();
        body.put("way", way(lesson));
        body.put("once", UUID.randomUUID());
        body.put("given", given);
        body.put("family", "Visiting");
        body.put("group", "");
        body.put("email", "");
        body.put("own", Map.of());
        return body;
    }

    private static JsonNode comeIn(Visitor visitor, Map<String, Object> said) {
        return visitor.post("/api/session/guest", said).ok();
    }

    private static JsonNode row(Lesson lesson, String given) {
        for (JsonNode row : lesson.teacher.get(lesson.path("/collect")).ok().get("rows")) {
            if (row.get("given").stringValue().equals(given)) {
                return row;
            }
        }
        throw new AssertionError("no row of " + given);
    }

    @Test
    void nobody_comes_as_a_guest_where_it_is_for_its_students_only(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "No guests", "A");
        school.anybody().post("/api/session/guest", guest(lesson, "Sly")).isRefused(404);
        let(lesson, "ANYBODY", NOTHING_ASKED).ok();
        comeIn(school.anybody(), guest(lesson, "Early"));
        let(lesson, "NOBODY", NOTHING_ASKED).ok();
        school.anybody().post("/api/session/guest", guest(lesson, "Late")).isRefused(404);
        assertThat(row(lesson, "Early").get("guest").booleanValue())
                .as("who came stays")
                .isTrue();
    }

    @Test
    void a_guest_takes_the_sitting_and_finds_nothing_else(Scholion.Running school) {
        Lesson other = Lesson.given(school, "Not for guests", "A");
        Lesson lesson = open(school, "For guests");
        Visitor vera = school.anybody();
        JsonNode in = comeIn(vera, guest(lesson, "Vera"));
        assertThat(in.at("/session/name").stringValue()).isEqualTo("Vera Visiting");
        String attempt = lesson.begin(vera);
        Lesson.say(vera, attempt, "q2", "bowline").ok();
        vera.post("/api/student/attempts/" + attempt + "/hand-in", null).ok();
        assertThat(row(lesson, "Vera").get("stage").stringValue()).isEqualTo("IN");
        vera.post("/api/student/sittings/" + other.sitting() + "/attempt", null).isRefused(404);
        vera.get("/api/student/results").isRefused(403);
        vera.get("/api/desk").isRefused(403);
        assertThat(lesson.teacher.get("/api/courses").ok().toString()).doesNotContain("Vera");
        assertThat(school.anybody().get("/api/demo/people").ok().toString())
                .as("nobody signs in as a guest on the first page")
                .doesNotContain("Vera");
        String person = row(lesson, "Vera").get("student").stringValue();
        school.anybody().post("/api/demo/session", Map.of("person", person)).isRefused(404);
        assertThat(lesson.goesOn("Vera Visiting", attempt)
                        .mark("Vera Visiting", "q2")
                        .get("points")
                        .stringValue())
                .as("stands among the answers")
                .isEqualTo("2");
    }

    @Test
    void a_guest_comes_back_with_name_and_code_and_sees_there_what_was_handed_back(Scholion.Running school) {
        Lesson lesson = open(school, "Guests come back");
        Visitor first = school.anybody();
        JsonNode in = comeIn(first, guest(lesson, "Wim"));
        String attempt = lesson.begin(first);
        Lesson.say(first, attempt, "q2", "bowline").ok();
        first.post("/api/student/attempts/" + attempt + "/hand-in", null).ok();
        lesson.isOver("A");
        lesson.goesOn("Wim Visiting", attempt).handsBack("Wim Visiting").ok();

        Visitor again = school.anybody();
        again.post("/api/session/slip", Map.of("way", way(lesson), "who", in.get("who"), "code", in.get("code")))
                .ok();
        JsonNode seen =
                again.get("/api/student/attempts/" + attempt + "/result").ok().get("result");
        assertThat(seen.get("items").get(1).at("/mark/points").stringValue()).isEqualTo("2");
        school.anybody()
                .post("/api/session/slip", Map.of("way", way(lesson), "who", in.get("who"), "code", "2222-2222"))
                .isRefused(401);
    }

    @Test
    void the_form_asks_what_the_teacher_wants_to_know_and_tells_it_to_the_teacher_only(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "With a form", "A");
        List<Map<String, Object>> own =
                List.of(Map.of("label", "Boat", "required", true), Map.of("label", "Berth", "required", false));
        let(lesson, "ANYBODY", form("MUST", "MAY", own)).ok();
        assertThat(school.anybody()
                        .get("/api/ways/" + way(lesson))
                        .ok()
                        .at("/guests/form/own/0/label")
                        .stringValue())
                .isEqualTo("Boat");
        Map<String, Object> said = guest(lesson, "Xan");
        school.anybody().post("/api/session/guest", said).isRefused(422);
        said.put("group", "9b");
        school.anybody().post("/api/session/guest", said).isRefused(422);
        said.put("own", Map.of("Boat", "Kittiwake", "Colour of eyes", "grey"));
        said.put("email", "not an address");
        school.anybody().post("/api/session/guest", said).isRefused(422);
        said.put("email", "xan@far.example");
        comeIn(school.anybody(), said);
        JsonNode told = lesson.teacher.get(lesson.path("/guests")).ok().get(0);
        assertThat(told.get("group").stringValue()).isEqualTo("9b");
        assertThat(told.get("own").toString()).isEqualTo("{\"Boat\":\"Kittiwake\",\"Berth\":\"\"}");
        school.as("Lotte Marrin").get(lesson.path("/guests")).isRefused(403);
        Colleague.called(school, "Torunn").visitor().get(lesson.path("/guests")).isRefused(404);
    }

    @Test
    void a_form_that_cannot_be_filled_in_is_refused(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "Odd forms", "A");
        Map<String, Object> boat = Map.of("label", "Boat", "required", true);
        let(lesson, "ANYBODY", form("NO", "NO", List.of(boat, Map.of("label", "boat ", "required", false))))
                .isRefused(422);
        let(lesson, "ANYBODY", form("NO", "NO", List.of(Map.of("label", " ", "required", false))))
                .isRefused(422);
        let(lesson, "ANYBODY", form("NO", "NO", java.util.Collections.nCopies(7, boat)))
                .isRefused(422);
    }

    @Test
    void a_request_that_is_sent_twice_is_one_guest_and_two_who_come_are_two(Scholion.Running school) {
        Lesson lesson = open(school, "Sent twice");
        Map<String, Object> said = guest(lesson, "Yva");
        JsonNode once = comeIn(school.anybody(), said);
        JsonNode twice = comeIn(school.anybody(), said);
        assertThat(twice.get("who")).isEqualTo(once.get("who"));
        assertThat(twice.get("code")).as("the code before ends").isNotEqualTo(once.get("code"));
        List<Integer> answers = new ArrayList<>(Together.times(
                6,
                i -> school.anybody()
                        .post("/api/session/guest", guest(lesson, "Zed" + i))
                        .status()));
        assertThat(answers).containsOnly(200);
        assertThat(lesson.teacher.get(lesson.path("/guests")).ok()).hasSize(7);
    }

    @Test
    void with_addresses_of_the_school_the_code_goes_there_and_nobody_is_in_without_it(Scholion.Running school) {
        Visitor berit = school.as("Berit Straum");
        Map<String, Object> settings = new HashMap<>();
        berit.get("/api/school").ok().properties().forEach(p -> settings.put(p.getKey(), Lesson.plain(p.getValue())));
        settings.put("mailDomains", List.of("@Harbour.example"));
        assertThat(berit.put("/api/school", settings).ok().get("mailDomains").toString())
                .isEqualTo("[\"harbour.example\"]");
        Lesson lesson = Lesson.given(school, "By an address", "A");
        let(lesson, "ADDRESSES", NOTHING_ASKED).ok();
        Map<String, Object> said = guest(lesson, "Ylva");
        said.put("email", "ylva@elsewhere.example");
        school.anybody().post("/api/session/guest", said).isRefused(422);
        said.put("email", "ylva@notharbour.example.com");
        school.anybody().post("/api/session/guest", said).isRefused(422);
        said.put("email", "Ylva@harbour.example");
        Visitor ylva = school.anybody();
        JsonNode asked = comeIn(ylva, said);
        assertThat(asked.get("code").isNull() && asked.get("session").isNull()).isTrue();
        assertThat(ylva.get("/api/session").ok().get("id").isNull()).isTrue();

        String letter = letterTo(school, "ylva@harbour.example");
        String code = letter.replaceFirst("(?s).*Code: (\\S+).*", "$1");
        ylva.post("/api/session/slip", Map.of("way", way(lesson), "who", asked.get("who"), "code", code))
                .ok();
        lesson.begin(ylva);
        said.put("once", UUID.randomUUID());
        assertThat(comeIn(school.anybody(), said).get("who"))
                .as("one address is one guest")
                .isEqualTo(asked.get("who"));
    }

    private static String letterTo(Scholion.Running school, String address) {
        Instant end = Instant.now().plus(Duration.ofSeconds(20));
        while (Instant.now().isBefore(end)) {
            for (JsonNode mail : school.anybody().get("/api/demo/mail").ok()) {
                if (mail.get("to").stringValue().contains(address)) {
                    return mail.get("text").stringValue();
                }
            }
            LockSupport.parkNanos(100_000_000);
        }
        throw new AssertionError("no letter to " + address + " in 20 s");
    }

    @Test
    void withdrawing_takes_guests_away_and_erasing_takes_what_they_said(Scholion.Running school, JdbcClient db) {
        Lesson lesson = open(school, "Withdrawn with guests");
        comeIn(school.anybody(), guest(lesson, "Aslak"));
        lesson.teacher.delete("/api/sittings/" + lesson.sitting()).ok();
        assertThat(db.sql("select count(*) from person where given = 'Aslak'")
                        .query(Integer.class)
                        .single())
                .isZero();

        Lesson kept = Lesson.given(school, "Erased guest", "A");
        let(kept, "ANYBODY", form("MAY", "MAY", List.of())).ok();
        Map<String, Object> said = guest(kept, "Borghild");
        said.put("email", "borghild@far.example");
        comeIn(school.anybody(), said);
        String person = row(kept, "Borghild").get("student").stringValue();
        Visitor berit = school.as("Berit Straum");
        assertThat(berit.get("/api/people/" + person + "/file").ok().toString()).contains("borghild@far.example");
        berit.post("/api/people/" + person + "/erase", Map.of("name", "Borghild Visiting"))
                .ok();
        assertThat(kept.teacher.get(kept.path("/guests")).ok().toString()).doesNotContain("borghild");
    }

    @Test
    void slips_are_for_those_of_the_roster_and_end_without_ending_what_guests_have(Scholion.Running school) {
        Lesson lesson = open(school, "Slips and guests");
        Visitor cato = school.anybody();
        JsonNode in = comeIn(cato, guest(lesson, "Cato"));
        Map<String, Object> all = new HashMap<>();
        all.put("students", null);
        JsonNode made = lesson.teacher
                .post("/api/sittings/" + lesson.sitting() + "/slips", all)
                .ok();
        assertThat(made.get("slips").toString()).doesNotContain("Cato");
        lesson.teacher.delete("/api/sittings/" + lesson.sitting() + "/slips").ok();
        assertThat(cato.get("/api/session").ok().get("name").stringValue())
                .as("who came by no slip goes on")
                .isEqualTo("Cato Visiting");
        school.anybody()
                .post("/api/session/slip", Map.of("way", way(lesson), "who", in.get("who"), "code", in.get("code")))
                .ok();
    }

    @Test
    void odd_requests_are_refused_in_words_and_the_same_one_at_once_is_one_guest(Scholion.Running school) {
        Lesson lesson = open(school, "Odd guests");
        for (String field : List.of("way", "once", "given", "family", "group", "email", "own")) {
            Map<String, Object> said = guest(lesson, "Dag");
            said.put(field, null);
            assertThat(school.anybody().post("/api/session/guest", said).status())
                    .as("%s is null", field)
                    .isBetween(400, 422);
            said.remove(field);
            assertThat(school.anybody().post("/api/session/guest", said).status())
                    .as("%s is missing", field)
                    .isBetween(400, 422);
        }
        for (String field : List.of("given", "family")) {
            Map<String, Object> said = guest(lesson, "Dag");
            said.put(field, "x".repeat(100_000));
            school.anybody().post("/api/session/guest", said).isRefused(422);
            said.put(field, "  ");
            school.anybody().post("/api/session/guest", said).isRefused(422);
        }
        Map<String, Object> said = guest(lesson, "Dag\u0000");
        said.put("role", "ADMIN");
        said.put("guestOf", null);
        said.put("person", UUID.randomUUID());
        assertThat(school.anybody().post("/api/session/guest", said).status())
                .as("fields that nobody sends")
                .isBetween(400, 422);
        Map<String, Object> same = guest(lesson, "Embla");
        assertThat(Together.times(
                        6,
                        i -> school.anybody().post("/api/session/guest", same).status()))
                .contains(200)
                .allMatch(status -> status == 200 || status == 409);
        assertThat(lesson.teacher
                        .get(lesson.path("/collect"))
                        .ok()
                        .get("rows")
                        .valueStream()
                        .filter(r -> r.get("given").stringValue().equals("Embla")))
                .hasSize(1);
        for (Map<String, Object> odd : List.<Map<String, Object>>of(
                Map.of(), Map.of("who", "ANYBODY"), Map.of("who", "EVERYBODY", "form", NOTHING_ASKED))) {
            assertThat(lesson.teacher
                            .put("/api/sittings/" + lesson.sitting() + "/guests", odd)
                            .status())
                    .isBetween(400, 422);
        }
    }
}
