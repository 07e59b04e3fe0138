package org.scholion.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.scholion.formats.json.Json;
import org.scholion.server.person.People;
import org.scholion.server.platform.Me;
import org.scholion.server.testing.Lesson;
import org.scholion.server.testing.Scholion;
import org.scholion.server.testing.Visitor;
import org.springframework.jdbc.core.simple.JdbcClient;
import tools.jackson.databind.JsonNode;

/** Walks every endpoint as each role with the ids of somebody else's things. */
@ExtendWith(Scholion.class)
class AccessTest {
    private static final Set<String> FOR_ANYBODY = Set.of(
            "GET /api/session",
            "POST /api/session",
            "DELETE /api/session",
            "GET /api/demo/people",
            "GET /api/demo/mail",
            "POST /api/demo/session",
            "POST /api/session/code",
            "POST /api/session/slip",
            "POST /api/session/guest",
            "GET /api/ways/{way}",
            "POST /api/way-in",
            "POST /api/way-in/look",
            "POST /api/beginning");
    /** What lists only one's own things, so that it answers everybody of the role. */
    private static final Set<String> OWN_LISTS = Set.of(
            "GET /api/courses",
            "POST /api/courses",
            "GET /api/teachers",
            "GET /api/desk",
            "GET /api/find",
            "GET /api/queries",
            "GET /api/frameworks",
            "GET /api/student/todo",
            "GET /api/student/results",
            "GET /api/student/can-do",
            "POST /api/items/check",
            "POST /api/maths",
            "POST /api/account/password",
            "POST /api/files",
            "GET /api/files/{file}",
            "POST /api/bank/find",
            "GET /api/bank/twins",
            "GET /api/bank/near",
            "GET /api/bank/folders",
            "POST /api/bank/folders",
            "GET /api/comments",
            "POST /api/comments",
            "GET /api/rubrics",
            "POST /api/rubrics",
            "GET /api/rubrics/removed",
            "GET /api/bank/removed",
            "GET /api/colleagues",
            "GET /api/shared-keys",
            "GET /api/kept-settings",
            "PUT /api/kept-settings");

    /** What everybody who is signed in may do: nothing of anybody is in it, or only who knows its hash finds it. */
    private static final Set<String> FOR_ALL_ROLES =
            Set.of("POST /api/maths", "GET /api/files/{file}", "POST /api/account/password");

    /** Frameworks are the school's, and so is the way between two of them: its staff sees and changes them. */
    private static boolean isOfTheSchool(Endpoint endpoint) {
        return endpoint.path().startsWith("/api/frameworks") || endpoint.path().startsWith("/api/crosswalks");
    }

    /** What an administrator keeps: people, the school, and courses themselves, though nothing that is done in them. */
    private static boolean isKept(Endpoint endpoint) {
        return endpoint.path().startsWith("/api/people")
                || endpoint.path().matches("/api/school(/.*)?")
                || endpoint.path()
                        .matches(
                                "/api/courses(/\\{course\\}(/(sections|teachers|readers|units|students|slips|roster)(/.*)?)?)?");
    }

    /** @param takes a body that has every field, with nothing in it; empty where nothing is taken */
    private record Endpoint(String method, String path, Map<String, Object> takes) {
        @Override
        public String toString() {
            return method + " " + path;
        }
    }

    private static List<Endpoint> endpoints(Scholion.Running school) {
        List<Endpoint> all = new ArrayList<>();
        JsonNode api = school.as("Aud Meller").get("/v3/api-docs").ok();
        for (String path : api.get("paths").propertyNames()) {
            for (String method : api.get("paths").get(path).propertyNames()) {
                JsonNode schema =
                        api.get("paths").get(path).get(method).at("/requestBody/content/application~1json/schema");
                Endpoint endpoint =
                        new Endpoint(method.toUpperCase(java.util.Locale.ROOT), path, nothingIn(api, schema));
                if (!FOR_ANYBODY.contains(endpoint.toString())) {
                    all.add(endpoint);
                }
            }
        }
        return all;
    }

