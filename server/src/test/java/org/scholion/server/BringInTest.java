package org.scholion.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.scholion.server.ledger.Standings;
import org.scholion.server.testing.AboutFile;
import org.scholion.server.testing.Lesson;
import org.scholion.server.testing.Scholion;
import org.scholion.server.testing.TestDatabase;
import org.scholion.server.testing.Visitor;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

@ExtendWith(Scholion.class)
class BringInTest {
    private static Path data(String name) {
        return TestDatabase.root().resolve("docs/examples").resolve(name);
    }

    private static String evening(Visitor aud) {
        String course = aud.get("/api/courses").ok().get(0).get("id").stringValue();
        JsonNode found = aud.get("/api/courses/" + course + "/assessments").ok();
        return found.valueStream()
                .filter(a -> a.get("title").stringValue().equals("Evening test"))
                .findFirst()
                .map(a -> "/api/assessments/" + a.get("id").stringValue())
                .orElseThrow();
    }

    @Test
    void a_messy_export_comes_in_as_far_as_it_is_certain_and_every_doubt_is_asked_once(
            Scholion.Running school, Standings standings) throws IOException {
        Visitor aud = school.as("Aud Meller");
        String path = evening(aud);
        String file = Files.readString(data("evening-test.csv"));
        JsonNode view = aud.sendFile(path + "/bring-in/preview", file).ok();
        assertThat(view.get("faults")).isEmpty();
        assertThat(view.get("columns")
                        .valueStream()
                        .map(c -> c.get("use").stringValue())
                        .limit(5))
                .containsExactly("LEFT_OUT", "EMAIL", "NAME", "LEFT_OUT", "ITEM");
        assertThat(view.get("without")).isEmpty();
        assertThat(view.get("keyLine").intValue()).isEqualTo(4);
        assertThat(view.get("twice").intValue()).isEqualTo(1);
        assertThat(view.get("missing").toString()).contains("Lund, Zofia", "Rudd, Maude");
        assertThat(view.get("rows"))
                .singleElement()
                .satisfies(r -> assertThat(r.get("near")).isNotEmpty());

        assertThat(aud.sendFile(path + "/bring-in", file).isRefused(422).detail())
                .contains("decisions are missing");
        assertThat(aud.get(path + "/collect").ok().get("sittings"))
                .as("nothing came in half")
                .isEmpty();

        AboutFile said = new AboutFile().takesLast();
        view.get("cells")
                .forEach(c ->
                        said.reads(c.get("item").stringValue(), c.get("cell").stringValue(), ""));
        JsonNode taken = aud.sendFile(path + "/bring-in", file, said.said()).ok();
        int students = taken.get("students").intValue();
        assertThat(students).isEqualTo(view.get("students").intValue());
        assertThat(aud.get(path).ok().get("line").get("in").intValue()).isEqualTo(students);
        assertThat(aud.get(path + "/doubts").body()).contains("thirteen");
        assertThat(standings.differences()).isEmpty();

        JsonNode again =
                aud.sendFile(path + "/bring-in/preview", file, said.said()).ok();
        assertThat(again.get("students").intValue()).as("nobody comes in twice").isZero();
        assertThat(again.get("asBefore").intValue()).isEqualTo(students);
        said.gives(
                view.get("rows").get(0).get("line").intValue(),
                view.get("rows").get(0).get("near").get(0).get("id").stringValue());
        JsonNode later = aud.sendFile(path + "/bring-in", file, said.said()).ok();
        assertThat(later.get("students").intValue())
                .as("a row that waited comes in later, given to a student by hand")
                .isEqualTo(1);
    }

    @Test
    void a_changed_answer_of_somebody_who_is_in_already_is_named_and_changes_nothing(Scholion.Running school) {
        Lesson lesson = Lesson.written(school, "Twice brought in");
        Map<String, Object> said = new AboutFile().notAsked("q2", "q3", "q4").said();
        lesson.teacher
                .sendFile(lesson.path("/bring-in"), "number,q1\n40200,a\n40208,b\n", said)
                .ok();
        JsonNode again = lesson.teacher
                .sendFile(lesson.path("/bring-in"), "number,q1\n40200,b\n40208,b\n40216,a\n", said)
                .ok();
        assertThat(again.get("changed").get(0).get("name").stringValue()).isEqualTo("Tamsin Orrel");
        assertThat(again.get("asBefore").intValue()).isEqualTo(1);
        assertThat(again.get("students").intValue()).isEqualTo(1);
        assertThat(lesson.teacher
                        .get(lesson.path("/hand-back"))
                        .ok()
                        .get("students")
                        .toString())
                .contains("\"name\":\"Tamsin Orrel\"");
    }

