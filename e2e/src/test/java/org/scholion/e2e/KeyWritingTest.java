package org.scholion.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;
import org.openqa.selenium.Keys;
import org.openqa.selenium.support.ui.Select;
import org.scholion.server.testing.Lesson;
import org.scholion.server.testing.Scholion;
import tools.jackson.databind.JsonNode;

/** Keys as they are written: of letters, of every kind, by two at once, from a table; and what a change would do. */
@ExtendWith(Scholion.class)
class KeyWritingTest {
    @TempDir
    Path dir;

    @Test
    void a_key_of_twenty_five_letters_is_typed_from_the_keyboard(Scholion.Running school) {
        String paper = Papers.empty(school, "Typed letters");
        try (Browser aud = new Browser(school.address(), 1280, 800)) {
            aud.signIn("Aud Meller").open(paper + "/key?view=letters").sees("0 of 0");
            long began = System.nanoTime();
            aud.focus("letter key");
            for (char letter : "ADBCADBCABDCABBDACDBACBDA".toCharArray()) {
                aud.keys(String.valueOf(letter).toLowerCase(java.util.Locale.ROOT));
            }
            aud.sees("25 of 25");
            System.out.printf("25 letters typed in %.1f s%n", (System.nanoTime() - began) / 1e9);
            aud.field("Change several rows").sendKeys("11-13 true/false", Keys.ENTER);
            aud.sees("Rows 11, 12, 13 would lose their key.");
            aud.field("Change several rows").sendKeys(Keys.ENTER);
            aud.field("Change several rows").sendKeys("24 open 0-4 from 3", Keys.ENTER, Keys.ENTER);
            aud.field("Change several rows").sendKeys("90 number", Keys.ENTER);
            aud.sees("there are rows 1 to 25")
                    .sees("open 0–4")
                    .sees("true or false")
                    .sees("22 of 25");
            aud.field("Change several rows").clear();
            aud.clickLabelled("letter key")
                    .focus("letter key")
                    .keys("t", "f", "t")
                    .sees("Saved");
            aud.hasNoErrors();
        }
        assertThat(Papers.items(school, paper)).hasSize(25);
        assertThat(Papers.items(school, paper).get(1).get("key").get(0).stringValue())
                .isEqualTo("d");
        assertThat(Papers.items(school, paper).get(23).get("mastery").stringValue())
                .isEqualTo("3");
    }

    @Test
    void an_item_of_every_kind_is_written_with_the_keyboard_tried_and_kept_as_an_example(Scholion.Running school)
            throws IOException {
        String paper = Papers.empty(school, "Every kind");
        try (Browser aud = new Browser(school.address(), 1280, 800)) {
            aud.signIn("Aud Meller").open(paper + "/key").sees("Your items will appear here.");
            aud.press("t").asks("Which knot?");
            aud.field("Add an accepted answer").sendKeys("bowline", Keys.ENTER);
            aud.field("Your answer").sendKeys("the Bowlin");
            aud.sees("● 1 of 1").field("Your answer").sendKeys(Keys.ENTER);
            aud.sees("Examples, checked again");
            new Select(aud.field("compare as")).selectByVisibleText("pattern");
            aud.sees("Expected: 1 of the points");
            new Select(aud.field("compare as")).selectByVisibleText("text");
            aud.seesNot("Expected: 1 of the points");

            aud.press("n").asks("How far?").clickButton("Type the value");
            aud.field("value").sendKeys("3*4/8");
            aud.sees("This equals").clickButton("1.5").field("Your answer").sendKeys("1.5");
            aud.sees("● 1 of 1");

            aud.press("b").asks("The stream [ebbs] at [=2] knots.").sees("{b1}");
            aud.field("Blank 1").sendKeys("ebb");
            aud.field("Blank 2").sendKeys("2");
            aud.sees("of 2");

            aud.press("m").asks("Which light?");
            aud.field("Add a row").sendKeys("port", Keys.ENTER, "starboard", Keys.ENTER);
            aud.field("Add a label").sendKeys("red", Keys.ENTER, "green", Keys.ENTER);
            new Select(aud.field("port goes with")).selectByVisibleText("red");
            new Select(aud.field("starboard goes with")).selectByVisibleText("green");
            aud.sees("2 pairs").sees("Each of the 2 right pairs earns an equal part.");

            aud.press("r").asks("In which order?");
            aud.field("another step").sendKeys("two", Keys.ENTER, "one", Keys.ENTER);
            aud.focus("move one")
                    .keys(Keys.SPACE, Keys.ARROW_UP)
                    .pause()
                    .keys(Keys.SPACE)
                    .pause();
            assertThat(aud.field("step 1").getAttribute("value")).isEqualTo("one");

            aud.press("s").asks("Put it right.").type("The faulty sentence", "We was off.");
            aud.clickButton("Start from the faulty sentence").type("Corrected sentence", "We were off.");

            aud.press("f").asks("Multiply out.");
            aud.field("another accepted formula").sendKeys("(x+1)^2", Keys.ENTER);
            aud.sees("This equals")
                    .clickButton("x^2 + 2x + 1")
                    .field("Your answer")
                    .sendKeys("1+x^2+2x");
            aud.sees("● 1 of 1");

            aud.press("w").asks("Solve.");
            aud.field("the line to start from").sendKeys("2(x+3) = 10");
            aud.sees("This equals").clickButton("x = 2").sees("Accepted final lines");
            aud.field("Your working, one line for each step").sendKeys("x + 3 = 5", Keys.ENTER, "x = 2");
            aud.sees("● 2 of 2");

            aud.press("p").asks("Show the ledge.").choose(Papers.sketch(dir));
            aud.type("Description of the picture, for people who cannot see it", "A ledge.");
            aud.focus("picture to draw on: A ledge.")
                    .keys(Keys.ENTER, Keys.ARROW_RIGHT, Keys.ARROW_RIGHT, Keys.ARROW_RIGHT);
            aud.keys(Keys.ENTER).sees("1 place").isAccessible("A place drawn with keys");
            aud.focus("Picture: A ledge.. Move the cross with the arrow keys and press Enter to choose a place.")
                    .keys(Keys.ENTER);
            aud.sees("● 1 of 1").sees("Saved").hasNoErrors();
        }
        JsonNode items = Papers.items(school, paper);
        assertThat(items.valueStream().map(i -> i.get("kind").stringValue()))
                .containsExactly(
                        "text", "number", "blanks", "pairs", "order", "correction", "formula", "working", "spot");
        assertThat(items.get(0).get("examples")).hasSize(1);
        assertThat(items.get(8).get("regions").get(0).has("circle")).isTrue();
    }