    private static Map<String, Object> nothingIn(JsonNode api, JsonNode schema) {
        Map<String, Object> body = new HashMap<>();
        JsonNode fields =
                api.at(schema.path("$ref").asString("").replace("#", "")).path("properties");
        fields.propertyNames().forEach(name -> body.put(name, nothing(api, fields.get(name))));
        return body;
    }

    private static Object nothing(JsonNode api, JsonNode field) {
        String type = field.path("type").isArray()
                ? field.path("type").get(0).asString("")
                : field.path("type").asString("");
        return switch (type) {
            case "string" ->
                field.has("enum")
                        ? field.get("enum").get(0).stringValue()
                        : !field.has("format") ? "" : field.path("type").isArray() ? null : UUID.randomUUID();
            case "array" -> List.of();
            case "boolean" -> false;
            case "integer" -> 1;
            default -> field.has("anyOf") ? null : field.has("$ref") ? nothingIn(api, field) : Map.of();
        };
    }

    /** Ids of things that are Aud Meller's and Noor Haddix's. */
    private static Map<String, String> ids(JdbcClient db) {
        Map<String, String> ids = new HashMap<>();
        String noor = "(select id from person where given = 'Noor' and family = 'Haddix')";
        Map.of(
                        "assessment", "select assessment_id from attempt where student_id = " + noor + " limit 1",
                        "attempt", "select id from attempt where student_id = " + noor + " limit 1",
                        "sitting", "select sitting_id from attempt where student_id = " + noor + " limit 1",
                        "result", "select id from result where student_id = " + noor + " limit 1",
                        "query", "select id from query where student_id = " + noor + " limit 1",
                        "course", "select id from course limit 1",
                        "framework", "select framework_id from course_framework limit 1")
                .forEach((name, sql) ->
                        ids.put(name, db.sql(sql).query(String.class).single()));
        ids.put("item", "q1");
        ids.put("broughtIn", UUID.randomUUID().toString());
        ids.put("answer", String.valueOf(ids.get("attempt")));
        ids.put("job", UUID.randomUUID().toString());
        ids.put("kind", "ASSESSMENT");
        ids.put("way", "22222222");
        ids.put(
                "code",
                db.sql("select x.receipt from attempt x join person p on p.id = x.student_id"
                                + " where x.receipt is not null and p.given not in ('Noor', 'Yuki') limit 1")
                        .query(String.class)
                        .single());
        ids.put("object", String.valueOf(ids.get("assessment")));
        for (String name :
                List.of("person", "section", "unit", "student", "line", "kept", "group", "example", "mark")) {
            ids.put(name, UUID.randomUUID().toString());
        }
        ids.put("file", "0".repeat(64));
        ids.put("what", "SCORES");
        ids.put("older", String.valueOf(ids.get("framework")));
        ids.put("newer", String.valueOf(ids.get("framework")));
        ids.put(
                "folder",
                db.sql("select id from bank_folder limit 1").query(String.class).single());
        ids.put(
                "rubric",
                db.sql("select id from rubric order by changed_at limit 1")
                        .query(String.class)
                        .single());
        ids.put(
                "comment",
                db.sql("select id from kept_comment order by id limit 1")
                        .query(String.class)
                        .single());
        ids.put(
                "bankItem",
                db.sql("select id from bank_item limit 1").query(String.class).single());
        return ids;
    }

