package org.scholion.server.testing;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.scholion.formats.json.Json;
import org.springframework.jdbc.core.simple.JdbcClient;
import tools.jackson.databind.JsonNode;

/** A small assessment of a test's own, written and taken over HTTP: choice, short text, number and open. */
public final class Lesson {
    private static final String DEFINITION = """
            {"format": "scholion-assessment/1", "title": "%s", "language": "en", "items": [
              {"id": "q1", "kind": "choice", "points": "1", "prompt": "When is the range greatest?",
               "options": [{"id": "a", "text": "At springs"}, {"id": "b", "text": "At neaps"}], "key": ["a"]},
              {"id": "q2", "kind": "text", "points": "2", "prompt": "Which knot makes a fixed loop?",
               "accept": [{"text": "bowline"}], "spelling": "length", "standards": [{"code": "S1"}]},
              {"id": "q3", "kind": "number", "points": "2", "prompt": "How far in 2 h at 5 kn?",
               "accept": [{"value": "10", "within": "0.1"}], "unit": {"expect": "nmi", "missing": "1/2"}},
              {"id": "q4", "kind": "open", "points": "5", "prompt": "Why does the stream run?",
               "rubric": {"criteria": [
                 {"id": "c1", "title": "Reasoning", "levels": [
                   {"id": "0", "points": "0", "text": "no cause"}, {"id": "1", "points": "2", "text": "a cause"}]},
                 {"id": "c2", "title": "Terms", "levels": [
                   {"id": "0", "points": "0", "text": "none"}, {"id": "1", "points": "3", "text": "right"}]}]}}],
             "grading": {"bands": [{"from": "70", "label": "Secure"}, {"from": "0", "label": "Not yet"}], "pass": "60"}}
            """;

    private final Scholion.Running school;
    public final Visitor teacher;
    public final String id;
    private final Map<String, String> attempts = new HashMap<>();

    private Lesson(Scholion.Running school, Visitor teacher, String id) {
        this.school = school;
        this.teacher = teacher;
        this.id = id;
    }

    public static JsonNode definition(String title) {
        return Json.read(DEFINITION.formatted(title));
    }

    /** An assessment that is there already. */
    public static Lesson of(Scholion.Running school, Visitor teacher, String id) {
        return new Lesson(school, teacher, id);
    }

    /** Written and saved, not given out. */
    public static Lesson written(Scholion.Running school, String title) {
        Visitor aud = school.as("Aud Meller");
        String course = aud.get("/api/courses").ok().get(0).get("id").stringValue();
        String id = aud.post("/api/assessments", Map.of("course", course, "title", title))
                .ok()
                .get("id")
                .stringValue();
        aud.put("/api/assessments/" + id + "/key", Map.of("definition", plain(definition(title)), "revision", 0))
                .ok();
        return new Lesson(school, aud, id);
    }

    /** Written and given out to sections, open now. */
    public static Lesson given(Scholion.Running school, String title, String... sections) {
        Lesson lesson = written(school, title);
        for (String section : sections) {
            lesson.giveOut(section).ok();
        }
        return lesson;
    }

    /** Saves another definition over what is written, before it is given out. */
    public Lesson holds(JsonNode definition) {
        int revision = teacher.get(path("/key")).ok().get("revision").intValue();
        teacher.put(path("/key"), Map.of("definition", plain(definition), "revision", revision))
                .ok();
        return this;
    }

    public Visitor.Reply giveOut(String section) {
        Instant now = Instant.now();
        Map<String, Object> body = new HashMap<>();
        body.put("section", section(section));
        body.put("opens", now.minusSeconds(60).toString());
        body.put("closes", now.plusSeconds(3_600).toString());
        body.put("minutes", null);
        return teacher.post(path("/sittings"), body);
    }

    /** When students who have handed in may see the questions again, in the sitting that was given out first. */
    public Visitor.Reply paperAfter(String when) {
        return teacher.put("/api/sittings/" + sitting() + "/paper-after", Map.of("paperAfter", when));
    }

