package org.scholion.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.openqa.selenium.Keys;
import org.scholion.server.testing.Lesson;
import org.scholion.server.testing.Scholion;

/** Everyone can use it: from the keyboard, with a screen reader, on a small screen, with large text. */
@ExtendWith(Scholion.class)
class EverybodyTest {
    @Test
    void keys_of_a_single_letter_are_turned_off_and_on_by_the_person(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "Without shortcuts", "A")
                .sits("Noor Haddix", List.of("a"), "rescue knot", null, null)
                .sits("Lotte Marrin", List.of("a"), "hitch", null, null);
        try (Browser aud = new Browser(school.address(), 1280, 900)) {
            aud.signIn("Aud Meller").open("/a/" + lesson.id + "/settle").sees("If you give full credit");
            aud.press("0").sees("If you give no credit");
            aud.clickLabelled("AM, Aud Meller").click("*[@role='menuitem']", "Keyboard shortcuts");
            aud.click("label", "Use shortcuts of a single letter")
                    .isAccessible("Shortcuts")
                    .keys(Keys.ESCAPE);
            aud.press("1", "2").pause().sees("If you give no credit");
            aud.press("?").pause().seesNot("Use shortcuts of a single letter");
            aud.clickLabelled("AM, Aud Meller").click("*[@role='menuitem']", "Keyboard shortcuts");
            aud.click("label", "Use shortcuts of a single letter").keys(Keys.ESCAPE);
            aud.press("1").sees("If you give full credit");
        }
    }

    @Test
    void each_page_has_its_own_title_and_one_heading_and_a_change_is_announced(Scholion.Running school) {
        String tides = Papers.demo(school, "Tides");
        try (Browser aud = new Browser(school.address(), 1280, 800)) {
            aud.signIn("Aud Meller").sees("piles are waiting");
            for (Map.Entry<String, String> page : Map.of(
                            "/courses",
                            "Coastal Navigation",
                            "/bank",
                            "Bank",
                            "/gradebook",
                            "Gradebook",
                            tides + "/settle",
                            "Settle",
                            tides + "/read",
                            "Read",
                            tides + "/examine",
                            "Examine",
                            tides + "/hand-back",
                            "Hand back",
                            tides + "/key?view=paper",
                            "Paper",
                            "/account",
                            "Your account")
                    .entrySet()) {
                aud.open(page.getKey()).isTitled(page.getValue());
                assertThat(aud.evaluate("return document.querySelectorAll('h1').length"))
                        .as(page.getKey())
                        .isEqualTo(1L);
            }
            aud.open("/courses")
                    .isTitled("Coastal Navigation")
                    .clickLink("Bank")
                    .isTitled("Bank");
            aud.announces("Bank");
        }
    }

    @Test
    void the_focus_goes_to_what_comes_next_when_what_had_it_goes_away(Scholion.Running school) {
        String paper = Papers.empty(school, "Where the focus goes");
        try (Browser aud = new Browser(school.address(), 1280, 900)) {
            aud.signIn("Aud Meller").open(paper + "/key").sees("Your items will appear here.");
            aud.press("c").asks("Whither?").type("text of option A", "north").type("text of option B", "south");
            aud.click("button", "Remove option C").pause();
            assertThat(aud.evaluate("return document.activeElement.tagName")).isNotEqualTo("BODY");
            assertThat(aud.evaluate("return document.activeElement.closest('main') !== null"))
                    .isEqualTo(true);
            // A page that has the focus itself hands it to the page that takes its place, not to what stands above.
            aud.evaluate("const page = document.getElementById('page'); page.tabIndex = -1; page.focus(); return true");
            aud.evaluate("document.querySelector('nav a[href=\"/bank\"]').click(); return true");
            aud.announces("Bank").pause();
            assertThat(aud.evaluate("return document.activeElement.id || document.activeElement.textContent"))
                    .isEqualTo("page");
        }
    }

    @Test
    void at_320_pixels_and_with_large_text_nothing_scrolls_sideways_but_tables(Scholion.Running school) {
        String tides = Papers.demo(school, "Tides");
        try (Browser aud = new Browser(school.address(), 320, 640)) {
            aud.signIn("Aud Meller").sees("piles are waiting");
            for (String page : List.of(
                    "/desk",
                    "/courses",
                    "/bank",
                    "/standards",
                    "/gradebook",
                    "/queries",
                    "/account",
                    tides + "/key",
                    tides + "/key?view=letters",
                    tides + "/key?view=paper",
                    tides + "/key?view=sets",
                    tides + "/collect",
                    tides + "/settle",
                    tides + "/read",
                    tides + "/examine",
                    tides + "/hand-back")) {
                aud.open(page).isLoaded().isAccessible(page + " at 320 px");
            }
        }
        try (Browser lotte = new Browser(school.address(), 320, 640)) {
            lotte.signIn("Lotte Marrin").sees("To do").isAccessible("To do at 320 px");
            lotte.evaluate("return document.documentElement.style.fontSize = '200%'");
            lotte.isAccessible("To do with large text");
            lotte.open("/results").sees("Results").isAccessible("Results at 320 px");
        }
    }

    @Test
    void a_long_table_is_printed_whole(Scholion.Running school) {
        try (Browser ines = new Browser(school.address(), 1280, 800)) {
            ines.signIn("Aud Meller").open("/gradebook");
            ines.sees("Ambler, Wanda");
            Object rows = ines.evaluate("window.dispatchEvent(new Event('beforeprint'));"
                    + "return document.querySelectorAll('tbody tr').length");
            assertThat(((Number) rows).intValue()).isGreaterThanOrEqualTo(78);
        }
    }
}
