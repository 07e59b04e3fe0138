package org.scholion.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.scholion.server.course.Courses;
import org.scholion.server.testing.Colleague;
import org.scholion.server.testing.Lesson;
import org.scholion.server.testing.Scholion;
import org.scholion.server.testing.TestDatabase;
import org.scholion.server.testing.Visitor;
import org.springframework.jdbc.core.simple.JdbcClient;
import tools.jackson.databind.JsonNode;

@ExtendWith(Scholion.class)
class RosterTest {
    private static final String HEAD = "number,first name,surname,section\n";

    private static String roster(Visitor teacher) {
        return "/api/courses/"
                + teacher.get("/api/courses").ok().get(0).get("id").stringValue() + "/roster";
    }

    /** A course of its own with its teacher. */
    private record Own(Visitor teacher, String path) {
        static Own of(Scholion.Running school, String name) {
            Colleague colleague = Colleague.called(school, name);
            UUID ours = school.bean(JdbcClient.class)
                    .sql("select school_id from person where id = cast(? as uuid)")
                    .param(colleague.id())
                    .query(UUID.class)
                    .single();
            UUID course = school.bean(Courses.class)
                    .add(ours, "Ropework of " + name, null, List.of(UUID.fromString(colleague.id())));
            return new Own(colleague.visitor(), "/api/courses/" + course);
        }

        JsonNode preview(String rows, Object asked) {
            return teacher.sendFile(path + "/roster/preview", HEAD + rows, asked)
                    .ok();
        }

        JsonNode take(String rows, Object asked) {
            return teacher.sendFile(path + "/roster", HEAD + rows, asked).ok();
        }
    }

    private static Map<String, Object> asked(Map<String, String> decisions, boolean leave) {
        Map<String, Object> asked = new HashMap<>();
        asked.put("how", Map.of("encoding", "", "separator", "", "sheet", 0));
        asked.put("columns", Map.of());
        asked.put("section", "");
        asked.put("only", List.of());
        asked.put("decisions", decisions);
        asked.put("leave", leave);
        return asked;
    }

    private static final Map<String, Object> NOTHING = asked(Map.of(), false);

    private static List<String> rows(JsonNode effect) {
        return effect.get("rows")
                .valueStream()
                .map(r -> r.get("line").asString() + " " + r.get("what").stringValue() + " "
                        + r.get("name").stringValue() + " " + r.get("was").stringValue())
                .map(String::strip)
                .toList();
    }

    @Test
    void a_roster_comes_in_without_being_edited_first(Scholion.Running school) throws IOException {
        Visitor aud = school.as("Aud Meller");
        String file = Files.readString(TestDatabase.root().resolve("docs/examples/roster.csv"));
        JsonNode effect = aud.sendFile(roster(aud), file).ok();
        assertThat(effect.get("asSame").intValue())
                .as("the demo knows them all")
                .isEqualTo(52);
        JsonNode more = aud.sendFile(
                        roster(aud),
                        "number;first name;surname;section\n99001;Ada;Newly;Section D\n99002;Bo;Newly;Section D\n")
                .ok();
        assertThat(more.get("comeIn").intValue()).isEqualTo(2);
        assertThat(aud.get(roster(aud).replace("/roster", "")).body()).contains("Section D", "Newly");
    }

    @Test
    void who_is_new_moved_renamed_or_gone_is_shown_first_and_taken_as_it_was_shown(Scholion.Running school) {
        Own own = Own.of(school, "Sunniva");
        own.take("R1,Ada,Birch,One\nR2,Bo,Alder,One\nR3,Cy,Rowan,One\nR4,Di,Hazel,Two\n", NOTHING);
        String next = "R1,Ada,Birch-Lowe,One\nR2,Bo,Alder,Two\nR4,Di,Hazel,Two\nR5,Ed,Elm,One\n";
        assertThat(rows(own.preview(next, NOTHING)))
                .containsExactlyInAnyOrder(
                        "2 RENAMED Ada Birch-Lowe Ada Birch",
                        "3 MOVED Bo Alder One",
                        "5 NEW Ed Elm",
                        "0 LEFT Cy Rowan");
        assertThat(own.teacher().get(own.path()).body())
                .as("looking changes nothing")
                .doesNotContain("Birch-Lowe");
        own.take(next, NOTHING);
        assertThat(own.teacher().get(own.path()).body()).contains("Birch-Lowe", "Elm", "Rowan");
        own.take(next, asked(Map.of(), true));
        assertThat(own.teacher().get(own.path()).body())
                .as("who left is off the roster")
                .doesNotContain("Rowan");
    }

    @Test
    void possible_twins_and_clashes_are_asked_stop_nobody_and_come_in_as_they_were_decided(Scholion.Running school) {
        Own own = Own.of(school, "Torunn");
        own.take("0730,Ada,Birch,One\nT2,Noor,Haddock,One\n", NOTHING);
        String next = "730,Ada,Birch,One\nT2,Noor,Other,One\nT3,Haddock,Noor,One\nT9,Ed,Elm,One\n";
        JsonNode asked = own.preview(next, NOTHING);
        assertThat(rows(asked))
                .contains("2 TWIN Ada Birch 0730", "3 CLASH Noor Other Noor Haddock", "4 TWIN Haddock Noor T2");
        assertThat(asked.get("comeIn").intValue()).isEqualTo(1);
        own.take(next, asked(Map.of("2", "SAME_PERSON", "3", "SAME_PERSON", "4", "SOMEBODY_ELSE"), false));
        String course = own.teacher().get(own.path()).body();
        assertThat(course).contains("\"number\":\"0730\"", "\"family\":\"Other\"", "\"number\":\"T3\"", "Elm");
        assertThat(course).doesNotContain("\"number\":\"730\"");
    }

