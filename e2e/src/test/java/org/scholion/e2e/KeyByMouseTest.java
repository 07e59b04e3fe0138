package org.scholion.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;
import org.openqa.selenium.support.ui.Select;
import org.scholion.server.testing.Scholion;

/** Items written with the mouse: begun with a button, put right by clicks and drags, tried in the fields of students. */
@ExtendWith(Scholion.class)
class KeyByMouseTest {
    private static final String BEGIN = "button[.//kbd]";

    @TempDir
    Path dir;

    @Test
    void an_item_of_every_kind_is_written_with_the_mouse_and_tried(Scholion.Running school) throws IOException {
        String paper = Papers.empty(school, "Every kind by mouse");
        try (Browser aud = new Browser(school.address(), 1280, 1000)) {
            aud.signIn("Aud Meller").open(paper + "/key").click(BEGIN, "choice").asks("Whither?");
            aud.type("text of option A", "south").type("text of option B", "north");
            aud.clickLabelled("option A is right").click("label", "south").sees("● 1 of 1");
            aud.clickButton("Keep as an example").sees("Examples, checked again");

            aud.click(BEGIN, "short text").asks("Which knot?");
            aud.type("Add an accepted answer", "bowline").press();
            aud.type("Your answer", "Bowline").sees("● 1 of 1").clickButton("Keep as an example");

            aud.click(BEGIN, "number").asks("How far?").clickButton("Type the value");
            aud.type("value", "12").type("Your answer", "12").sees("● 1 of 1");

            aud.click(BEGIN, "blanks")
                    .asks("It [ebbs] now.")
                    .type("Blank 1", "ebbs")
                    .sees("● 2 of 2");

            aud.click(BEGIN, "matching").asks("Which light?");
            aud.type("Add a row", "port").press();
            aud.type("Add a label", "red").press();
            aud.dragTo("[title='drag red']", "[aria-label='what is matched']").sees("1 pair");

            aud.click(BEGIN, "order").asks("In which order?");
            aud.type("another step", "two").press().type("another step", "one").press();
            aud.dragTo("[aria-label='move one']", "[aria-label='move two']").sees("2 steps");
            assertThat(aud.field("step 1").getAttribute("value")).isEqualTo("one");

            picture(aud);

            aud.click(BEGIN, "correction").asks("Put it right.").type("The faulty sentence", "We was off.");
            aud.clickButton("Start from the faulty sentence").type("Corrected sentence", "We were off.");
            aud.type("The corrected sentence", "We were off.").sees("● 1 of 1");

            aud.click(BEGIN, "formula").asks("Multiply out.");
            aud.type("another accepted formula", "x^2 + 2x").press();
            aud.type("Your answer", "x(x+2)").sees("● 1 of 1");

            aud.click(BEGIN, "working").asks("Solve.").type("the line to start from", "2x = 4");
            aud.sees("This equals").clickButton("x = 2").sees("Accepted final lines");

            aud.click(BEGIN, "open")
                    .asks("Why?")
                    .type("what level 1 means", "a cause")
                    .sees("on one scale");
            aud.click(BEGIN, "reading passage")
                    .type("The passage", "The ledge dries.")
                    .sees("Saved");
            aud.hasNoErrors();
        }
        assertThat(Papers.items(school, paper)
                        .valueStream()
                        .map(i -> i.get("kind").stringValue()))
                .containsExactly(
                        "choice",
                        "text",
                        "number",
                        "blanks",
                        "pairs",
                        "order",
                        "spot",
                        "correction",
                        "formula",
                        "working",
                        "open",
                        "passage");
    }

    /** A place is drawn and then shown; a picture that is too large is refused in words. */
    private void picture(Browser aud) throws IOException {
        Path large = dir.resolve("sea.png");
        Files.write(large, new byte[30_000_000]);
        aud.click(BEGIN, "on a picture").asks("Show it.").choose(large);
        aud.sees("“sea.png” is 30 MB. The limit is 10 MB.").choose(Papers.sketch(dir));
        aud.type("Description of the picture, for people who cannot see it", "A ledge.");
        aud.sees("Saved").seesPictures();
        new Select(aud.field("draw a")).selectByVisibleText("rectangle");
        aud.drag(aud.field("picture to draw on: A ledge."), -60, -30, 60, 30)
                .sees("1 place")
                .sees("rectangle");
        aud.seesPictures()
                .clickLabelled(
                        "Picture: A ledge.. Move the cross with the arrow keys and press Enter to choose a place.")
                .sees("● 1 of 1");
    }
}