    /** The time of these sections is up since five minutes; of all when none is named. */
    public void isOver(String... sections) {
        List<UUID> over = new ArrayList<>();
        for (String letter : sections) {
            over.add(UUID.fromString(section(letter)));
        }
        JdbcClient db = school.bean(JdbcClient.class);
        for (String change : List.of(
                "update sitting set closes_at = now() - interval '5 minutes', ends_at = now() - interval '5 minutes', opens_at = now() - interval '1 hour'",
                "update attempt set started_at = now() - interval '50 minutes', due_at = now() - interval '5 minutes'")) {
            db.sql(change + " where assessment_id = :id and (:all or section_id in (:over))")
                    .param("id", UUID.fromString(id))
                    .param("all", over.isEmpty())
                    .param("over", over.isEmpty() ? List.of(UUID.fromString(id)) : over)
                    .update();
        }
    }

    public String sitting() {
        return teacher.get(path("/collect"))
                .ok()
                .get("sittings")
                .get(0)
                .get("id")
                .stringValue();
    }

    public String section(String letter) {
        for (JsonNode s : teacher.get(path("")).ok().get("sections")) {
            if (s.get("name").stringValue().equals("Section " + letter)) {
                return s.get("id").stringValue();
            }
        }
        throw new AssertionError("no section " + letter);
    }

    public String path(String rest) {
        return "/api/assessments/" + id + rest;
    }

    /** A student begins; what they answer is saved and handed in. Null answers are left blank. */
    public Lesson sits(String name, Object q1, Object q2, Object q3, Object q4) {
        Visitor student = school.as(name);
        String attempt = begin(student);
        attempts.put(name, attempt);
        List<Object> answers = new ArrayList<>();
        answers.add(q1);
        answers.add(q2);
        answers.add(q3);
        answers.add(q4);
        for (int i = 0; i < answers.size(); i++) {
            if (answers.get(i) != null) {
                answer(student, attempt, "q" + (i + 1), answers.get(i)).ok();
            }
        }
        student.post("/api/student/attempts/" + attempt + "/hand-in", null).ok();
        return this;
    }

    /** Four of section A, of whom the best three chose what the key of the first question has for wrong. */
    public static Lesson withAWrongKey(Scholion.Running school, String title, String... sections) {
        return given(school, title, sections)
                .sits("Tamsin Orrel", List.of("b"), "bowline", "10 nmi", "Because.")
                .sits("Noor Haddix", List.of("b"), "bowline", "7 nmi", null)
                .sits("Asa Quayle", List.of("b"), "clove hitch", "7 nmi", null)
                .sits("Lotte Marrin", List.of("a"), null, "7", null);
    }

    public String begin(Visitor student) {
        for (JsonNode line : student.get("/api/student/todo").ok()) {
            if (line.get("title").stringValue().equals(title())) {
                return student.post(
                                "/api/student/sittings/" + line.get("sitting").stringValue() + "/attempt", null)
                        .ok()
                        .get("attempt")
                        .stringValue();
            }
        }
        throw new AssertionError("nothing to do is called " + title());
    }

    /** What is chosen is named by its text, as a student finds it on the paper, or by its id in the key above. */
    public static Visitor.Reply answer(Visitor student, String attempt, String item, Object answer) {
        Object said = answer instanceof List<?> list
                ? OnPaper.of(student, attempt, item).own(list)
                : answer;
        return say(student, attempt, item, said);
    }

    /** Sends an answer as it is. */
    public static Visitor.Reply say(Visitor student, String attempt, String item, Object answer) {
        return student.put(
                "/api/student/attempts/" + attempt + "/answers/" + item, Map.of("answer", answer, "flagged", false));
    }

    /** Lets a student, by family name, take it once more. */
    public Visitor.Reply oneMoreFor(String family) {
        String student = teacher.get(path("/collect"))
                .ok()
                .get("rows")
                .valueStream()
                .filter(row -> row.get("family").stringValue().equals(family))
                .findFirst()
                .orElseThrow()
                .get("student")
                .stringValue();
        return teacher.put(
                "/api/sittings/" + sitting() + "/different",
                Map.of("students", List.of(student), "percent", 100, "more", 0, "note", "", "attempts", 1));
    }

    public String title() {
        return teacher.get(path("")).ok().get("title").stringValue();
    }

