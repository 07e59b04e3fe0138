package org.scholion.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.scholion.formats.json.Json;
import org.scholion.server.testing.Lesson;
import org.scholion.server.testing.OnPaper;
import org.scholion.server.testing.Scholion;
import org.scholion.server.testing.Visitor;
import tools.jackson.databind.JsonNode;

/**
 * A paper with a question of every kind, whose key is recognised wherever it stands. At each moment everything that a
 * student can fetch, or be handed on paper, is searched for any part of it, and for the right order.
 */
@ExtendWith(Scholion.class)
class NoKeyBeforeItsTimeTest {
    private static final String PAPER = """
            {"format": "scholion-assessment/1", "title": "%s", "language": "en", "shuffle": {"options": true}, "items": [
              {"id": "q1", "kind": "choice", "points": "1", "prompt": "Which light?", "options": [{"id": "KEYa", "text": "red"},
                {"id": "KEYb", "text": "green"}, {"id": "KEYc", "text": "white"}], "key": ["KEYa"], "credits": {"KEYb": "1/7"}},
              {"id": "q2", "kind": "text", "points": "1", "prompt": "A loop?", "otherwise": "wrong", "spelling": "length",
                "accept": [{"text": "keyworded"}, {"pattern": "keypattern+"}, {"words": {"all": ["keyall"], "any": ["keyany"],
                  "none": ["keynone"]}, "credit": "1/2"}],
                "reject": [{"text": "reef knot", "note": "keynote: it joins"}]},
              {"id": "q3", "kind": "number", "points": "1", "prompt": "How far?", "accept": [{"value": "9173648.25", "within": "0.1"}],
                "unit": {"expect": "nmi", "missing": "1/3", "wrong": "1/9"}, "figures": {"count": 9, "otherwise": "1/2"}},
              {"id": "q4", "kind": "blanks", "points": "1", "prompt": "After high water comes the [b1], at {b2}.", "parts": [
                {"id": "b1", "kind": "text", "accept": [{"text": "keyebb"}], "otherwise": "wrong"},
                {"id": "b2", "kind": "choice", "options": [{"id": "KEYx", "text": "noon"}, {"id": "KEYy", "text": "dusk"}],
                  "key": ["KEYy"]}]},
              {"id": "q5", "kind": "pairs", "points": "1", "prompt": "Which side?", "left": [{"id": "KEYl1", "text": "lone"},
                {"id": "KEYl2", "text": "ltwo"}, {"id": "KEYl3", "text": "lthree"}], "right": [{"id": "KEYr1", "text": "rone"},
                {"id": "KEYr2", "text": "rtwo"}, {"id": "KEYr3", "text": "rthree"}],
                "key": [["KEYl1", "KEYr1"], ["KEYl2", "KEYr2"], ["KEYl3", "KEYr3"]]},
              {"id": "q6", "kind": "order", "points": "1", "prompt": "From low water on", "tokens": [
                {"id": "KEYs1", "text": "sone"}, {"id": "KEYs2", "text": "stwo"}, {"id": "KEYs3", "text": "sthree"},
                {"id": "KEYs4", "text": "sfour"}], "key": ["KEYs1", "KEYs2", "KEYs3", "KEYs4"], "rule": "couples"},
              {"id": "q7", "kind": "correction", "points": "1", "prompt": "Put right.", "source": "The tide are rising.",
                "accept": ["The keytide is rising."]},
              {"id": "q8", "kind": "formula", "points": "1", "prompt": "Multiply out.", "accept": ["x^2 + 9173648x + 7"],
                "variables": ["x"], "form": "expanded", "formCredit": "1/2"},
              {"id": "q9", "kind": "working", "points": "1", "prompt": "Solve.", "start": "2x = 18347296", "accept": ["x = 9173648"],
                "variables": ["x"]},
              {"id": "q10", "kind": "open", "points": "5", "prompt": "Why?", "rubric": {"criteria": [{"id": "c1",
                "title": "keycriterion", "levels": [{"id": "0", "points": "0", "text": "keylevel none"},
                {"id": "1", "points": "5", "text": "keylevel all"}]}]}},
              {"id": "q11", "kind": "number", "points": "1", "prompt": "How many?", "accept": [{"value": "9173648"}]},
              {"id": "q12", "kind": "text", "points": "1", "prompt": "What is this?", "otherwise": "wrong",
                "spelling": "two", "accept": [{"text": "keyanchor"}], "reject": [{"text": "mooring", "note": "keynote"}]}],
             "grading": {"pass": "60"}}
            """;