    private static Visitor.Reply call(Visitor visitor, Endpoint endpoint, Map<String, String> ids) {
        String path = endpoint.path().replace("/api/bank/items/{item}", "/api/bank/items/{bankItem}");
        for (Map.Entry<String, String> id : ids.entrySet()) {
            path = path.replace("{" + id.getKey() + "}", id.getValue());
        }
        assertThat(path).as("every id of %s is filled in", endpoint).doesNotContain("{");
        if (path.contains("bring-in") || path.contains("roster")) {
            return visitor.sendFile(path, "student,q1\n40200,a\n");
        }
        if (path.endsWith("/files") || path.contains("/frameworks/file") || path.endsWith("/questions-in")) {
            return visitor.sendFile(path, "neither a picture nor a framework\n");
        }
        if (path.contains("assessment-file")) {
            return visitor.sendFile(path, Json.write(Lesson.definition("Mine now")));
        }
        return endpoint.method().equals("GET")
                ? visitor.get(path + (path.endsWith("/find") ? "?words=bowline" : ""))
                : visitor.send(endpoint.method(), path, whole(endpoint, body(path, ids)));
    }

    private static Object whole(Endpoint endpoint, Object meant) {
        Map<String, Object> body = new HashMap<>(endpoint.takes());
        ((Map<?, ?>) meant).forEach((name, value) -> {
            if (body.containsKey(String.valueOf(name))) {
                body.put(String.valueOf(name), value);
            }
        });
        return body;
    }

    /** A body that is well-formed for each path, so that only access can refuse it. */
    private static Object body(String path, Map<String, String> ids) {
        if (path.endsWith("/times") || path.endsWith("/times/preview")) {
            return Map.of("opens", "2026-01-01T00:00:00Z", "closes", "2026-01-02T00:00:00Z", "minutes", 60);
        }
        if (path.endsWith("/different")) {
            return Map.of("opens", "2026-01-01T00:00:00Z", "closes", "2026-01-02T00:00:00Z");
        }
        if (path.endsWith("/seen")) {
            return Map.of("answers", "NEVER");
        }
        if (path.endsWith("/as-student/result")) {
            return Map.of("answers", Map.of());
        }
        if (path.endsWith("/kept-settings")) {
            return Map.of("name", "ours");
        }
        if (path.endsWith("/reached")) {
            return Map.of("item", "q1");
        }
        if (path.endsWith("/attainment-rule")) {
            return Map.of(
                    "way",
                    Map.of(
                            "kind",
                            "SHARE",
                            "n",
                            1,
                            "of",
                            1,
                            "weight",
                            "1",
                            "minEvidence",
                            2,
                            "levels",
                            List.of(Map.of("from", "0", "label", "mine"))),
                    "revision",
                    7);
        }
        if (path.contains("/examine/remedies")) {
            return Map.of("what", "DROP", "item", "q1", "edition", 1);
        }
        Map<String, Object> sees = Map.of("score", true, "marks", true, "answers", true, "notes", true, "keys", true);
        if (path.endsWith("/api/assessments")) {
            return Map.of("course", ids.get("course"), "title", "Mine now");
        }
        if (path.contains("/api/frameworks")
                || path.endsWith("/sums")
                || path.contains("/trials")
                || path.endsWith("/key-from")) {
            return Map.of("definition", Map.of(), "revision", -1);
        }
        if (path.endsWith("/courses/" + ids.get("course") + "/frameworks")) {
            return Map.of("framework", String.valueOf(ids.get("framework")));
        }
        if (path.endsWith("/copies")) {
            return Map.of("assessment", String.valueOf(ids.get("assessment")));
        }
        if (path.contains("/api/bank/")) {
            return Map.of(
                    "items",
                    List.of(String.valueOf(ids.get("bankItem"))),
                    "assessment",
                    String.valueOf(ids.get("assessment")),
                    "definition",
                    Map.of(),
                    "version",
                    1,
                    "name",
                    "",
                    "prompt",
                    "x");
        }
        if (path.contains("/api/rubrics")) {
            return Map.of("title", "", "definition", Map.of(), "version", 1);
        }
        if (path.contains("/api/crosswalks")) {
            return Map.of("links", List.of(), "items", List.of());
        }
        if (path.contains("/api/shares")) {
            return Map.of("mayEdit", true);
        }
        if (path.endsWith("/maths")) {
            return Map.of("line", "x", "variables", List.of(), "work", false);
        }
        if (path.endsWith("/questions-text")) {
            return Map.of("text", "");
        }
        if (path.endsWith("/key")) {
            return Map.of("definition", Map.of(), "revision", 0);
        }
        if (path.endsWith("/sittings")) {
            return Map.of(
                    "section", UUID.randomUUID(), "opens", "2026-01-01T00:00:00Z", "closes", "2026-01-02T00:00:00Z");
        }
        if (path.contains("/doubts")) {
            return Map.of("item", "q1", "form", "x", "credit", "1", "reach", "EXACT");
        }
        if (path.contains("/readings/")) {
            return Map.of("saw", "x");
        }
        if (path.endsWith("/hand-back")) {
            return Map.of("attempts", List.of(ids.get("attempt")), "sees", sees, "messages", List.of());
        }
        if (path.endsWith("/result/preview")) {
            return Map.of("sees", sees, "messages", List.of());
        }
        if (path.contains("/editions")) {
            return Map.of("definition", Lesson.plain(Lesson.definition("x")), "why", "");
        }
        if (path.endsWith("/time")) {
            return Map.of("minutes", 10);
        }
        if (path.contains("/answers/")) {
            return Map.of("answer", "x", "flagged", false);
        }
        if (path.endsWith("/queries")) {
            return Map.of("item", "q1", "words", "why?");
        }
        return Map.of("words", "x", "item", Map.of(), "answers", List.of());
    }