    /** A change of the key that is given out, made from the latest edition. */
    public Map<String, Object> change(JsonNode definition, String why) {
        return Map.of("definition", plain(definition), "why", why, "edition", edition());
    }

    public int edition() {
        return teacher.get(path("/key")).ok().get("edition").intValue();
    }

    public Visitor.Reply undo() {
        return teacher.post(path("/editions/undo"), Map.of("edition", edition()));
    }

    /** A decision about a group of equal answers, made on the marks that they have now. */
    public Map<String, Object> decision(String item, String form, String credit, String reach) {
        Map<String, Object> decision = new HashMap<>();
        decision.put("item", item);
        decision.put("form", form);
        decision.put("credit", credit);
        decision.put("reach", reach);
        decision.put("saw", saw(item, form, ""));
        return decision;
    }

    public Object saw(String item, String form, String section) {
        for (JsonNode question : teacher.get(path("/doubts" + section)).ok().get("questions")) {
            for (JsonNode group : question.get("groups")) {
                if (question.get("item").stringValue().equals(item)
                        && group.get("form").stringValue().equals(form)) {
                    return plain(group.get("saw"));
                }
            }
        }
        return List.of("nothing of the kind");
    }

    /** The answer of a student to an open question, as a reader sees it with names shown. */
    public JsonNode answerOf(String name, String item) {
        int from = 0;
        JsonNode view;
        do {
            view = teacher.get(path("/readings?names=true&item=" + item + "&from=" + from))
                    .ok();
            for (JsonNode answer : view.get("answers")) {
                if (answer.get("name").stringValue().equals(name)) {
                    return answer;
                }
            }
            from = view.get("from").intValue() + 100;
        } while (!view.get("answers").isEmpty()
                && from < view.get("questions").get(0).get("answers").intValue());
        throw new AssertionError(name + " has not answered " + item);
    }

    /** Reads an answer as it is seen now. */
    public Visitor.Reply reads(String name, String item, Map<String, Object> reading) {
        JsonNode answer = answerOf(name, item);
        Map<String, Object> body = new HashMap<>(reading);
        body.put("saw", answer.get("saw").stringValue());
        return teacher.put(reading(answer, item, ""), body);
    }

    /** Hands the results of students back with everything but the right answers. */
    public Visitor.Reply handsBack(String... names) {
        return handsBack(Map.of("score", true, "marks", true, "answers", true, "notes", true, "keys", false), names);
    }

    /** The same, and what was shown of each standard is seen as well. */
    public Visitor.Reply handsBackWithStandards(String... names) {
        return handsBack(
                Map.of("score", true, "marks", true, "answers", true, "notes", true, "keys", false, "standards", true),
                names);
    }

    private Visitor.Reply handsBack(Map<String, Object> sees, String... names) {
        return teacher.post(
                path("/hand-back"),
                Map.of(
                        "attempts",
                        Arrays.stream(names).map(this::attempt).toList(),
                        "sees",
                        sees,
                        "messages",
                        List.of()));
    }

    public Visitor.Reply undoesReading(String name, String item) {
        JsonNode answer = answerOf(name, item);
        return teacher.post(
                reading(answer, item, "/undo"), Map.of("saw", answer.get("saw").stringValue()));
    }

    public String reading(JsonNode answer, String item, String way) {
        return path("/readings/" + item + "/" + answer.get("answer").stringValue() + way + "?names=true");
    }

    /** The attempt of a student who sits; of one who has not begun, begun now. */
    public String attempt(String name) {
        return attempts.computeIfAbsent(name, n -> begin(school.as(n)));
    }

    /** Another attempt is the one of this student from now on. */
    public Lesson goesOn(String name, String attempt) {
        attempts.put(name, attempt);
        return this;
    }

    public JsonNode trace(String name) {
        return teacher.get("/api/attempts/" + attempt(name) + "/trace").ok();
    }

    /** The current mark of a student's answer to an item. */
    public JsonNode mark(String name, String item) {
        for (JsonNode one : trace(name).get("items")) {
            if (one.get("item").stringValue().equals(item)) {
                return one.get("mark");
            }
        }
        throw new AssertionError("no mark for " + item);
    }

    public static Object plain(JsonNode node) {
        return Json.MAPPER.convertValue(node, Object.class);
    }
}