    /** No part of any of these is for students, ids included; each is too long to stand in a random id by chance. */
    private static final List<String> PARTS_OF_THE_KEY = List.of(
            "KEY",
            "keyworded",
            "keypattern",
            "keyall",
            "keyany",
            "keynone",
            "keynote",
            "keyebb",
            "keytide",
            "keyanchor",
            "keycriterion",
            "keylevel",
            "9173648",
            "accept\"",
            "reject\"",
            "\"key\":[",
            "rubric");

    private final Map<String, String> seen = new LinkedHashMap<>();

    private void look(Visitor student, String when, String... paths) {
        for (String path : paths) {
            seen.put(seen.size() + " " + when + ", " + path, student.get(path).body());
        }
    }

    private void everythingOf(Visitor student, String when, String attempt) {
        look(
                student,
                when,
                "/api/session",
                "/api/student/todo",
                "/api/student/results",
                "/api/student/attempts/" + attempt,
                "/api/student/attempts/" + attempt + "/hand-in");
    }

    private void noneOfItTells() {
        seen.forEach((where, body) -> {
            for (String part : PARTS_OF_THE_KEY) {
                assertThat(body).as("%s tells %s", where, part).doesNotContain(part);
            }
            assertThat(body).as("%s tells the unit", where).doesNotMatch("(?s).*\\bnmi\\b.*");
            assertThat(body)
                    .as("%s gives the steps in their order", where)
                    .doesNotMatch("(?s).*sone.*stwo.*sthree.*sfour.*");
            assertThat(body).as("%s gives the pairs in their order", where).doesNotMatch("(?s).*rone.*rtwo.*rthree.*");
        });
    }

    private static Lesson given(Scholion.Running school, String title) {
        Lesson lesson = Lesson.written(school, title);
        lesson.teacher
                .put(
                        lesson.path("/key"),
                        Map.of("definition", Lesson.plain(Json.read(PAPER.formatted(title))), "revision", 1))
                .ok();
        lesson.giveOut("A").ok();
        return lesson;
    }

    /** Wrong in as many ways as reasons can tell. */
    private static Map<String, Object> wrong(int variant) {
        Map<String, Object> said = new LinkedHashMap<>();
        said.put("q1", List.of("green"));
        said.put("q2", List.of("reef knot", "keyworde", "kewords", "sheet").get(variant));
        said.put("q3", List.of("17", "17 km", "16989596.559 km", "12.5 s").get(variant));
        said.put("q5", List.of(List.of("lone", "rtwo"), List.of("ltwo", "rone")));
        said.put("q6", List.of("sfour", "stwo", "sone", "sthree"));
        said.put(
                "q7",
                List.of("The tides are rising.", "The tide rises.", "Tide.", "?")
                        .get(variant));
        said.put("q8", List.of("x^2 + 3x", "x(x + 4)", "(x+1)^3", "a + b").get(variant));
        said.put("q9", List.of("x = 5", "x = 4", "x = 3", "x = 2").subList(0, variant + 1));
        said.put("q10", "Because the moon pulls.");
        said.put("q11", List.of("12", "13", "twelve", "1,2,3").get(variant));
        said.put("q12", List.of("mooring", "morring", "buoy", "a mooring").get(variant));
        return said;
    }

    private static void answer(Visitor student, String attempt, Map<String, Object> said) {
        said.forEach(
                (item, answer) -> Lesson.answer(student, attempt, item, answer).ok());
        String dusk =
                OnPaper.of(student, attempt, "q4").own(List.of("noon")).get(0).toString();
        Lesson.say(student, attempt, "q4", Map.of("b1", "flood", "b2", List.of(dusk)))
                .ok();
    }

