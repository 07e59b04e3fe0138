package org.scholion.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.scholion.server.course.Courses;
import org.scholion.server.ledger.Standings;
import org.scholion.server.testing.Colleague;
import org.scholion.server.testing.Lesson;
import org.scholion.server.testing.Scholion;
import org.scholion.server.testing.TestDatabase;
import org.scholion.server.testing.Visitor;
import org.springframework.jdbc.core.simple.JdbcClient;
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
    void a_messy_export_comes_in_as_far_as_it_fits_and_the_rest_is_named(Scholion.Running school, Standings standings) {
        Visitor aud = school.as("Aud Meller");
        String path = evening(aud);
        JsonNode view = aud.sendFile(path + "/bring-in/preview", data("evening-test.csv"))
                .ok();
        assertThat(view.get("columns")
                        .valueStream()
                        .filter(c -> c.get("use").stringValue().equals("ITEM"))
                        .count())
                .isEqualTo(11);
        assertThat(view.get("columns").get(1).get("use").stringValue()).isEqualTo("STUDENT");
        JsonNode faults = view.get("faults");
        assertThat(faults.toString())
                .contains(
                        "a.meller@saltmarsh.example",
                        "Kofi Sande is also in row 6. Skip one of the two.",
                        "By name it could be");
        assertThat(view.get("students").intValue())
                .as("who is there twice is one student")
                .isEqualTo(50 - faults.size());
        assertThat(view.get("missing").toString()).contains("Lund, Zofia", "Rudd, Maude");

        assertThat(aud.sendFile(path + "/bring-in", data("evening-test.csv"))
                        .isRefused(422)
                        .json()
                        .get("places"))
                .hasSize(faults.size());
        assertThat(aud.get(path + "/collect").ok().get("sittings"))
                .as("nothing came in half")
                .isEmpty();

        String lines = String.join(
                ",",
                faults.valueStream()
                        .map(f -> f.get("line").asString())
                        .distinct()
                        .toList());
        JsonNode taken = aud.sendFile(path + "/bring-in?leaveOut=" + lines, data("evening-test.csv"))
                .ok();
        int students = taken.get("students").intValue();
        assertThat(students).isEqualTo(50 - faults.size());
        assertThat(aud.get(path).ok().get("line").get("in").intValue()).isEqualTo(students);
        assertThat(aud.get(path + "/doubts").body()).contains("thirteen");
        assertThat(standings.differences()).isEmpty();

        JsonNode again = aud.sendFile(path + "/bring-in/preview?leaveOut=" + lines, data("evening-test.csv"))
                .ok();
        assertThat(again.get("faults")).as("nobody comes in twice").hasSize(students);
    }

    @Test
    void a_roster_comes_in_without_being_edited_first(Scholion.Running school) {
        Visitor aud = school.as("Aud Meller");
        String course = aud.get("/api/courses").ok().get(0).get("id").stringValue();
        JsonNode effect = aud.sendFile("/api/courses/" + course + "/roster", data("roster.csv"))
                .ok();
        assertThat(effect.get("students").intValue()).isEqualTo(52);
        assertThat(effect.get("isNew").intValue()).as("the demo knows them all").isZero();
        JsonNode more = aud.sendFile(
                        "/api/courses/" + course + "/roster",
                        "number;first name;surname;section\n99001;Ada;Newly;Section D\n99002;Bo;Newly;Section D\n")
                .ok();
        assertThat(more.get("isNew").intValue()).isEqualTo(2);
        assertThat(aud.get("/api/courses/" + course).body()).contains("Section D", "Newly");
    }

    @Test
    void faults_of_a_roster_are_named_and_nobody_is_added(Scholion.Running school) {
        Visitor aud = school.as("Aud Meller");
        String course = aud.get("/api/courses").ok().get(0).get("id").stringValue();
        String file =
                "number,first name,surname,section\n99100,New,Person,Section A\n99100,Same,Number,Section A\n40200,Other,Name,Section A\n99101,,Nameless,Section A\n";
        String said = aud.sendFile("/api/courses/" + course + "/roster", file)
                .isRefused(422)
                .body();
        assertThat(said)
                .contains("line 3", "stands in line 2 already", "belongs to Tamsin Orrel", "the first name is empty");
        assertThat(aud.get("/api/courses/" + course).body()).doesNotContain("99100");
    }

    @Test
    void a_roster_names_nobody_outside_ones_courses_and_takes_somebody_only_where_number_and_names_agree(
            Scholion.Running school) {
        Colleague runa = Colleague.called(school, "Runa");
        UUID ours = school.bean(JdbcClient.class)
                .sql("select school_id from person where id = cast(? as uuid)")
                .param(runa.id())
                .query(UUID.class)
                .single();
        UUID course =
                school.bean(Courses.class).add(ours, "Ropework for all", null, List.of(UUID.fromString(runa.id())));
        String roster = "/api/courses/" + course + "/roster";
        String head = "number,first name,surname,section\n";
        for (String guess : List.of("40200,Some,Body,One\n", "40200,Tamsin,Body,One\n", "40200,Some,Orrel,One\n")) {
            for (String way : List.of(roster, roster + "/preview")) {
                String said = runa.visitor().sendFile(way, head + guess).body();
                assertThat(said)
                        .contains("is in use in this school under another name")
                        .doesNotContain("Tamsin Orrel");
            }
        }
        assertThat(runa.visitor().get("/api/courses/" + course).body()).doesNotContain("40200");
        runa.visitor().sendFile(roster, head + "40200, TAMSIN ,orrel,One\n").ok();
        assertThat(runa.visitor().get("/api/courses/" + course).body()).contains("Tamsin", "Orrel", "40200");
        assertThat(runa.visitor()
                        .sendFile(roster + "/preview", head + "40200,Some,Body,One\n")
                        .body())
                .as("now she teaches her")
                .contains("belongs to Tamsin Orrel in your courses");
    }

    @Test
    void names_of_a_roster_have_a_length_and_letters_of_any_script_and_nothing_else(Scholion.Running school) {
        Visitor aud = school.as("Aud Meller");
        String roster =
                "/api/courses/" + aud.get("/api/courses").ok().get(0).get("id").stringValue() + "/roster/preview";
        String head = "number,first name,surname,section,e-mail\n";
        String good = "N1,Zoë,O’Brien-Müller,A,\nN2,小明,李,A,x@y.example\nN3,María José,d'Ávila (jr.),A,\n";
        assertThat(aud.sendFile(roster, head + good).ok().get("faults")).isEmpty();
        for (String bad : List.of(
                "N4," + "x".repeat(3_000) + ",B,A,",
                "N4,<b>Bo</b>,B,A,",
                "N4,Bo,\uD83D\uDE00,A,",
                "N4,Bo,123,A,",
                "N4,Bo,B," + "s".repeat(100) + ",",
                "=1+1,Bo,B,A,",
                "N4,Bo,B,A,no address")) {
            assertThat(aud.sendFile(roster, head + bad + "\n").ok().get("faults"))
                    .as(bad.substring(0, Math.min(30, bad.length())))
                    .hasSize(1);
        }
    }

    @Test
    void names_to_sign_in_with_are_made_of_peoples_own_names_and_never_of_a_rosters_addresses(
            Scholion.Running school, JdbcClient db) {
        Visitor aud = school.as("Aud Meller");
        String course = aud.get("/api/courses").ok().get(0).get("id").stringValue();
        aud.sendFile(
                        "/api/courses/" + course + "/roster",
                        "number,first name,surname,section,e-mail\n"
                                + "S1,Sørine,Ånes,Section E,aud.meller@saltmarsh.example\n"
                                + "S2,Sorine,Anes,Section E,berit.straum\u0040saltmarsh.example\nS3,小明,李,Section E,\n")
                .ok();
        assertThat(db.sql(
                                "select number || ' ' || username from person where number in ('S1', 'S2', 'S3') order by number")
                        .query(String.class)
                        .list())
                .containsExactly("S1 sorine.anes", "S2 sorine.anes2", "S3 student.s3");
    }

    @Test
    void a_plain_table_by_number_comes_in_and_is_scored(Scholion.Running school) {
        Lesson lesson = Lesson.written(school, "Plain table");
        String file = "q3\tnumber\t1\tQuestion 2\n10 nmi\t40200\tb\tbowline\n9\t40208\tAt springs\t\n";
        lesson.teacher.sendFile(lesson.path("/bring-in"), file).ok();
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
        lesson.teacher.sendFile(lesson.path("/bring-in"), file).ok();
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
    void what_is_no_option_is_named_by_row_and_column(Scholion.Running school) {
        Lesson lesson = Lesson.written(school, "No option");
        Visitor.Reply reply = lesson.teacher
                .sendFile(lesson.path("/bring-in"), "number,q1\n40200,At noon\n99999,a\n")
                .isRefused(422);
        assertThat(reply.body())
                .contains("line 2, q1", "“At noon” is not an option", "line 3, number", "“99999” is not a student");
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
                        .sendFile(lesson.path("/bring-in/preview"), "a,b\n1,2,3\n")
                        .isRefused(422)
                        .detail())
                .contains("3 cells");
        JsonNode view = lesson.teacher
                .sendFile(lesson.path("/bring-in/preview"), "x,y\n1,2\n")
                .ok();
        assertThat(view.get("faults").toString())
                .contains("No column identifies the students", "no column is a question");
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
}