    @Test
    void nobody_gets_anything_without_signing_in(Scholion.Running school, JdbcClient db) {
        Map<String, String> ids = ids(db);
        for (Endpoint endpoint : endpoints(school)) {
            assertThat(call(school.anybody(), endpoint, ids).status())
                    .as("%s", endpoint)
                    .isIn(401, 403);
        }
    }

    @Test
    void a_student_reaches_no_teachers_endpoint_and_nothing_of_another_student(Scholion.Running school, JdbcClient db) {
        Map<String, String> ids = ids(db);
        Visitor student = school.as("Tamsin Orrel");
        for (Endpoint endpoint : endpoints(school)) {
            Visitor.Reply reply = call(student, endpoint, ids);
            if (endpoint.path().startsWith("/api/student/")) {
                // Tamsin sits in the same section, so that only beginning one's own attempt is allowed.
                boolean own = OWN_LISTS.contains(endpoint.toString())
                        || endpoint.path().endsWith("/sittings/{sitting}/attempt");
                if (!own) {
                    assertThat(reply.status())
                            .as("%s: %s", endpoint, reply.body())
                            .isEqualTo(404);
                }
            } else if (!FOR_ALL_ROLES.contains(endpoint.toString())) {
                assertThat(reply.status()).as("%s", endpoint).isEqualTo(403);
            }
            assertThat(reply.body())
                    .as("%s tells a key", endpoint)
                    .doesNotContain("\"accept\"")
                    .doesNotContain("Haddix");
        }
    }

    @Test
    void who_came_in_by_a_slip_reaches_nothing_beside_that_sitting_not_even_what_is_their_own(
            Scholion.Running school, JdbcClient db) {
        Lesson lesson = Lesson.given(school, "In by a slip", "A");
        JsonNode made = lesson.teacher
                .post("/api/sittings/" + lesson.sitting() + "/slips", Map.of())
                .ok();
        JsonNode slip = made.get("slips").get(0);
        Visitor student = school.anybody();
        Map<String, String> typed = new HashMap<>();
        typed.put("way", made.get("way").stringValue());
        typed.put("who", slip.get("number").stringValue());
        typed.put("code", slip.get("code").stringValue());
        student.post("/api/session/slip", typed).ok();
        Map<String, String> own = ids(db);
        String me = "'" + slip.get("student").stringValue() + "' limit 1";
        for (String of : List.of("attempt", "result")) {
            own.put(
                    of,
                    db.sql("select id from " + of + " where student_id = " + me)
                            .query(String.class)
                            .single());
        }
        own.put(
                "sitting",
                db.sql("select sitting_id from attempt where student_id = " + me)
                        .query(String.class)
                        .single());
        for (Endpoint endpoint : endpoints(school)) {
            Visitor.Reply reply = call(student, endpoint, own);
            if (!List.of("GET /api/student/todo", "POST /api/maths").contains(endpoint.toString())) {
                assertThat(reply.status()).as("%s: %s", endpoint, reply.body()).isIn(403, 404);
            }
        }
        assertThat(student.get("/api/student/todo").ok().size()).isEqualTo(1);
    }