    @Test
    void nothing_tells_the_key_while_it_is_taken_nor_after_handing_in_nor_with_a_result_without_right_answers(
            Scholion.Running school) {
        Lesson lesson = given(school, "Searched");
        List<String> names = List.of("Noor Haddix", "Tamsin Orrel", "Lotte Marrin", "Yuki Tarn");
        Map<String, Object> sees = Map.of("score", true, "marks", true, "answers", true, "notes", true, "keys", false);
        List<String> attempts = new ArrayList<>();
        for (int i = 0; i < names.size(); i++) {
            Visitor student = school.as(names.get(i));
            look(student, "before", "/api/student/todo", "/api/student/results");
            String attempt = lesson.begin(student);
            attempts.add(attempt);
            everythingOf(student, "begun", attempt);
            seen.put(
                    "refused " + i,
                    Lesson.say(student, attempt, "q1", List.of("z")).body()
                            + Lesson.say(student, attempt, "q5", List.of(List.of("x", "y")))
                                    .body()
                            + Lesson.say(student, attempt, "q6", List.of("KEys9", "KEys9"))
                                    .body()
                            + Lesson.say(student, attempt, "q9", "x = 1").body());
            answer(student, attempt, wrong(i));
            everythingOf(student, "answered", attempt);
            student.post("/api/student/attempts/" + attempt + "/hand-in", null).ok();
            everythingOf(student, "handed in", attempt);
        }
        lesson.teacher
                .post(lesson.path("/hand-back"), Map.of("attempts", attempts, "sees", sees, "messages", List.of()))
                .ok();
        for (String name : names) {
            Visitor student = school.as(name);
            look(student, "handed back", "/api/student/results");
            for (JsonNode line : student.get("/api/student/results").ok()) {
                if (line.get("title").stringValue().equals("Searched")) {
                    look(
                            student,
                            "handed back",
                            "/api/student/results/" + line.get("id").stringValue());
                }
            }
        }
        assertThat(seen).hasSizeGreaterThan(60);
        noneOfItTells();
    }

    @Test
    void with_right_answers_shown_the_same_result_tells_them(Scholion.Running school) {
        Lesson lesson = given(school, "Shown");
        Visitor student = school.as("Noor Haddix");
        String attempt = lesson.begin(student);
        answer(student, attempt, wrong(0));
        student.post("/api/student/attempts/" + attempt + "/hand-in", null).ok();
        Map<String, Object> sees = Map.of("score", true, "marks", true, "answers", true, "notes", true, "keys", true);
        lesson.teacher
                .post(
                        lesson.path("/hand-back"),
                        Map.of("attempts", List.of(attempt), "sees", sees, "messages", List.of()))
                .ok();
        JsonNode result = student.get("/api/student/results").ok().get(0);
        assertThat(student.get("/api/student/results/" + result.get("id").stringValue())
                        .body())
                .contains("keyworded", "keynote", "9173648.25", "keyebb", "keytide");
    }

    /** A student's paper without the time at which it was asked for. */
    private static JsonNode paper(Visitor student, String attempt) {
        JsonNode paper = student.get("/api/student/attempts/" + attempt).ok();
        paper.asObject().remove("now");
        return paper;
    }

    @Test
    void ids_and_their_order_tell_nothing_and_no_two_students_have_the_same(Scholion.Running school) {
        Lesson lesson = given(school, "Opaque");
        List<String> names = List.of(
                "Noor Haddix",
                "Tamsin Orrel",
                "Lotte Marrin",
                "Yuki Tarn",
                "Dov Kessler",
                "Ewan Pryce",
                "Ivo Lomas",
                "Oona Rusk",
                "Alby Eddis",
                "Gwen Kyle");
        Set<String> ids = new TreeSet<>();
        int sorted = 0;
        int all = 0;
        for (String name : names) {
            Visitor student = school.as(name);
            String attempt = lesson.begin(student);
            for (String item : List.of("q1", "q4", "q5", "q6")) {
                Set<String> own = OnPaper.of(student, attempt, item).ids();
                all += own.size();
                ids.addAll(own);
            }
            JsonNode steps = OnPaper.of(student, attempt, "q6").item().get("options");
            List<String> byId = steps.valueStream()
                    .sorted(java.util.Comparator.comparing(o -> o.get("id").stringValue()))
                    .map(o -> o.get("text").stringValue())
                    .toList();
            sorted += byId.equals(List.of("sone", "stwo", "sthree", "sfour")) ? 1 : 0;
            assertThat(paper(student, attempt)).as("the same at every visit").isEqualTo(paper(student, attempt));
        }
        assertThat(ids).as("no id stands twice, not even on two papers").hasSize(all);
        assertThat(sorted)
                .as("sorting ids gives the order no more often than chance")
                .isLessThan(4);
    }

