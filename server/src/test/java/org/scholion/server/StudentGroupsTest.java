package org.scholion.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.scholion.server.testing.Colleague;
import org.scholion.server.testing.Scholion;
import org.scholion.server.testing.Visitor;
import tools.jackson.databind.JsonNode;

/** Students of a course under a name, across its sections. */
@ExtendWith(Scholion.class)
class StudentGroupsTest {
    private static String navigation(Visitor aud) {
        return "/api/courses/" + aud.get("/api/courses").ok().get(0).get("id").stringValue();
    }

    private static List<String> students(Visitor aud, String course, int from, int to) {
        return aud.get(course)
                .ok()
                .get("students")
                .valueStream()
                .map(s -> s.get("id").stringValue())
                .distinct()
                .toList()
                .subList(from, to);
    }

    private static Map<String, Object> group(String name, List<String> students, @Nullable Integer revision) {
        Map<String, Object> body = new HashMap<>();
        body.put("name", name);
        body.put("students", students);
        body.put("revision", revision);
        return body;
    }

    private static JsonNode called(JsonNode groups, String name) {
        for (JsonNode group : groups) {
            if (group.get("name").stringValue().equals(name)) {
                return group;
            }
        }
        throw new AssertionError("no group is called " + name);
    }

    @Test
    void a_group_is_made_changed_and_removed_and_two_of_one_name_are_refused(Scholion.Running school) {
        Visitor aud = school.as("Aud Meller");
        String course = navigation(aud);
        JsonNode made = called(
                aud.post(course + "/groups", group("Night watch", students(aud, course, 0, 30), null))
                        .ok(),
                "Night watch");
        assertThat(made.get("students")).as("across sections").hasSize(30);
        aud.post(course + "/groups", group("night WATCH", students(aud, course, 0, 2), null))
                .isRefused(409);
        String own = course + "/groups/" + made.get("id").stringValue();
        JsonNode changed = called(
                aud.put(
                                own,
                                group(
                                        "Day watch",
                                        students(aud, course, 2, 4),
                                        made.get("revision").intValue()))
                        .ok(),
                "Day watch");
        assertThat(changed.get("students")).hasSize(2);
        aud.put(
                        own,
                        group(
                                "Late",
                                students(aud, course, 2, 4),
                                made.get("revision").intValue()))
                .isRefused(409);
        assertThat(aud.delete(own).ok().toString()).doesNotContain("Day watch");
        aud.delete(own).isRefused(404);
    }

    @Test
    void a_group_has_students_of_its_course_only_and_loses_who_leaves_it(Scholion.Running school) {
        Visitor aud = school.as("Aud Meller");
        String course = aud.post("/api/courses", Map.of("title", "Groups afloat", "term", ""))
                .ok()
                .get("id")
                .stringValue();
        String path = "/api/courses/" + course;
        aud.post(path + "/groups", group("Empty", List.of(), null)).isRefused(422);
        aud.post(path + "/groups", group("Strangers", students(aud, navigation(aud), 0, 1), null))
                .isRefused(422);
        JsonNode section =
                aud.post(path + "/sections", section("A")).ok().get("sections").get(0);
        for (String given : List.of("Gerd", "Hild")) {
            aud.post(path + "/students", student(given, section.get("id").stringValue()))
                    .ok();
        }
        List<String> two = students(aud, path, 0, 2);
        aud.post(path + "/groups", group("Both", two, null)).ok();
        aud.delete(path + "/students/" + two.get(0)).ok();
        assertThat(called(aud.get(path + "/groups").ok(), "Both")
                        .get("students")
                        .toString())
                .isEqualTo("[\"" + two.get(1) + "\"]");
    }

    private static Map<String, Object> section(String name) {
        Map<String, Object> body = new HashMap<>();
        body.put("name", name);
        body.put("teacher", null);
        return body;
    }

    private static Map<String, Object> student(String given, String section) {
        Map<String, Object> body = new HashMap<>();
        body.put("given", given);
        body.put("family", "Grouped");
        body.put("number", null);
        body.put("email", null);
        body.put("section", section);
        return body;
    }

    @Test
    void who_does_not_teach_the_course_sees_and_changes_no_group(Scholion.Running school) {
        Visitor aud = school.as("Aud Meller");
        String course = navigation(aud);
        Visitor other = Colleague.called(school, "Solveig").visitor();
        other.get(course + "/groups").isRefused(404);
        other.post(course + "/groups", group("Mine", students(aud, course, 0, 1), null))
                .isRefused(404);
        other.delete(course + "/groups/" + UUID.randomUUID()).isRefused(404);
        school.as("Lotte Marrin").get(course + "/groups").isRefused(403);
    }
}