    @Test
    void a_question_that_was_not_asked_counts_nothing_and_one_without_an_answer_does(Scholion.Running school) {
        for (boolean asked : List.of(true, false)) {
            Lesson lesson = Lesson.written(school, "Asked " + asked);
            AboutFile said = new AboutFile().notAsked("q3", "q4");
            said = asked ? said.noAnswer("q2") : said.notAsked("q2");
            lesson.teacher
                    .sendFile(lesson.path("/bring-in"), "number,q1\n40200,a\n", said.said())
                    .ok();
            JsonNode one = lesson.teacher
                    .get(lesson.path("/hand-back"))
                    .ok()
                    .get("students")
                    .get(0);
            assertThat(one.get("score").stringValue()).isEqualTo("1");
            assertThat(one.get("possible").stringValue()).isEqualTo(asked ? "3" : "1");
        }
    }

    @Test
    void letters_of_a_sheet_reader_come_in_and_the_long_table_of_another_program(Scholion.Running school)
            throws IOException {
        Visitor aud = school.as("Aud Meller");
        String course = aud.get("/api/courses").ok().get(0).get("id").stringValue();
        String letters = aud.post("/api/assessments", Map.of("course", course, "title", "Sheet reader"))
                .ok()
                .get("id")
                .stringValue();
        ArrayNode items = JsonNodeFactory.instance.arrayNode();
        for (int n = 1; n <= 25; n++) {
            ObjectNode item =
                    items.addObject().put("id", "q" + n).put("kind", "choice").put("points", "1");
            ArrayNode options = item.putArray("options");
            "abcd"
                    .chars()
                    .forEach(c -> options.addObject()
                            .put("id", "" + (char) c)
                            .put("text", ("" + (char) c).toUpperCase(java.util.Locale.ROOT)));
            item.putArray("key").add("a");
        }
        aud.put(
                        "/api/assessments/" + letters + "/key",
                        Map.of(
                                "definition",
                                Map.of(
                                        "format",
                                        "scholion-assessment/1",
                                        "title",
                                        "Sheet reader",
                                        "language",
                                        "en",
                                        "items",
                                        Lesson.plain(items)),
                                "revision",
                                0))
                .ok();
        String path = "/api/assessments/" + letters + "/bring-in";
        JsonNode view = aud.sendFile(path + "/preview", Files.readString(data("letters.txt")))
                .ok();
        assertThat(view.get("shape").stringValue()).isEqualTo("LETTERS");
        assertThat(view.get("keyLine").intValue()).isEqualTo(2);
        assertThat(view.get("rows").valueStream().map(r -> r.get("why").stringValue()))
                .as("one string is short, one number fits nobody")
                .hasSize(2)
                .anySatisfy(w -> assertThat(w).contains("its string has"))
                .anySatisfy(w -> assertThat(w).contains("is nobody of these sections"));
        assertThat(view.get("cells").valueStream().map(c -> c.get("cell").stringValue()))
                .containsExactlyInAnyOrder("-", "*");
        Map<String, Object> said =
                new AboutFile().reads("", "-", "").reads("", "*", "").said();
        assertThat(aud.sendFile(path, Files.readString(data("letters.txt")), said)
                        .ok()
                        .get("students")
                        .intValue())
                .isGreaterThan(40);

        JsonNode wide = aud.sendFile(evening(aud) + "/bring-in/preview", Files.readString(data("long-shape.csv")))
                .ok();
        assertThat(wide.get("shape").stringValue()).isEqualTo("LONG");
        assertThat(wide.get("faults")).isEmpty();
        assertThat(wide.get("columns")
                        .valueStream()
                        .filter(c -> c.get("use").stringValue().equals("ITEM")))
                .hasSizeGreaterThan(4);
    }

