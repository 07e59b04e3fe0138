package org.scholion.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.scholion.server.testing.Lesson;
import org.scholion.server.testing.PersonBody;
import org.scholion.server.testing.Scholion;
import org.scholion.server.testing.Together;
import org.scholion.server.testing.Visitor;
import org.springframework.jdbc.core.simple.JdbcClient;
import tools.jackson.databind.JsonNode;

/** How a school begins, how its people get in, and who may let them. */
@ExtendWith(Scholion.class)
class WaysInTest {
    private static Map<String, Object> person(String role, String given, String family) {
        return new PersonBody(role, given, family).fields();
    }

    private static Map<String, Object> firstSchool(String word, String username) {
        Map<String, Object> body = new HashMap<>();
        body.put("word", word);
        body.put("school", "Far Shore School");
        body.put("zone", "Europe/Oslo");
        body.put("language", "nb");
        body.put("given", "Gro");
        body.put("family", "Strand");
        body.put("email", null);
        body.put("username", username);
        body.put("password", "nothing but the tide");
        return body;
    }

    private static Visitor.Reply signIn(Scholion.Running school, String name, String password) {
        return school.anybody().post("/api/session", Map.of("username", name, "password", password));
    }

    @Test
    void an_empty_database_begins_with_one_school_and_its_administrator_once() {
        try (Scholion.Running empty = Scholion.Running.empty()) {
            assertThat(empty.anybody().get("/api/session").ok().get("hasSchool").booleanValue())
                    .isFalse();
            assertThat(empty.bean(JdbcClient.class)
                            .sql("select count(*) from way_in where kind = 'BEGIN'")
                            .query(Integer.class)
                            .single())
                    .as("the start has made a link")
                    .isEqualTo(1);
            String word = empty.wordToBegin();
            empty.anybody()
                    .post("/api/beginning", firstSchool("guessed", "gro"))
                    .isRefused(410);
            Map<String, Object> weak = firstSchool(word, "gro");
            weak.put("password", "password1");
            empty.anybody().post("/api/beginning", weak).isRefused(422);
            Map<String, Object> nowhere = firstSchool(word, "gro");
            nowhere.put("zone", "Sea/Bottom");
            assertThat(empty.anybody()
                            .post("/api/beginning", nowhere)
                            .isRefused(422)
                            .detail())
                    .contains("is no time zone");
            List<Integer> both = Together.times(
                    2,
                    i -> empty.anybody()
                            .post("/api/beginning", firstSchool(word, "gro" + i + ".strand"))
                            .status());
            assertThat(both).as("of two at once one begins").containsExactlyInAnyOrder(200, 410);
            assertThat(empty.bean(JdbcClient.class)
                            .sql("select string_agg(role, ' ') from person")
                            .query(String.class)
                            .single())
                    .isEqualTo("ADMIN");
            empty.anybody()
                    .post("/api/beginning", firstSchool(empty.wordToBegin(), "late"))
                    .isRefused(410);
            onlyAdministrator(empty);
        }
    }

    private static void onlyAdministrator(Scholion.Running empty) {
        String name = empty.bean(JdbcClient.class)
                .sql("select username from person")
                .query(String.class)
                .single();
        Visitor gro = empty.anybody();
        gro.post("/api/session", Map.of("username", name, "password", "nothing but the tide"))
                .ok();
        JsonNode own = self(gro, name);
        Map<String, Object> teacher = person("TEACHER", "Gro", "Strand");
        teacher.put("revision", own.get("revision").intValue());
        assertThat(gro.put("/api/people/" + own.get("id").stringValue(), teacher)
                        .isRefused(409)
                        .code())
                .isEqualTo("last-administrator");
    }

    @Test
    void a_school_that_is_there_is_never_begun_again(Scholion.Running school) {
        school.anybody()
                .post("/api/beginning", firstSchool(school.wordToBegin(), "intruder"))
                .isRefused(410);
    }

