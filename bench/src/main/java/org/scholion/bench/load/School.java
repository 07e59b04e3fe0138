package org.scholion.bench.load;

import java.io.IOException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.scholion.formats.json.Json;
import tools.jackson.databind.JsonNode;

/** A large section of the made-up school, with papers of four questions. */
final class School {
    private static final String PAPER = """
            {"format": "scholion-assessment/1", "title": "%s", "language": "en", "items": [
              {"id": "q1", "kind": "choice", "points": "1", "prompt": "When is the range greatest?",
               "options": [{"id": "a", "text": "At springs"}, {"id": "b", "text": "At neaps"}], "key": ["a"]},
              {"id": "q2", "kind": "text", "points": "2", "prompt": "Which knot makes a fixed loop?",
               "accept": [{"text": "bowline"}], "spelling": "length"},
              {"id": "q3", "kind": "number", "points": "2", "prompt": "How far in 2 h at 5 kn?",
               "accept": [{"value": "10", "within": "0.1"}], "unit": {"expect": "nmi", "missing": "1/2"}},
              {"id": "q4", "kind": "open", "points": "5", "prompt": "Why does the stream run?",
               "rubric": {"criteria": [{"id": "c1", "title": "Reasoning", "levels": [
                   {"id": "0", "points": "0", "text": "no cause"}, {"id": "1", "points": "5", "text": "a cause"}]}]}}],
             "grading": {"bands": [{"from": "70", "label": "Secure"}, {"from": "0", "label": "Not yet"}], "pass": "60"}}
            """;

    final Person teacher;
    private final int port;
    private final String course;
    private final Map<String, String> people = new HashMap<>();

    School(int port) throws IOException {
        this.port = port;
        teacher = Person.signedIn(port, idOf("Aud Meller"));
        course = teacher.ok("GET", "/api/courses", "").get(0).get("id").stringValue();
    }

    private String idOf(String name) throws IOException {
        if (!people.containsKey(name)) {
            for (JsonNode one : new Person(port).ok("GET", "/api/demo/people", "")) {
                people.put(one.get("name").stringValue(), one.get("id").stringValue());
            }
        }
        return people.getOrDefault(name, "");
    }

    /** Students of a section of their own. */
    void enrol(String section, int howMany) throws IOException {
        StringBuilder roster = new StringBuilder("number,first name,surname,section\n");
        for (int i = 0; i < howMany; i++) {
            roster.append("%s%d,%s,Load%d,%s\n".formatted(section, i, section, i, "Section " + section));
        }
        teacher.sendFile("/api/courses/" + course + "/roster", roster.toString());
        people.clear();
    }

    String paper(String title) throws IOException {
        return paper(title, Json.read(PAPER.formatted(title)));
    }

    String paper(String title, JsonNode definition) throws IOException {
        String id = teacher.ok(
                        "POST", "/api/assessments", "{\"course\": \"" + course + "\", \"title\": \"" + title + "\"}")
                .get("id")
                .stringValue();
        teacher.ok("PUT", "/api/assessments/" + id + "/key", "{\"revision\": 0, \"definition\": " + definition + "}");
        return id;
    }

    /** The sitting. */
    String giveOut(String paper, String section) throws IOException {
        for (JsonNode one : teacher.ok("GET", "/api/assessments/" + paper, "").get("sections")) {
            if (one.get("name").stringValue().equals("Section " + section)) {
                return teacher.ok(
                                "POST",
                                "/api/assessments/" + paper + "/sittings",
                                Json.MAPPER.writeValueAsString(Map.of(
                                        "section", one.get("id").stringValue(),
                                        "opens", Instant.now().minusSeconds(60).toString(),
                                        "closes",
                                                Instant.now().plusSeconds(7_200).toString())))
                        .get("sitting")
                        .stringValue();
            }
        }
        throw new IOException("no section " + section);
    }

    /** Somebody who writes: who it is, and the attempt that they are at. */
    record Writer(Person person, String attempt) {
        Wire.Reply save(String item, String json) throws IOException {
            return person.send(
                    "PUT",
                    "/api/student/attempts/" + attempt + "/answers/" + item,
                    "{\"answer\": " + json + ", \"flagged\": false}");
        }

        Wire.Reply handIn() throws IOException {
            return person.send("POST", "/api/student/attempts/" + attempt + "/hand-in", "");
        }
    }

    List<Person> students(String section, int from, int howMany) throws IOException {
        List<Person> all = new ArrayList<>();
        for (int i = from; i < from + howMany; i++) {
            all.add(Person.signedIn(port, idOf(section + " Load" + i)));
        }
        return all;
    }

    static List<Writer> begin(String sitting, List<Person> students) throws IOException {
        List<Writer> all = new ArrayList<>();
        for (Person student : students) {
            String attempt = student.ok("POST", "/api/student/sittings/" + sitting + "/attempt", "")
                    .get("attempt")
                    .stringValue();
            all.add(new Writer(student, attempt));
        }
        return all;
    }
}