    @Test
    void a_paper_that_was_given_elsewhere_is_made_from_the_file_and_scored(Scholion.Running school) throws IOException {
        Visitor aud = school.as("Aud Meller");
        String course = aud.get("/api/courses").ok().get(0).get("id").stringValue();
        String id = aud.post("/api/assessments", Map.of("course", course, "title", "Given elsewhere"))
                .ok()
                .get("id")
                .stringValue();
        String path = "/api/assessments/" + id + "/bring-in";
        String file = Files.readString(data("evening-test.csv"));
        JsonNode made = aud.sendFile(path + "/preview", file).ok().get("made");
        assertThat(made.valueStream().map(q -> q.get("kind").stringValue()).filter(k -> !k.equals("LEFT_OUT")))
                .containsExactly(
                        "CHOICE", "CHOICE", "CHOICE", "CHOICE", "CHOICE", "SEVERAL", "TEXT", "TEXT", "NUMBER", "NUMBER",
                        "OPEN");
        assertThat(aud.sendFile(path + "/questions", file).ok().get("questions").intValue())
                .isEqualTo(11);
        assertThat(aud.sendFile(path + "/questions", file).isRefused(409).detail())
                .contains("has questions already");
        JsonNode view = aud.sendFile(path + "/preview", file).ok();
        assertThat(view.get("faults")).isEmpty();
        AboutFile said = new AboutFile().takesLast();
        view.get("cells")
                .forEach(c ->
                        said.reads(c.get("item").stringValue(), c.get("cell").stringValue(), ""));
        assertThat(aud.sendFile(path, file, said.said()).ok().get("students").intValue())
                .isGreaterThan(45);
    }

    @Test
    void a_plain_table_by_number_comes_in_and_is_scored(Scholion.Running school) {
        Lesson lesson = Lesson.written(school, "Plain table");
        String file = "q3\tnumber\t1\tQuestion 2\n10 nmi\t40200\tb\tbowline\n9\t40208\tAt springs\t\n";
        lesson.teacher
                .sendFile(
                        lesson.path("/bring-in"),
                        file,
                        new AboutFile().noAnswer("q4").said())
                .ok();
        JsonNode monitor = lesson.teacher.get(lesson.path("/collect")).ok();
        assertThat(monitor.get("in").intValue()).isEqualTo(2);
        JsonNode book = lesson.teacher.get(lesson.path("/hand-back")).ok();
        assertThat(book.get("students")
                        .valueStream()
                        .map(s -> s.get("name").stringValue() + " "
                                + s.get("score").stringValue()))
                .containsExactly("Lotte Marrin 1", "Tamsin Orrel 4");
    }

    @Test
    void a_kind_without_a_field_on_screen_comes_in_from_a_file_and_is_not_given_out(Scholion.Running school) {
        Lesson lesson = Lesson.written(school, "Matching");
        ObjectNode draft = Lesson.definition("Matching").asObject();
        ObjectNode pairs = draft.putArray("items")
                .addObject()
                .put("id", "q1")
                .put("kind", "pairs")
                .put("points", "2");
        pairs.putArray("left").add(named("n")).add(named("s"));
        pairs.putArray("right").add(named("up")).add(named("down"));
        pairs.putArray("key").add(pair("n", "up")).add(pair("s", "down"));
        ObjectNode spot = draft.get("items")
                .asArray()
                .addObject()
                .put("id", "q2")
                .put("kind", "spot")
                .put("points", "1");
        spot.putArray("regions")
                .addObject()
                .put("id", "g")
                .putArray("circle")
                .add("0.5")
                .add("0.5")
                .add("0.1");
        spot.putArray("key").add("g");
        lesson.teacher
                .put(lesson.path("/key"), Map.of("definition", Lesson.plain(draft), "revision", 1))
                .ok();
        assertThat(lesson.giveOut("A").isRefused(422).detail()).contains("question 2 has no picture yet");
        assertThat(lesson.teacher.get(lesson.path("/editions")).ok())
                .as("nothing is half given out")
                .isEmpty();
        String file = "number;q1\n40200;[[\"n\",\"up\"],[\"s\",\"down\"]]\n40208;[[\"n\",\"down\"]]\n";
        lesson.teacher
                .sendFile(
                        lesson.path("/bring-in"),
                        file,
                        new AboutFile().notAsked("q2").said())
                .ok();
        JsonNode students = lesson.teacher.get(lesson.path("/hand-back")).ok().get("students");
        assertThat(students.valueStream()
                        .map(s -> s.get("name").stringValue() + " "
                                + s.get("score").stringValue()))
                .containsExactly("Lotte Marrin 0", "Tamsin Orrel 2");
    }

    private static ObjectNode named(String id) {
        return JsonNodeFactory.instance.objectNode().put("id", id).put("text", "the " + id);
    }

    private static ArrayNode pair(String left, String right) {
        return JsonNodeFactory.instance.arrayNode().add(left).add(right);
    }

    @Test
    void what_is_no_option_is_asked_before_anything_comes_in(Scholion.Running school) {
        Lesson lesson = Lesson.written(school, "No option");
        String file = "number,q1\n40200,At noon\n99999,a\n";
        AboutFile said = new AboutFile().notAsked("q2", "q3", "q4");
        lesson.teacher.sendFile(lesson.path("/bring-in"), file, said.said()).isRefused(422);
        JsonNode taken = lesson.teacher
                .sendFile(
                        lesson.path("/bring-in"),
                        file,
                        said.reads("q1", "At noon", "a").said())
                .ok();
        assertThat(taken.get("students").intValue()).isEqualTo(1);
        assertThat(taken.get("rows").toString()).contains("“99999” is nobody of these sections");
    }