    @Test
    void a_link_lets_its_person_choose_a_password_once(Scholion.Running school) {
        Visitor berit = school.as("Berit Straum");
        JsonNode made =
                berit.post("/api/people", person("TEACHER", "Solveig", "Ness")).ok();
        assertThat(made.get("username").stringValue()).isEqualTo("solveig.ness");
        assertThat(made.get("hasPassword").booleanValue()).isFalse();
        signIn(school, "solveig.ness", "whatever it is").isRefused(401);
        String path = "/api/people/" + made.get("id").stringValue() + "/link";
        String first = berit.post(path, null).ok().get("link").stringValue();
        String link = berit.post(path, null).ok().get("link").stringValue();
        String word = link.substring(link.indexOf('#') + 1);
        Visitor solveig = school.anybody();
        solveig.post("/api/way-in/look", Map.of("word", first.substring(first.indexOf('#') + 1)))
                .isRefused(410);
        assertThat(solveig.post("/api/way-in/look", Map.of("word", word))
                        .ok()
                        .get("name")
                        .stringValue())
                .isEqualTo("Solveig Ness");
        solveig.post("/api/way-in", Map.of("word", word, "password", "short")).isRefused(422);
        List<Integer> both = Together.times(
                2,
                i -> school.anybody()
                        .post("/api/way-in", Map.of("word", word, "password", "a skerry in fog " + i))
                        .status());
        assertThat(both).containsExactlyInAnyOrder(200, 410);
        assertThat(List.of(
                        signIn(school, "solveig.ness", "a skerry in fog 0").status(),
                        signIn(school, "solveig.ness", "a skerry in fog 1").status()))
                .containsExactlyInAnyOrder(200, 401);
        assertThat(berit.get("/api/school/record?words=solveig").ok().toString())
                .contains("PERSON_ADDED", "LINK_MADE", "PASSWORD_SET", "Berit Straum");
    }

    @Test
    void a_code_from_a_slip_is_typed_in_any_writing_and_used_up_with_the_password(Scholion.Running school) {
        Visitor aud = school.as("Aud Meller");
        String course =
                "/api/courses/" + aud.get("/api/courses").ok().get(0).get("id").stringValue();
        aud.post(course + "/sections", section("Section Slips")).ok();
        String section = aud.get(course)
                .ok()
                .get("sections")
                .valueStream()
                .filter(s -> s.get("name").stringValue().equals("Section Slips"))
                .map(s -> s.get("id").stringValue())
                .findFirst()
                .orElseThrow();
        Map<String, Object> student = new HashMap<>();
        student.put("given", "Peder");
        student.put("family", "Holm");
        student.put("number", null);
        student.put("email", null);
        student.put("section", section);
        aud.post(course + "/students", student).ok();
        JsonNode slip = aud.post(course + "/slips", Map.of("section", section, "students", List.of()))
                .ok()
                .get(0);
        assertThat(slip.get("group").stringValue()).isEqualTo("Section Slips");
        String name = slip.get("username").stringValue();
        String code = slip.get("code").stringValue();
        signIn(school, name, "2222-2222").isRefused(401);
        String loose = " " + code.toLowerCase(java.util.Locale.ROOT).replace("-", " ") + " ";
        assertThat(signIn(school, name, loose).isRefused(409).code()).isEqualTo("choose-password");
        Map<String, Object> wrong = Map.of("username", name, "code", "2222-2222", "password", "an anchor and a chain");
        school.anybody().post("/api/session/code", wrong).isRefused(410);
        Map<String, Object> right = Map.of("username", name, "code", loose, "password", "an anchor and a chain");
        assertThat(school.anybody()
                        .post("/api/session/code", right)
                        .ok()
                        .get("role")
                        .stringValue())
                .isEqualTo("STUDENT");
        school.anybody().post("/api/session/code", right).isRefused(410);
        signIn(school, name, code).isRefused(401);
        signIn(school, name, "an anchor and a chain").ok();
    }

    private static Map<String, Object> section(String name) {
        Map<String, Object> body = new HashMap<>();
        body.put("name", name);
        body.put("teacher", null);
        return body;
    }

    @Test
    void of_a_code_or_a_link_nothing_is_kept_but_its_hash(Scholion.Running school, JdbcClient db) {
        Visitor berit = school.as("Berit Straum");
        String tamsin = db.sql("select id from person where family = 'Orrel'")
                .query(String.class)
                .single();
        String code = berit.postAgain("/api/people/codes", Map.of("people", List.of(tamsin)), "codes-once")
                .ok()
                .get(0)
                .get("code")
                .stringValue();
        String link = berit.postAgain("/api/people/" + tamsin + "/link", null, "link-once")
                .ok()
                .get("link")
                .stringValue();
        assertThat(db.sql("select count(*) from idempotent_request where body like ? or body like ?")
                        .param("%" + code + "%")
                        .param("%" + link + "%")
                        .query(Integer.class)
                        .single())
                .isZero();
        assertThat(db.sql("select count(*) from way_in where person_id = cast(? as uuid)")
                        .param(tamsin)
                        .query(Integer.class)
                        .single())
                .as("the link has ended the code")
                .isEqualTo(1);
        db.sql("delete from way_in where person_id = cast(? as uuid)")
                .param(tamsin)
                .update();
    }

