package org.scholion.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.openqa.selenium.Keys;
import org.openqa.selenium.support.ui.Select;
import org.scholion.server.testing.Scholion;
import tools.jackson.databind.JsonNode;

/** Rubrics on one scale and by criteria: written, kept, taken by another question, changed and taken again. */
@ExtendWith(Scholion.class)
class RubricTest {
    @Test
    void a_rubric_is_kept_taken_by_another_question_and_its_next_version_is_taken_once_its_changes_are_seen(
            Scholion.Running school) {
        String paper = Papers.empty(school, "Two open questions");
        try (Browser aud = new Browser(school.address(), 1280, 1000)) {
            aud.signIn("Aud Meller").open(paper + "/key").sees("Your items will appear here.");
            aud.press("o").asks("Why does the wind veer?").sees("on one scale");
            aud.type("what level 0 means", "no cause")
                    .type("what level 1 means", "a cause")
                    .type("what level 2 means", "a cause and its effect");
            new Select(aud.field("Mastered from")).selectByVisibleText("level 1: a cause");
            aud.sees("It counts as mastered from “a cause”.");
            new Select(aud.field("Scored with")).selectByVisibleText("criteria with levels");
            aud.sees("for each of 2 criteria").isAccessible("Criteria");
            aud.clickButton("Save this rubric").type("Title of the rubric", "Causes at sea");
            aud.field("Title of the rubric").sendKeys(Keys.ENTER);
            aud.sees("From the bank's rubric “Causes at sea”, version 1.");

            aud.press("o").asks("Why does it back?");
            aud.clickButton("Use an existing rubric").type("Find a rubric", "causes at");
            aud.click("button", "Causes at sea").sees("From the bank's rubric “Causes at sea”, version 1.");
            aud.type("what level 1 means", "a cause that is named").sees("Changed here since then.");
            aud.clickButton("Save as version 2")
                    .sees("“Causes at sea”, version 2.")
                    .sees("Saved");

            aud.press("k").sees("The bank has version 2. It changes:");
            aud.sees("“a cause that is named” for 1 (was “a cause” for 1)")
                    .clickButton("Use version 2")
                    .seesNot("The bank has version")
                    .sees("Saved");
            aud.open("/bank?view=rubrics").click("button", "Causes at sea").sees("Two open questions");
            aud.isAccessible("Rubrics")
                    .type("Title of the rubric", "Causes at sea and ashore")
                    .sees("Save as version 3");
            aud.click("td/button", "How convincing").seesNot("Save as version 3");
            aud.click("td/button", "Causes at sea").clickButton("Save as version 3");
            aud.sees("new title").hasNoErrors();
        }
        for (JsonNode item : Papers.items(school, paper)) {
            assertThat(item.get("rubricKept").get("version").intValue()).isEqualTo(2);
            assertThat(item.get("rubric").toString()).contains("a cause that is named");
        }
    }
}
