package org.scholion.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.scholion.server.collect.SittingSettingsTest;
import org.scholion.server.ledger.Standings;
import org.scholion.server.testing.Lesson;
import org.scholion.server.testing.PersonBody;
import org.scholion.server.testing.Scholion;
import org.scholion.server.testing.Together;
import org.scholion.server.testing.Visitor;
import org.springframework.jdbc.core.simple.JdbcClient;
import tools.jackson.databind.JsonNode;

/** People who are twice become one, are given what is kept of them, and are forgotten. */
@ExtendWith(Scholion.class)
class LifetimeTest {
    private static JsonNode add(Visitor berit, String given, String family, String number) {
        return new PersonBody("STUDENT", given, family).with("number", number).add(berit);
    }

    private static JsonNode find(Visitor berit, String name) {
        return berit.get("/api/people")
                .ok()
                .valueStream()
                .filter(p ->
                        (p.get("given").stringValue() + " " + p.get("family").stringValue()).equals(name))
                .findFirst()
                .orElseThrow();
    }

    private static String path(JsonNode person, String rest) {
        return "/api/people/" + person.get("id").stringValue() + rest;
    }

    private static Visitor.Reply merge(Visitor berit, JsonNode stays, JsonNode goes) {
        return berit.post(path(stays, "/merge"), Map.of("other", goes.get("id").stringValue()));
    }

    @Test
    void two_who_are_one_keep_all_answers_marks_results_and_queries(Scholion.Running school, Standings standings) {
        Visitor berit = school.as("Berit Straum");
        Lesson lesson = Lesson.given(school, "Whose answers", "A")
                .sits("Lotte Marrin", List.of("a"), "bowline", "10 nmi", "because");
        lesson.handsBack("Lotte Marrin").ok();
        school.as("Lotte Marrin")
                .sendBytes(
                        "/api/student/attempts/" + lesson.attempt("Lotte Marrin") + "/files",
                        "lottes-page.pdf",
                        "%PDF-1.7 what Lotte drew".getBytes(StandardCharsets.UTF_8))
                .ok();
        JsonNode lotte = find(berit, "Lotte Marrin");
        String sitting = "/api/sittings/" + lesson.sitting();
        lesson.teacher
                .post(
                        sitting + "/lines",
                        Map.of("words", "Well done.", "student", lotte.get("id").stringValue()))
                .ok();
        Map<String, Object> longer = new HashMap<>(Map.of("percent", 150, "more", 0, "note", "agreed"));
        longer.put("students", List.of(lotte.get("id").stringValue()));
        longer.put("opens", null);
        longer.put("closes", null);
        lesson.teacher.put(sitting + "/different", longer).ok();
        // What was handed in and then changed was set aside by whoever changed it.
        Lesson twice =
                Lesson.given(school, "Answers changed", "A").sits("Lotte Marrin", List.of("a"), "bowline", null, null);
        SittingSettingsTest.set(twice, "changes", true).ok();
        Visitor herself = school.as("Lotte Marrin");
        String changed = herself.post("/api/student/attempts/" + twice.attempt("Lotte Marrin") + "/change", null)
                .ok()
                .get("attempt")
                .stringValue();
        herself.post("/api/student/attempts/" + changed + "/hand-in", null).ok();
        JsonNode twin = add(berit, "Marrin", "Lotte", "77001");
        assertThat(berit.get(path(lotte, "/twins"))
                        .ok()
                        .valueStream()
                        .map(t -> t.get("person").get("number").stringValue()))
                .contains("77001");
        JsonNode one = merge(berit, twin, lotte).ok();
        try {
            isOneNow(berit, lesson, one, twin, lotte);
            assertThat(standings.differences()).isEmpty();
        } finally {
            // The demo has its student back under the name that other tests know.
            JsonNode again = find(berit, "Marrin Lotte");
            PersonBody named = new PersonBody("STUDENT", "Lotte", "Marrin")
                    .with("number", lotte.get("number").stringValue())
                    .with("email", lotte.get("email").asString(null))
                    .with("username", lotte.get("username").stringValue())
                    .with("revision", again.get("revision").intValue());
            berit.put(path(again, ""), named.fields()).ok();
        }
    }

    private static void isOneNow(Visitor berit, Lesson lesson, JsonNode one, JsonNode twin, JsonNode lotte) {
        assertThat(one.get("number").stringValue()).as("its own stays").isEqualTo("77001");
        assertThat(berit.get("/api/people").body())
                .doesNotContain(lotte.get("id").stringValue());
        JsonNode file = berit.get(path(twin, "/file")).ok();
        assertThat(file.get("attempts").toString()).contains("bowline", "Whose answers");
        assertThat(file.get("results").toString()).contains("Whose answers");
        assertThat(file.get("files").toString()).contains("lottes-page.pdf");
        assertThat(file.get("rosters")).isNotEmpty();
        assertThat(file.get("differentInSittings").toString()).contains("agreed");
        assertThat(file.get("linesFromTeachers").toString()).contains("Well done.");
        assertThat(lesson.teacher.get(lesson.path("/collect")).ok().toString()).contains("Marrin");
    }