    @Test
    void whoever_became_an_administrator_is_let_in_by_no_teacher(Scholion.Running school, JdbcClient db) {
        Visitor aud = school.as("Aud Meller");
        String course =
                "/api/courses/" + aud.get("/api/courses").ok().get(0).get("id").stringValue();
        String wanda = db.sql("select id from person where family = 'Ambler'")
                .query(String.class)
                .single();
        Map<String, Object> body = new HashMap<>();
        body.put("section", null);
        body.put("students", List.of(wanda));
        assertThat(aud.post(course + "/slips", body).ok()).hasSize(1);
        db.sql("update person set role = 'ADMIN' where family = 'Ambler'").update();
        try {
            assertThat(aud.post(course + "/slips", body).ok()).isEmpty();
        } finally {
            db.sql("update person set role = 'STUDENT' where family = 'Ambler'").update();
        }
    }

    @Test
    void codes_are_made_for_ones_own_students_only_and_by_no_student(Scholion.Running school, JdbcClient db) {
        Visitor aud = school.as("Aud Meller");
        String course =
                "/api/courses/" + aud.get("/api/courses").ok().get(0).get("id").stringValue();
        String berit = db.sql("select id from person where family = 'Straum'")
                .query(String.class)
                .single();
        Map<String, Object> body = new HashMap<>();
        body.put("section", null);
        body.put("students", List.of(berit));
        aud.post(course + "/slips", body).isRefused(422);
        aud.post("/api/people/codes", Map.of("people", List.of(berit))).isRefused(404);
        aud.post("/api/people/" + berit + "/link", null).isRefused(404);
        school.as("Tamsin Orrel").post(course + "/slips", body).isRefused(403);
    }

    @Test
    void whoever_is_disabled_is_out_at_once_and_comes_back_with_the_same_password(Scholion.Running school) {
        Visitor berit = school.as("Berit Straum");
        JsonNode made =
                berit.post("/api/people", person("TEACHER", "Liv", "Away")).ok();
        String path = "/api/people/" + made.get("id").stringValue();
        String link = berit.post(path + "/link", null).ok().get("link").stringValue();
        Visitor liv = school.anybody();
        liv.post("/api/way-in", Map.of("word", link.substring(link.indexOf('#') + 1), "password", "out to sea again"))
                .ok();
        liv.get("/api/courses").ok();
        berit.put(path + "/disabled", Map.of("disabled", true)).ok();
        liv.get("/api/courses").isRefused(401);
        signIn(school, "liv.away", "out to sea again").isRefused(401);
        berit.put(path + "/disabled", Map.of("disabled", false)).ok();
        signIn(school, "liv.away", "out to sea again").ok();
    }

    @Test
    void what_is_wrong_with_a_person_is_named_and_the_last_administrator_stays_one(Scholion.Running school) {
        Visitor berit = school.as("Berit Straum");
        Map<String, Object> bad = person("TEACHER", "", "Ness");
        bad.put("email", "no address");
        bad.put("username", "A b");
        assertThat(berit.post("/api/people", bad).isRefused(422).json().get("places"))
                .hasSize(3);
        Map<String, Object> taken = person("STUDENT", "New", "One");
        taken.put("number", "40200");
        taken.put("username", "aud.meller");
        assertThat(berit.post("/api/people", taken).isRefused(422).body())
                .contains("“aud.meller” is taken", "number 40200 belongs to Tamsin Orrel");
        JsonNode own = self(berit, "berit.straum");
        Map<String, Object> teacher = person("TEACHER", "Berit", "Straum");
        teacher.put("username", "berit.straum");
        String path = "/api/people/" + own.get("id").stringValue();
        assertThat(berit.put(path + "/disabled", Map.of("disabled", true))
                        .isRefused(409)
                        .code())
                .isEqualTo("yourself");
        teacher.put("revision", own.get("revision").intValue() - 1);
        assertThat(berit.put(path, teacher).isRefused(409).code()).isEqualTo("changed-meanwhile");
    }

