package org.scholion.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.scholion.server.testing.Lesson;
import org.scholion.server.testing.Scholion;
import org.scholion.server.testing.Visitor;
import tools.jackson.databind.node.ObjectNode;

/** Whatever somebody is called or has written, no page becomes wider than the screen. */
@ExtendWith(Scholion.class)
class LongWordsTest {
    private static final String NAME = "W".repeat(80);
    private static final String TITLE = "T".repeat(200);

    @Test
    void a_word_of_any_length_breaks_on_every_page(Scholion.Running school) {
        Visitor aud = school.as("Aud Meller");
        String course = aud.get("/api/courses").ok().get(0).get("id").stringValue();
        aud.sendFile(
                        "/api/courses/" + course + "/roster",
                        "number,first name,surname,section\nLONG1," + NAME + "," + NAME + ",Section A\n")
                .ok();
        ObjectNode definition = Lesson.definition(TITLE).asObject();
        definition.get("items").get(0).asObject().put("prompt", "p".repeat(3_000));
        definition.get("items").get(0).get("options").get(0).asObject().put("text", "o".repeat(500));
        definition
                .get("items")
                .get(3)
                .asObject()
                .put("body", "<p>Use <span data-formula=\"\\rule{900em}{900em}" + "x+".repeat(300) + "x\"></span></p>");
        Lesson lesson = Lesson.written(school, "to be long");
        lesson.teacher
                .put(lesson.path("/key"), Map.of("definition", Lesson.plain(definition), "revision", 1))
                .ok();
        lesson.giveOut("A").ok();
        lesson.sits("Noor Haddix", List.of("b"), "w".repeat(1_900), "10 nmi", "w".repeat(3_000));
        try (Browser browser = new Browser(school.address(), 1280, 800)) {
            browser.signIn("Aud Meller");
            for (String page : List.of(
                    "/desk",
                    "/courses/" + course,
                    "/a/" + lesson.id + "/key?item=q1",
                    "/a/" + lesson.id + "/key?item=q4",
                    "/a/" + lesson.id + "/collect",
                    "/a/" + lesson.id + "/settle",
                    "/a/" + lesson.id + "/read",
                    "/a/" + lesson.id + "/examine",
                    "/a/" + lesson.id + "/hand-back",
                    "/gradebook")) {
                assertThat(browser.open(page).pause().width()).as(page).isLessThanOrEqualTo(1280);
            }
            browser.hasNoErrors();
        }
        try (Browser phone = new Browser(school.address(), 360, 740)) {
            phone.signIn("Tamsin Orrel");
            assertThat(phone.width()).as("to do").isLessThanOrEqualTo(360);
            phone.open("/sit/" + lesson.begin(school.as("Tamsin Orrel")));
            for (int question = 1; question <= 4; question++) {
                assertThat(phone.sees("Question " + question).width())
                        .as("question %d", question)
                        .isLessThanOrEqualTo(360);
                phone.clickButton(question < 4 ? "Next" : "Check and hand in");
            }
            assertThat(phone.width()).as("check").isLessThanOrEqualTo(360);
        }
    }
}