    @Test
    void the_file_of_a_person_has_everything_that_is_kept_of_them(Scholion.Running school) {
        Visitor berit = school.as("Berit Straum");
        Lesson lesson = Lesson.given(school, "All that is kept", "A");
        Visitor tamsin = school.as("Tamsin Orrel");
        String attempt = lesson.begin(tamsin);
        Lesson.answer(tamsin, attempt, "q2", "a sheet bend, at first").ok();
        Lesson.answer(tamsin, attempt, "q2", "bowline").ok();
        tamsin.post("/api/student/attempts/" + attempt + "/hand-in", null).ok();
        JsonNode person = find(berit, "Tamsin Orrel");
        JsonNode file = berit.get(path(person, "/file")).ok();
        assertThat(file.at("/person/signsInAs").stringValue()).isEqualTo("tamsin.orrel");
        JsonNode own = file.get("attempts")
                .valueStream()
                .filter(a -> a.get("assessment").stringValue().equals("All that is kept"))
                .findFirst()
                .orElseThrow();
        assertThat(own.at("/answers/q2").stringValue()).isEqualTo("bowline");
        assertThat(own.get("drafts").toString()).contains("a sheet bend, at first");
        assertThat(own.get("marks")).hasSize(4);
        assertThat(file.has("letters")).isTrue();
        assertThat(berit.get(path(person, "/file")).ok().get("record").toString())
                .as("that it was given out is noted")
                .contains("PERSON_EXPORTED");
    }

    @Test
    void who_has_answered_the_same_paper_twice_stays_two(Scholion.Running school) {
        Visitor berit = school.as("Berit Straum");
        Lesson.given(school, "Answered by both", "A")
                .sits("Tamsin Orrel", List.of("a"), "x", "y", "z")
                .sits("Noor Haddix", List.of("a"), "x", "y", "z");
        Visitor.Reply refused = merge(berit, find(berit, "Tamsin Orrel"), find(berit, "Noor Haddix"))
                .isRefused(409);
        assertThat(refused.code()).isEqualTo("clash");
        assertThat(refused.detail()).contains("answers of both to Answered by both", "Nothing was changed.");
        merge(berit, find(berit, "Tamsin Orrel"), find(berit, "Yuki Tarn")).isRefused(409);
        assertThat(find(berit, "Noor Haddix")).isNotNull();
    }

    @Test
    void of_two_who_merge_the_same_two_at_once_the_second_is_told(Scholion.Running school) {
        Visitor berit = school.as("Berit Straum");
        JsonNode a = add(berit, "Twice", "Addedly", "77010");
        JsonNode b = add(berit, "Twice", "Addedly", "77011");
        List<Integer> both = Together.times(
                2,
                i -> merge(school.as("Berit Straum"), i == 0 ? a : b, i == 0 ? b : a)
                        .status());
        assertThat(both).containsExactlyInAnyOrder(200, 404);
    }

    @Test
    void teachers_and_oneself_are_not_merged_and_nobody_else_may(Scholion.Running school) {
        Visitor berit = school.as("Berit Straum");
        JsonNode aud = find(berit, "Aud Meller");
        JsonNode tamsin = find(berit, "Tamsin Orrel");
        assertThat(merge(berit, tamsin, aud).isRefused(409).code()).isEqualTo("no-students");
        merge(berit, tamsin, tamsin).isRefused(422);
        for (String rest : List.of("/twins", "/file")) {
            school.as("Aud Meller").get(path(tamsin, rest)).isRefused(404);
            school.as("Tamsin Orrel").get(path(tamsin, rest)).isRefused(403);
        }
        berit.get("/api/people/" + UUID.randomUUID() + "/file").isRefused(404);
    }

    @Test
    void who_is_erased_has_no_name_anywhere(Scholion.Running school, JdbcClient db) {
        Visitor berit = school.as("Berit Straum");
        JsonNode gone = add(berit, "Ragnfrid", "Vanishing", "77020");
        berit.post(path(gone, "/link"), null).ok();
        berit.post(path(gone, "/erase"), Map.of("name", "Somebody Else")).isRefused(422);
        assertThat(find(berit, "Ragnfrid Vanishing").get("disabled").booleanValue())
                .isFalse();
        JsonNode erased = berit.post(path(gone, "/erase"), Map.of("name", "ragnfrid vanishing"))
                .ok();
        assertThat(erased.get("given").stringValue()).isEqualTo("Former");
        assertThat(erased.get("disabled").booleanValue()).isTrue();
        assertThat(erased.get("number").isNull()).isTrue();
        for (String table : List.of("person", "deed", "mail", "way_in")) {
            assertThat(db.sql("select count(*) from " + table + " t where t::text ilike '%vanishing%'")
                            .query(Integer.class)
                            .single())
                    .as(table)
                    .isZero();
        }
        JsonNode audit = berit.get("/api/school/record").ok();
        assertThat(audit.toString()).contains("PERSON_ERASED").doesNotContain("Vanishing");
        assertThat(berit.post(path(find(berit, "Berit Straum"), "/erase"), Map.of("name", "Berit Straum"))
                        .isRefused(409)
                        .code())
                .isEqualTo("yourself");
    }
}