    @Test
    void two_colleagues_at_once_lose_nothing_and_the_second_sees_what_changed(Scholion.Running school) {
        Lesson lesson = Lesson.written(school, "Both at once");
        try (Browser aud = new Browser(school.address(), 1280, 800);
                Browser halvard = new Browser(school.address(), 1280, 800)) {
            String key = "/a/" + lesson.id + "/key";
            aud.signIn("Aud Meller").open(key + "?item=q1").sees("When is the range greatest?");
            halvard.signIn("Halvard Quist").open(key + "?item=q2").sees("How this scores");
            halvard.type("Question text", "Which knot, says Halvard?").sees("Saved");
            aud.type("Question text", "When, says Aud?")
                    .sees("Changed by a colleague")
                    .sees("Halvard Quist changed this key at the same time");
            aud.sees("They changed item 2.").sees("Saved").hasNoErrors();
        }
        assertThat(Papers.items(school, "/a/" + lesson.id).toString())
                .contains("Which knot, says Halvard?", "When, says Aud?");
    }

    @Test
    void a_change_after_giving_out_is_compared_in_words_asks_what_is_fair_and_is_seen_before_it_happens(
            Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "Changed later", "A")
                .sits("Tamsin Orrel", java.util.List.of("b"), "bowline", "10 nmi", null);
        String begun = lesson.attempt("Noor Haddix");
        try (Browser aud = new Browser(school.address(), 1280, 1000);
                Browser noor = new Browser(school.address(), 360, 740)) {
            aud.signIn("Aud Meller").open("/a/" + lesson.id + "/key?item=q1").sees("Editions");
            aud.type("Question text", "When is the range of the tide smallest of all?");
            aud.clickLabelled("option B is right").sees("now asks “When is the range of the tide smallest of all?”");
            aud.sees("key: At neaps (was At springs)")
                    .sees("The wording of question 1 has changed")
                    .sees("Tamsin Orrel");
            aud.click("label", "Yes. It means the same")
                    .clickButton("Make edition 2")
                    .sees("the key was changed");
            noor.signIn("Noor Haddix")
                    .open("/sit/" + begun)
                    .sees("When is the range greatest?")
                    .hasNoErrors();
            aud.hasNoErrors();
        }
    }

    @Test
    void a_pasted_key_obeys_its_numbers_and_is_shown_before_anything_of_it_is_taken(Scholion.Running school) {
        String paper = Papers.empty(school, "Pasted letters");
        try (Browser aud = new Browser(school.address(), 1280, 800)) {
            aud.signIn("Aud Meller").open(paper + "/key?view=letters").sees("0 of 0");
            aud.pasteText("letter key", "1. A 2. B 4. D,C 6. Z");
            aud.sees("3 answers fit.")
                    .sees("1 fits no row and will be left out.")
                    .isAccessible("Pasted key");
            aud.keys(Keys.ESCAPE).seesNot("answers fit.").sees("0 of 0");
            aud.pasteText("letter key", "1. A 2. B 4. D,C")
                    .sees("3 answers fit.")
                    .clickButton("Take these answers");
            aud.sees("3 answers pasted").sees("3 of 4");
            aud.pasteText("letter key", "2. C").sees("1 row gets another key than it has.");
            aud.clickButton("Leave the key as it is").sees("Saved").hasNoErrors();
        }
        assertThat(Papers.items(school, paper))
                .extracting(i -> i.get("key").toString())
                .containsExactly("[\"a\"]", "[\"b\"]", "[]", "[\"d\",\"c\"]");
    }

    @Test
    void a_number_that_can_be_read_in_two_ways_is_asked_about_and_a_title_is_no_question(Scholion.Running school)
            throws IOException {
        String paper = Papers.empty(school, "Read in two ways");
        Path table = dir.resolve("numbers.csv");
        Files.writeString(
                table,
                "Distances at sea;;\nquestion;answer;options\nHow long is a mile?;1,852;\n"
                        + "Which light is to port?;;*red|green|white\n");
        try (Browser aud = new Browser(school.address(), 1280, 800)) {
            aud.signIn("Aud Meller").open(paper + "/key?view=in").choose(table);
            aud.sees("1 of 2 questions are complete.")
                    .sees("Line 1 stands above the heading and is no question: Distances at sea")
                    .sees("'1,852' can be read as 1852 or as 1.852")
                    .isAccessible("Numbers in two ways");
            aud.clickButton("1,852 is 1852").sees("2 of 2 questions are complete.");
            aud.clickButton("Add 2 questions to the key").sees("Saved").hasNoErrors();
        }
        assertThat(Papers.items(school, paper)
                        .get(0)
                        .get("accept")
                        .get(0)
                        .get("value")
                        .stringValue())
                .isEqualTo("1852");
        assertThat(Papers.items(school, paper).get(1).get("options")).hasSize(3);
    }

    @Test
    void questions_come_from_a_table_with_its_columns_in_any_order(Scholion.Running school) throws IOException {
        String paper = Papers.empty(school, "From a table");
        Path table = dir.resolve("questions.csv");
        Files.writeString(
                table,
                "points;thing;Correct answer;B;A;Question\n2;T1;B;sun and moon;the sun;What makes a spring tide?\n"
                        + "1;Z9;C;south;north;Whither?\n1;S1;bowline;;;Which knot makes a loop?\n");
        try (Browser aud = new Browser(school.address(), 1280, 800)) {
            aud.signIn("Aud Meller").open(paper + "/key?view=in").choose(table);
            aud.sees("2 of 3 questions are complete.")
                    .sees("'C' is none of the options")
                    .sees("its name is not recognised");
            new Select(aud.field("what thing is")).selectByVisibleText("standards");
            aud.sees("no standard has the code 'Z9'").sees("you chose this").isAccessible("Questions found");
            aud.clickButton("Add 2 questions to the key")
                    .sees("Question 1 ·")
                    .sees("Saved")
                    .hasNoErrors();
        }
        assertThat(Papers.items(school, paper)).hasSize(2);
        assertThat(Papers.items(school, paper)
                        .get(1)
                        .get("standards")
                        .get(0)
                        .get("code")
                        .stringValue())
                .isEqualTo("S1");
    }

    @Test
    void a_paper_has_parts_with_weights_a_draw_from_the_bank_and_bounds_that_are_tried(Scholion.Running school) {
        String paper = Papers.empty(school, "Drawn paper");
        try (Browser aud = new Browser(school.address(), 1280, 1000)) {
            aud.signIn("Aud Meller").open(paper + "/key?view=paper").clickButton("Add a draw");
            aud.sees("1 are to be drawn, but only 0 items are in the draw").sees("Saved");
            aud.clickLink("Add items from the bank")
                    .type("words in the item", "tide")
                    .sees("What makes a spring tide?");
            aud.clickLabelled("pick What makes a spring tide?")
                    .clickLabelled("pick Which body causes most of the tide?");
            aud.clickButton("Add 2 to Drawn paper").clickLink("back to the key").sees("of 2");
            aud.sees("These questions have no expected mean").clickButton("Divide into parts");
            aud.clickButton("Add a part")
                    .click("label", "Give the parts weights")
                    .sees("Weights add up to 100");
            aud.type("Weight", "70").sees("the weights of the parts sum to 120").clickButton("spread evenly");
            aud.seesNot("the weights of the parts sum to").sees("Saved").hasNoErrors();
        }
        assertThat(Papers.items(school, paper)
                        .valueStream()
                        .map(i -> i.path("draw").asString("")))
                .containsExactly("d1", "d1");
    }
}