    @Test
    void a_file_that_is_no_table_gets_a_clear_word(Scholion.Running school) {
        Lesson lesson = Lesson.written(school, "No table");
        assertThat(lesson.teacher
                        .sendFile(lesson.path("/bring-in/preview"), "")
                        .isRefused(422)
                        .detail())
                .contains("empty");
        assertThat(lesson.teacher
                        .sendFile(lesson.path("/bring-in/preview"), "number,q1\n40200,a\n", Map.of("nothing", "known"))
                        .isRefused(422)
                        .detail())
                .contains("what was said about the file cannot be read");
        JsonNode view = lesson.teacher
                .sendFile(lesson.path("/bring-in/preview"), "x,y\n1,2\n")
                .ok();
        assertThat(view.get("faults").toString())
                .contains("No column identifies the students", "No column is a question");
    }

    @Test
    void the_paper_shows_matching_and_ordering_without_their_key(Scholion.Running school) {
        Lesson lesson = Lesson.written(school, "On screen");
        ObjectNode draft = Lesson.definition("On screen").asObject();
        ObjectNode order = draft.putArray("items")
                .addObject()
                .put("id", "q1")
                .put("kind", "order")
                .put("points", "2");
        order.putArray("tokens")
                .add(named("one"))
                .add(named("two"))
                .add(named("three"))
                .add(named("four"));
        order.putArray("key").add("one").add("two").add("three").add("four");
        ObjectNode working = draft.get("items")
                .asArray()
                .addObject()
                .put("id", "q2")
                .put("kind", "working")
                .put("points", "4");
        working.put("start", "2x = 4").putArray("accept").add("x = 2");
        working.putArray("variables").add("x");
        lesson.teacher
                .put(lesson.path("/key"), Map.of("definition", Lesson.plain(draft), "revision", 1))
                .ok();
        lesson.giveOut("A").ok();
        Visitor student = school.as("Noor Haddix");
        String attempt = lesson.begin(student);
        JsonNode paper = student.get("/api/student/attempts/" + attempt).ok();
        assertThat(paper.toString()).contains("2x = 4").doesNotContain("x = 2");
        Lesson.answer(student, attempt, "q1", List.of("the one", "the two", "the three", "the four"))
                .ok();
        Lesson.answer(student, attempt, "q2", List.of("x = 4/2", "x = 2")).ok();
        student.post("/api/student/attempts/" + attempt + "/hand-in", null).ok();
        JsonNode trace =
                lesson.teacher.get("/api/attempts/" + attempt + "/trace").ok();
        assertThat(trace.get("standing").get("percent").stringValue()).isEqualTo("100.0");
        assertThat(trace.get("because").stringValue()).isEqualTo("6 of 6 points; 100%");
    }

    private static JsonNode line(Lesson lesson) {
        return lesson.teacher.get(lesson.path("/brought-in")).ok().get(0);
    }

    private static Visitor.Reply takeBack(Lesson lesson, JsonNode line, boolean withReadings) {
        return lesson.teacher.post(
                lesson.path("/brought-in/" + line.get("id").stringValue() + "/take-back"),
                Map.of("withReadings", withReadings));
    }

    private static final String TWO =
            "student,q1,q2,q3,q4\nLotte Marrin,a,bowline,10 nmi,because\nTamsin Orrel,b,reef knot,9 nmi,so\n";

    @Test
    void a_file_is_taken_back_as_a_whole_and_comes_in_again(Scholion.Running school, Standings standings) {
        Lesson lesson = Lesson.written(school, "Taken back");
        lesson.teacher.sendFile(lesson.path("/bring-in"), TWO).ok();
        JsonNode line = line(lesson);
        assertThat(line.get("file").stringValue()).isEqualTo("f.csv");
        assertThat(line.get("by").stringValue()).isEqualTo("Aud Meller");
        assertThat(line.get("students").intValue()).isEqualTo(2);
        assertThat(lesson.teacher.get(lesson.path("/collect")).ok().get("in").intValue())
                .isEqualTo(2);

        takeBack(lesson, line, false).ok();
        JsonNode after = lesson.teacher.get(lesson.path("/collect")).ok();
        assertThat(after.get("in").intValue()).isZero();
        assertThat(after.get("sittings"))
                .as("the sitting was made for the file")
                .isEmpty();
        assertThat(line(lesson).get("takenBackAt").isNull()).isFalse();
        assertThat(line(lesson).get("students").intValue()).isZero();
        takeBack(lesson, line, false).isRefused(404);

        lesson.teacher.sendFile(lesson.path("/bring-in"), TWO).ok();
        assertThat(lesson.teacher.get(lesson.path("/collect")).ok().get("in").intValue())
                .isEqualTo(2);
        assertThat(lesson.teacher.get(lesson.path("/brought-in")).ok()).hasSize(2);
        assertThat(standings.differences()).isEmpty();
    }

