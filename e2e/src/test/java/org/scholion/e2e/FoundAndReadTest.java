package org.scholion.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.scholion.server.testing.Colleague;
import org.scholion.server.testing.Lesson;
import org.scholion.server.testing.Scholion;
import tools.jackson.databind.JsonNode;

/** By what an assessment is found, and what a colleague sees who only reads. */
@ExtendWith(Scholion.class)
class FoundAndReadTest {
    @Test
    void an_assessment_gets_a_code_and_labels_and_is_found_by_them(Scholion.Running school) {
        Lesson lesson = Lesson.written(school, "Winds of the strait");
        Lesson other = Lesson.written(school, "Currents of the strait");
        try (Browser aud = new Browser(school.address(), 1280, 800)) {
            aud.signIn("Aud Meller")
                    .open("/a/" + lesson.id + "/key?view=paper")
                    .clickSummary("No code and no labels yet");
            aud.type("Short code, unique in the school", "wi 1").clickButton("Save how it is found");
            aud.sees("no spaces").type("Short code, unique in the school", "WI-1");
            aud.type("Labels: subject, year, purpose…", "winds, year 3").isAccessible("How it is found");
            aud.clickButton("Save how it is found");
            aud.hasValue("Labels: subject, year, purpose…", "winds, year 3").pause();
            aud.open("/a/" + other.id + "/key?view=paper").clickSummary("No code and no labels yet");
            aud.type("Short code, unique in the school", "wi-1").clickButton("Save how it is found");
            aud.sees("another assessment of your school has this code").clickButton("year 3");
            aud.hasValue("Labels: subject, year, purpose…", "year 3");

            aud.open("/courses").sees("Winds of the strait").sees("WI-1");
            aud.type("Narrow by title, code or label", "strait wi-1");
            aud.seesNot("Currents of the strait").sees("Winds of the strait").isAccessible("Course, found");
            aud.type("Narrow by title, code or label", "nowhere at all").sees("None has all of these words.");
            aud.hasNoErrors();
        }
    }

    @Test
    void what_is_typed_about_it_stays_when_a_colleague_was_quicker_and_when_the_page_is_left(Scholion.Running school) {
        Lesson lesson = Lesson.written(school, "Typed about it");
        try (Browser aud = new Browser(school.address(), 1280, 800)) {
            aud.signIn("Aud Meller").open("/a/" + lesson.id + "/key?view=paper");
            aud.clickSummary("No code and no labels yet").type("What it is about", "Set in a dry autumn");
            lesson.teacher
                    .put(
                            lesson.path("/about"),
                            Map.of("description", "", "code", "TA-9", "labels", List.of(), "revision", 0))
                    .ok();
            aud.clickButton("Save how it is found").sees("Somebody changed this while you were at it.");
            aud.hasValue("What it is about", "Set in a dry autumn").open("/a/" + lesson.id + "/key?view=paper");
            aud.clickSummary("TA-9").hasValue("What it is about", "Set in a dry autumn");
            aud.clickButton("Save how it is found").pause().pause();
            JsonNode about = lesson.teacher.get(lesson.path("/about")).ok();
            assertThat(about.get("description").stringValue()).isEqualTo("Set in a dry autumn");
            assertThat(about.get("code").stringValue())
                    .as("the colleague's stays")
                    .isEqualTo("TA-9");
        }
    }

    @Test
    void a_reader_is_added_by_a_teacher_and_reads_from_the_desk_without_names(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "Read by a colleague", "A")
                .sits("Noor Haddix", List.of("a"), "bowline", "10", "The moon pulls.");
        Colleague runa = Colleague.called(school, "Second reader");
        String course = lesson.teacher.get(lesson.path("")).ok().get("course").stringValue();
        try (Browser aud = new Browser(school.address(), 1280, 800);
                Browser reader = new Browser(school.address(), 1280, 800)) {
            aud.signIn("Aud Meller").open("/courses/" + course + "/roster").sees("Readers");
            aud.select("Add a reader", runa.name()).sees("Remove").isAccessible("Roster with a reader");
            reader.signIn(runa.name()).open("/desk").sees("Read by a colleague").isAccessible("A reader's desk");
            reader.open("/a/" + lesson.id + "/key").sees("You read its open answers, without names.");
            reader.sees("The moon pulls.").seesNot("Noor").seesNot("Hand back").seesNot("Show names");
            reader.isAccessible("A reader reads").press("1").hasNoErrors();
            assertThat(reader.path()).contains("/read");
            aud.hasNoErrors();
        }
    }

    @Test
    void sound_is_recorded_where_it_is_to_be_heard(Scholion.Running school) {
        Lesson lesson = Lesson.written(school, "Heard in fog");
        try (Browser aud = new Browser(school.address(), 1280, 800)) {
            aud.signIn("Aud Meller").open("/a/" + lesson.id + "/key?item=q2").sees("Accepted answers");
            aud.type("Question text", "Which signal is this?").clickButton("Add formatting, a picture");
            aud.clickButton("record sound").sees("● 0:0");
            aud.pause().pause().pause().isAccessible("Recording").clickButton("stop and put in");
            aud.sees("record sound").sees("Saved").pause();
            aud.pause();
            String html = lesson.teacher
                    .get(lesson.path("/key"))
                    .ok()
                    .at("/definition/items/1")
                    .toString();
            assertThat(html).contains("<audio", "/api/files/");
            String file = html.replaceFirst("(?s).*(/api/files/[^\"\\\\]+).*", "$1");
            assertThat(lesson.teacher.get(file).status()).isEqualTo(200);
            aud.hasNoErrors();
        }
    }

    @Test
    void what_was_recorded_is_kept_until_it_could_be_put_in(Scholion.Running school) {
        Lesson lesson = Lesson.written(school, "Heard without a line");
        try (Browser aud = new Browser(school.address(), 1280, 800)) {
            aud.signIn("Aud Meller").open("/a/" + lesson.id + "/key?item=q2").sees("Accepted answers");
            aud.clickButton("Add formatting, a picture")
                    .clickButton("record sound")
                    .sees("● 0:0");
            aud.offline(true).clickButton("stop and put in").sees("put the recording in again");
            aud.offline(false).clickButton("put the recording in again").seesNot("put the recording in again");
            aud.sees("Saved").pause().pause();
            assertThat(lesson.teacher
                            .get(lesson.path("/key"))
                            .ok()
                            .at("/definition/items/1")
                            .toString())
                    .contains("<audio", "/api/files/");
        }
    }
}