    @Test
    void whoever_moves_takes_the_work_along_and_has_one_attempt(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "Moving along", "A", "B");
        lesson.sits("Ivo Lomas", null, "bowline", null, null);
        Visitor aud = lesson.teacher;
        String course = roster(aud).replace("/roster", "");
        String ivo = aud.get(course)
                .ok()
                .get("students")
                .valueStream()
                .filter(s -> s.get("family").stringValue().equals("Lomas"))
                .map(s -> s.get("id").stringValue())
                .findFirst()
                .orElseThrow();
        String was = aud.get(course)
                .ok()
                .get("students")
                .valueStream()
                .filter(s -> s.get("id").stringValue().equals(ivo))
                .map(s -> s.get("section").stringValue())
                .findFirst()
                .orElseThrow();
        String to = lesson.section(was.equals(lesson.section("A")) ? "B" : "A");
        aud.put(course + "/students/" + ivo + "/section", Map.of("section", to)).ok();
        try {
            assertThat(aud.get(lesson.path("/collect?section=" + to))
                            .ok()
                            .get("rows")
                            .toString())
                    .as("the attempt is in the new section")
                    .contains(lesson.attempt("Ivo Lomas"));
            assertThat(lesson.begin(school.as("Ivo Lomas")))
                    .as("and there is no second one")
                    .isEqualTo(lesson.attempt("Ivo Lomas"));
        } finally {
            aud.put(course + "/students/" + ivo + "/section", Map.of("section", was))
                    .ok();
        }
    }

    @Test
    void a_roster_of_which_no_row_fits_changes_nothing_and_says_why(Scholion.Running school) {
        Visitor aud = school.as("Aud Meller");
        assertThat(aud.sendFile(roster(aud), "a,b\n1,2\n").isRefused(422).detail())
                .contains("no column for the name");
        JsonNode some = aud.sendFile(
                        roster(aud) + "/preview",
                        HEAD + "99100,New,Person,Section A\n99100,Same,Number,Section A\n40200,Other,Name,Section A\n"
                                + "99101,,Nameless,Section A\n")
                .ok();
        assertThat(some.get("faults").toString()).contains("stands in line 2 already", "the first name is empty");
        assertThat(rows(some)).contains("4 CLASH Other Name Tamsin Orrel");
        assertThat(some.get("comeIn").intValue()).isEqualTo(1);
    }

    @Test
    void a_roster_names_nobody_outside_ones_courses_and_takes_somebody_only_where_number_and_names_agree(
            Scholion.Running school) {
        Own runa = Own.of(school, "Runa");
        for (String guess : List.of("40200,Some,Body,One\n", "40200,Tamsin,Body,One\n", "40200,Some,Orrel,One\n")) {
            String said = runa.preview(guess, NOTHING).toString();
            assertThat(said).contains("CLASH", "SKIP").doesNotContain("Tamsin Orrel", "SAME_PERSON");
            runa.take(guess, asked(Map.of("2", "SAME_PERSON"), false));
        }
        for (String like : List.of("040200,Tamsin,Body,One\n", "40200,Tamsin,Orrel-Smith,One\n")) {
            String said = runa.preview(like, NOTHING).toString();
            assertThat(said).as(like).doesNotContain("\"was\":\"Tamsin Orrel\"", "SAME_PERSON");
            runa.take(like, asked(Map.of("2", "SAME_PERSON"), false));
        }
        assertThat(school.bean(JdbcClient.class)
                        .sql("select family from person where number = '40200'")
                        .query(String.class)
                        .single())
                .as("no stranger renames her")
                .isEqualTo("Orrel");
        assertThat(runa.teacher().get(runa.path()).body()).doesNotContain("40200");
        runa.take("40200, TAMSIN ,orrel,One\n", NOTHING);
        assertThat(runa.teacher().get(runa.path()).body()).contains("Tamsin", "Orrel", "40200");
        assertThat(runa.preview("40200,Some,Body,One\n", NOTHING).toString())
                .as("now she teaches her")
                .contains("Tamsin Orrel");
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
    void five_thousand_come_in_at_once_each_with_a_name_to_sign_in_with(Scholion.Running school, JdbcClient db) {
        Own own = Own.of(school, "Gudny");
        StringBuilder file = new StringBuilder();
        for (int i = 0; i < 5_000; i++) {
            file.append("B%05d,Bo,Same%d,Big\n".formatted(i, i % 50));
        }
        assertThat(own.take(file.toString(), NOTHING).get("comeIn").intValue()).isEqualTo(5_000);
        assertThat(db.sql("select count(distinct username) from person where number like 'B0____'")
                        .query(Integer.class)
                        .single())
                .isEqualTo(5_000);
        db.sql("delete from enrolment where student_id in (select id from person where number like 'B0____')")
                .update();
        db.sql("delete from person where number like 'B0____'").update();
    }
}