    @Test
    void what_came_in_otherwise_stays_when_a_file_is_taken_back(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "Beside a file", "A").sits("Noor Haddix", List.of("a"), "x", "y", "z");
        lesson.teacher.sendFile(lesson.path("/bring-in"), TWO).ok();
        assertThat(lesson.teacher.get(lesson.path("/collect")).ok().get("in").intValue())
                .isEqualTo(3);
        takeBack(lesson, line(lesson), false).ok();
        JsonNode after = lesson.teacher.get(lesson.path("/collect")).ok();
        assertThat(after.get("in").intValue()).isEqualTo(1);
        assertThat(after.get("sittings"))
                .as("it was given out, not made for the file")
                .hasSize(1);
        assertThat(lesson.teacher.get(lesson.path("/examine")).ok().toString()).contains("\"n\":1,");
    }

    @Test
    void what_was_read_goes_only_when_it_is_said_and_what_was_handed_back_stays(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "Read meanwhile", "A");
        lesson.teacher.sendFile(lesson.path("/bring-in"), TWO).ok();
        lesson.reads(
                        "Lotte Marrin",
                        "q4",
                        Map.of("levels", Map.of("c1", "1"), "comment", "", "note", "", "hold", false))
                .ok();
        assertThat(line(lesson).get("read").intValue()).isEqualTo(1);
        Visitor.Reply asked = takeBack(lesson, line(lesson), false).isRefused(409);
        assertThat(asked.code()).isEqualTo("read");
        assertThat(asked.detail()).contains("Answers of 1 students have been read");
        lesson.handsBack("Lotte Marrin").ok();
        assertThat(takeBack(lesson, line(lesson), true).isRefused(409).code()).isEqualTo("handed-back");
        assertThat(lesson.teacher.get(lesson.path("/collect")).ok().get("in").intValue())
                .isEqualTo(2);
    }

    @Test
    void a_file_is_taken_back_by_nobody_else_and_through_no_other_assessment(Scholion.Running school) {
        Lesson lesson = Lesson.written(school, "Somebody else's file");
        lesson.teacher.sendFile(lesson.path("/bring-in"), TWO).ok();
        Lesson other = Lesson.written(school, "Another paper");
        takeBack(other, line(lesson), true).isRefused(404);
        school.as("Noor Haddix").get(lesson.path("/brought-in")).isRefused(403);
        assertThat(line(lesson).get("students").intValue()).isEqualTo(2);
    }

    @Test
    void other_answers_of_a_file_are_asked_about_and_replace_only_what_came_from_a_file(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "Put right", "A").sits("Noor Haddix", List.of("a"), "x", "y", "z");
        lesson.teacher.sendFile(lesson.path("/bring-in"), TWO).ok();
        String again = TWO.replace("Lotte Marrin,a", "Lotte Marrin,b").replace("Tamsin Orrel,b", "Tamsin Orrel,a")
                + "Noor Haddix,b,x,y,z\n";
        JsonNode view =
                lesson.teacher.sendFile(lesson.path("/bring-in/preview"), again).ok();
        assertThat(view.get("students").intValue()).isZero();
        assertThat(view.get("changed")
                        .valueStream()
                        .map(c -> c.get("name").stringValue() + " "
                                + c.get("fromFile").booleanValue()))
                .containsExactlyInAnyOrder("Noor Haddix false", "Lotte Marrin true", "Tamsin Orrel true");
        lesson.handsBack("Tamsin Orrel").ok();
        AboutFile said = new AboutFile();
        view.get("changed").forEach(c -> said.replaces(c.get("student").stringValue()));
        JsonNode taken = lesson.teacher
                .sendFile(lesson.path("/bring-in"), again, said.said())
                .ok();
        assertThat(taken.get("students").intValue())
                .as("not who answered on screen, and not who has the result")
                .isEqualTo(1);
        assertThat(lesson.mark("Lotte Marrin", "q1").toString()).contains("\"0\"");
        assertThat(lesson.teacher.get(lesson.path("/collect")).ok().get("in").intValue())
                .isEqualTo(3);
    }
}