    private static JsonNode self(Visitor admin, String username) {
        return admin.get("/api/people")
                .ok()
                .valueStream()
                .filter(p -> p.get("username").stringValue().equals(username))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void what_the_school_allows_is_what_its_teachers_can_do(Scholion.Running school) {
        Visitor berit = school.as("Berit Straum");
        Visitor aud = school.as("Aud Meller");
        Map<String, Object> settings = new HashMap<>();
        JsonNode now = berit.get("/api/school").ok();
        now.propertyNames().forEach(n -> settings.put(n, Lesson.plain(now.get(n))));
        Map<String, Object> none = new HashMap<>(settings);
        none.put("teachersMakeCourses", false);
        none.put("teachersShare", false);
        none.put("language", "nb");
        berit.put("/api/school", none).ok();
        try {
            assertThat(aud.post("/api/courses", Map.of("title", "Mine", "term", ""))
                            .isRefused(409)
                            .detail())
                    .contains("an administrator makes the courses");
            String course = aud.get("/api/courses").ok().get(0).get("id").stringValue();
            String paper = aud.post("/api/assessments", Map.of("course", course, "title", "På norsk"))
                    .ok()
                    .get("id")
                    .stringValue();
            assertThat(aud.get("/api/assessments/" + paper + "/key")
                            .ok()
                            .at("/definition/language")
                            .stringValue())
                    .isEqualTo("nb");
            String rubric = aud.get("/api/rubrics").ok().get(0).get("id").stringValue();
            String colleague = aud.get("/api/colleagues").ok().get(0).get("id").stringValue();
            assertThat(aud.put("/api/shares/RUBRIC/" + rubric + "/" + colleague, Map.of("mayEdit", false))
                            .isRefused(409)
                            .code())
                    .isEqualTo("no-sharing");
        } finally {
            berit.put("/api/school", settings).ok();
        }
        aud.post("/api/courses", Map.of("title", "Mine for a while", "term", "Autumn"))
                .ok();
        for (String light : List.of("#eeeeee", "red", "#12345")) {
            Map<String, Object> accent = new HashMap<>(settings);
            accent.put("accent", light);
            berit.put("/api/school", accent).isRefused(422);
        }
        aud.put("/api/school", settings).isRefused(404);
    }

    @Test
    void a_course_has_sections_teachers_and_units_and_keeps_its_last_teacher(Scholion.Running school) {
        Visitor aud = school.as("Aud Meller");
        String id = aud.post("/api/courses", Map.of("title", "Ropes by Aud", "term", ""))
                .ok()
                .get("id")
                .stringValue();
        String course = "/api/courses/" + id;
        aud.post(course + "/sections", section("One")).ok();
        aud.post(course + "/sections", section("one")).isRefused(422);
        String halvard = aud.get("/api/teachers")
                .ok()
                .valueStream()
                .filter(p -> p.get("name").stringValue().equals("Halvard Quist"))
                .map(p -> p.get("id").stringValue())
                .findFirst()
                .orElseThrow();
        Visitor other = school.as("Halvard Quist");
        other.get(course).isRefused(404);
        aud.put(course + "/teachers/" + halvard, Map.of()).ok();
        other.get(course).ok();
        aud.delete(course + "/teachers/" + halvard).ok();
        other.get(course).isRefused(404);
        String own = aud.get(course).ok().get("teachers").get(0).get("id").stringValue();
        assertThat(aud.delete(course + "/teachers/" + own).isRefused(409).code())
                .isEqualTo("last-teacher");
        String unit = aud.post(course + "/units", Map.of("title", "Knots"))
                .ok()
                .get("units")
                .get(0)
                .get("id")
                .stringValue();
        String paper = aud.post("/api/assessments", Map.of("course", id, "title", "Bends"))
                .ok()
                .get("id")
                .stringValue();
        Map<String, Object> in = new HashMap<>();
        in.put("unit", unit);
        aud.put("/api/assessments/" + paper + "/unit", in).ok();
        assertThat(aud.get(course + "/assessments").ok().get(0).get("unit").stringValue())
                .isEqualTo(unit);
        assertThat(aud.get("/api/assessments/" + paper + "/key")
                        .ok()
                        .get("revision")
                        .intValue())
                .as("a key that is being edited does not notice")
                .isZero();
        aud.delete(course + "/units/" + unit).ok();
        assertThat(aud.get(course + "/assessments").ok().get(0).hasNonNull("unit"))
                .isFalse();
        Map<String, Object> change = Map.of("title", "Ropes", "term", "Spring", "archived", true, "revision", 7);
        assertThat(aud.put(course, change).isRefused(409).code()).isEqualTo("changed-meanwhile");
    }
}