    @Test
    void an_administrator_sees_people_and_frameworks_but_no_answers_and_no_marks(
            Scholion.Running school, JdbcClient db) {
        Map<String, String> ids = ids(db);
        Visitor admin = school.as("Berit Straum");
        for (Endpoint endpoint : endpoints(school)) {
            Visitor.Reply reply = call(admin, endpoint, ids);
            if (isKept(endpoint)) {
                // What is sent is refused for what it says, or is about somebody who is not there.
                assertThat(reply.status()).as("%s: %s", endpoint, reply.body()).isIn(200, 204, 404, 409, 422);
            } else if (isOfTheSchool(endpoint)) {
                // What changes a framework is sent something that is refused for what it says.
                boolean nothingThere = reply.status() == 404
                        && (endpoint.path().endsWith("/restore")
                                || endpoint.method().equals("DELETE"));
                assertThat(nothingThere ? 200 : reply.status())
                        .as("%s: %s", endpoint, reply.body())
                        .isIn(200, 204, 409, 422);
            } else if (!OWN_LISTS.contains(endpoint.toString())
                    || endpoint.path().startsWith("/api/student/")) {
                assertThat(reply.status()).as("%s: %s", endpoint, reply.body()).isIn(403, 404);
            }
        }
    }

    @Test
    void a_teacher_of_no_course_of_ours_finds_nothing_of_ours(Scholion.Running school, JdbcClient db, People people) {
        Map<String, String> ids = ids(db);
        UUID schoolId = db.sql("select id from school").query(UUID.class).single();
        String name = "Orla Outside" + System.nanoTime();
        people.add(schoolId, new People.NewPerson(Me.Role.TEACHER, "Orla", name, null, null, name), null);
        Visitor outsider = school.as("Orla " + name);
        for (Endpoint endpoint : endpoints(school)) {
            Visitor.Reply reply = call(outsider, endpoint, ids);
            if (endpoint.path().startsWith("/api/student/")) {
                assertThat(reply.status()).as("%s", endpoint).isEqualTo(403);
            } else if (!OWN_LISTS.contains(endpoint.toString()) && !isOfTheSchool(endpoint)) {
                assertThat(reply.status()).as("%s: %s", endpoint, reply.body()).isEqualTo(404);
            }
            assertThat(reply.body()).as("%s", endpoint).doesNotContain("Haddix").doesNotContain("Chartwork check");
        }
    }

    @Test
    void a_student_sees_no_key_and_no_mark_before_it_is_handed_back(Scholion.Running school) {
        Lesson lesson =
                Lesson.given(school, "Secrets", "A").sits("Noor Haddix", List.of("b"), "clove hitch", "7", "Because.");
        lesson.paperAfter("AT_ONCE").ok();
        Visitor noor = school.as("Noor Haddix");
        String paper = noor.get("/api/student/attempts/" + lesson.attempt("Noor Haddix"))
                .body();
        assertThat(paper)
                .contains("At springs", "clove hitch")
                .doesNotContain("bowline", "\"key\"", "accept", "rubric", "because", "credit", "a cause");
        assertThat(noor.get("/api/student/results").body()).doesNotContain("Secrets");
    }
}
