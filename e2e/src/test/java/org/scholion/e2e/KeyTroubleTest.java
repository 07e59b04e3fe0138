package org.scholion.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.openqa.selenium.Keys;
import org.openqa.selenium.support.ui.Select;
import org.scholion.server.testing.Lesson;
import org.scholion.server.testing.Scholion;

/** What is typed wrongly into a key is said in words where it was typed, and nothing of it runs or is lost. */
@ExtendWith(Scholion.class)
class KeyTroubleTest {
    @Test
    void each_kind_of_bad_input_is_named_at_its_place_and_goes_when_it_is_put_right(Scholion.Running school) {
        String paper = Papers.empty(school, "Full of mistakes");
        try (Browser aud = new Browser(school.address(), 1280, 1000)) {
            aud.signIn("Aud Meller").open(paper + "/key").sees("Your items will appear here.");
            aud.press("c").asks("Whither?").type("text of option A", "south").type("text of option B", "north");
            aud.sees("Not finished yet").sees("choose at least one right option");
            aud.clickLabelled("option A is right").seesNot("Not finished yet");
            aud.type("Points", "abc").sees("'abc' is not a number such as 1.5 or 1/3");
            aud.type("Points", "1.5").seesNot("'abc'");

            aud.press("t").asks("Which knot?");
            aud.field("Add an accepted answer").sendKeys("bow(line", Keys.ENTER);
            new Select(aud.field("compare as")).selectByVisibleText("pattern");
            aud.sees("accepted 1, pattern:")
                    .sees("question 2, accepted 1, pattern")
                    .sees("Not finished yet");
            aud.isAccessible("Key with faults");
            new Select(aud.field("compare as")).selectByVisibleText("text");
            aud.seesNot("accepted 1, pattern:");

            aud.hasNoErrors().clickButton("Add formatting, a picture");
            aud.paste(
                    "Question text",
                    "<p>Tie <b>it</b>.<script>window.ran = 1</script><img src=x onerror='window.ran = 1'></p>");
            aud.sees("Tie it.").sees("Saved");
            // The page's own policy refuses the handler and says so in the console.
            assertThat(aud.evaluate("return window.ran === undefined")).isEqualTo(true);
        }
        String body = Papers.items(school, paper).get(1).get("body").stringValue();
        assertThat(body)
                .contains("<strong>it</strong>")
                .doesNotContain("script")
                .doesNotContain("onerror");
    }

    @Test
    void an_own_answer_set_becomes_the_key_after_it_is_seen_what_that_changes_and_a_step_back_undoes_it(
            Scholion.Running school) {
        Lesson lesson = Lesson.written(school, "Key from a set");
        String paper = "/a/" + lesson.id;
        try (Browser aud = new Browser(school.address(), 1280, 1000)) {
            aud.signIn("Aud Meller").open(paper + "/key?view=sets").clickButton("New answer set");
            aud.click("label", "At neaps").sees("Saved");
            aud.clickButton("Items").clickButton("Make the key from answers");
            new Select(aud.field("whose answers become the key")).selectByVisibleText("answer set: Answer set 1");
            aud.sees("key: At neaps (was At springs)").sees("Not changed, because there is no answer");
            aud.clickButton("Make 1 change").sees("Saved");
            assertThat(Papers.items(school, paper).get(0).get("key").get(0).stringValue())
                    .isEqualTo("b");
            aud.press("u").sees("Saved").hasNoErrors();
        }
        assertThat(Papers.items(school, paper).get(0).get("key").get(0).stringValue())
                .isEqualTo("a");
    }

    @Test
    void a_shared_key_is_copied_by_a_colleague_and_outdated_tags_are_carried_over(Scholion.Running school) {
        String paper = Papers.empty(school, "Shared with Halvard");
        try (Browser aud = new Browser(school.address(), 1280, 1000)) {
            aud.signIn("Aud Meller").open(paper + "/key").sees("This key is shared with");
            new Select(aud.field("This key is shared with: Add a colleague")).selectByVisibleText("Halvard Quist");
            aud.sees("Stop sharing").isAccessible("Key, shared");
            aud.open("/standards").clickLink("from Coastal Skills 1").sees("Items that still use older standards");
            aud.sees("Which side of a boat shows a red light?");
            aud.clickLabelled("Update Which side of a boat shows a red light?")
                    .seesNot("Which side of a boat shows a red light?");
            aud.hasNoErrors();
        }
    }
}