    @Test
    void answers_are_kept_under_the_keys_own_ids_and_come_back_as_they_were_given(Scholion.Running school) {
        Lesson lesson = given(school, "There and back");
        Visitor student = school.as("Noor Haddix");
        String attempt = lesson.begin(student);
        Map<String, Object> right = Map.of(
                "q1", List.of("red"),
                "q5", List.of(List.of("lone", "rone"), List.of("ltwo", "rtwo"), List.of("lthree", "rthree")),
                "q6", List.of("sone", "stwo", "sthree", "sfour"));
        right.forEach(
                (item, answer) -> Lesson.answer(student, attempt, item, answer).ok());
        JsonNode answers = student.get("/api/student/attempts/" + attempt).ok().get("answers");
        assertThat(answers.get("q6").valueStream().map(JsonNode::stringValue).toList())
                .isEqualTo(OnPaper.of(student, attempt, "q6").own(List.of("sone", "stwo", "sthree", "sfour")));
        student.post("/api/student/attempts/" + attempt + "/hand-in", null).ok();
        for (JsonNode one :
                lesson.teacher.get("/api/attempts/" + attempt + "/trace").ok().get("items")) {
            if (right.containsKey(one.get("item").stringValue())) {
                assertThat(one.get("mark").get("points").stringValue())
                        .as(one.get("item").stringValue())
                        .isEqualTo("1");
            }
        }
    }

    @Test
    void the_printed_paper_gives_no_part_of_the_key_and_no_right_order_in_any_version(Scholion.Running school)
            throws IOException {
        Lesson lesson = given(school, "Printed");
        for (int version = 0; version <= 8; version++) {
            byte[] pdf = lesson.teacher.bytes(lesson.path("/print?version=" + version));
            try (PDDocument document = Loader.loadPDF(pdf)) {
                seen.put(
                        "version " + version,
                        new PDFTextStripper().getText(document).replaceAll("\\s+", " "));
            }
        }
        noneOfItTells();
        assertThat(seen.values())
                .allSatisfy(paper -> assertThat(paper)
                        .contains("high water comes the", "sone", "rthree")
                        .doesNotContain("[b1]", "{b2}", "b1", "b2"));
    }

    @Test
    void what_a_student_may_not_say_makes_no_mark(Scholion.Running school) {
        Lesson lesson = given(school, "Whitelisted");
        Visitor student = school.as("Kofi Sande");
        lesson.giveOut("B").ok();
        String attempt = lesson.begin(student);
        List<Map<String, Object>> readings = List.of(
                Map.of("text", "", "points", "5"),
                Map.of("text", "x", "points", "5"),
                Map.of("text", "x", "levels", Map.of("c1", "1")),
                Map.of("levels", Map.of()));
        for (Map<String, Object> reading : readings) {
            for (int q = 1; q <= 12; q++) {
                assertThat(Lesson.say(student, attempt, "q" + q, reading).status())
                        .as("q%d takes %s", q, reading)
                        .isIn(400, 422);
            }
        }
        Visitor.Reply beside = student.put(
                "/api/student/attempts/" + attempt + "/answers/q10",
                Map.of("answer", "x", "flagged", false, "points", "5", "levels", Map.of("c1", "1")));
        assertThat(beside.status())
                .as("a field that no page sends: %s", beside.body())
                .isIn(400, 422);
        Lesson.answer(student, attempt, "q10", "Because.").ok();
        student.post("/api/student/attempts/" + attempt + "/hand-in", Map.of("marks", Map.of("q10", "5")));
        student.post("/api/student/attempts/" + attempt + "/hand-in", null);
        assertThat(lesson.teacher
                        .get("/api/attempts/" + attempt + "/trace")
                        .ok()
                        .get("standing")
                        .get("score")
                        .stringValue())
                .isEqualTo("0");
    }
}
