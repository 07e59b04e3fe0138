package org.scholion.e2e;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.openqa.selenium.Keys;
import org.scholion.server.testing.Colleague;
import org.scholion.server.testing.Lesson;
import org.scholion.server.testing.Scholion;
import org.scholion.server.testing.Visitor;
import tools.jackson.databind.JsonNode;

/** Every route, in the light and in the dark, wide and narrow, and what opens above it: nothing that axe finds. */
@ExtendWith(Scholion.class)
class AllRoutesTest {
    private static final String DARK = "dark";

    @Test
    void every_route_of_a_teacher_can_be_read_in_the_light_and_in_the_dark_wide_and_narrow(Scholion.Running school) {
        List<String> routes = staff(school);
        try (Browser aud = new Browser(school.address(), 1280, 800)) {
            aud.signIn("Aud Meller").sees("piles are waiting");
            for (String route : routes) {
                aud.resized(1280, 800).prefers("prefers-color-scheme", DARK).open(route);
                aud.isLoaded().isAccessible(route + " in the dark");
                aud.prefers("prefers-color-scheme", "light").isAccessible(route);
                aud.resized(320, 640).pause().isAccessible(route + " at 320 px");
            }
        }
    }

    private static List<String> staff(Scholion.Running school) {
        Visitor aud = school.as("Aud Meller");
        String course = aud.get("/api/courses").ok().get(0).get("id").stringValue();
        JsonNode frameworks = aud.get("/api/frameworks").ok();
        String newer = frameworks.get(0).get("id").stringValue();
        String older = frameworks.get(1).get("id").stringValue();
        List<String> routes = new ArrayList<>(List.of(
                "/desk",
                "/courses",
                "/courses/" + course,
                "/courses/" + course + "/roster",
                "/courses/" + course + "/roster-in",
                "/standards",
                "/standards/in",
                "/standards/" + newer,
                "/standards/" + newer + "/from/" + older,
                "/gradebook",
                "/gradebook/" + course,
                "/standards/of/" + course,
                "/standards/of/" + course + "?view=students",
                "/bank",
                "/queries",
                "/account",
                "/no/such/page"));
        String tides = Papers.demo(school, "Tides");
        for (String stop : List.of(
                "key",
                "key?view=letters",
                "key?view=paper",
                "key?view=sets",
                "collect",
                "bring-in",
                "settle",
                "read",
                "examine",
                "examine?answers=1",
                "examine/students",
                "examine/sections",
                "examine/reports",
                "hand-back",
                "nowhere")) {
            routes.add(tides + "/" + stop);
        }
        routes.add(Papers.demo(school, "Harbour approach") + "/key");
        routes.add(Papers.demo(school, "Dead reckoning") + "/settle");
        routes.add(Papers.empty(school, "Nothing yet in any light") + "/key");
        routes.add(Lesson.given(school, "Nothing in yet", "A").path("").replace("/api/assessments", "/a") + "/examine");
        return routes;
    }

    @Test
    void every_route_of_an_administrator_and_of_a_student_can_be_read_in_the_light_and_in_the_dark(
            Scholion.Running school) {
        try (Browser berit = new Browser(school.address(), 1280, 800)) {
            berit.signIn("Berit Straum").isLoaded();
            walk(berit, 320, "/people?person=new", "/courses", "/school", "/record", "/standards", "/account");
        }
        try (Browser signedOut = new Browser(school.address(), 360, 740)) {
            walk(signedOut, 320, "/");
        }
        Lesson lesson = Lesson.given(school, "In any light", "A").sits("Lotte Marrin", List.of("a"), "x", "y", "z");
        lesson.handsBack("Lotte Marrin").ok();
        String result = school.as("Lotte Marrin")
                .get("/api/student/results")
                .ok()
                .get(0)
                .get("id")
                .stringValue();
        try (Browser lotte = new Browser(school.address(), 360, 740)) {
            lotte.signIn("Lotte Marrin").isLoaded();
            walk(lotte, 320, "/todo", "/can-do", "/results", "/results/" + result, "/account", "/no/such/page");
        }
        Lesson.given(school, "Answered in any light", "A");
        try (Browser tamsin = new Browser(school.address(), 360, 740)) {
            tamsin.signIn("Tamsin Orrel").sees("Answered in any light");
            tamsin.click("li[contains(., 'Answered in any light')]//button", "Begin")
                    .sees("Question 1 of 4");
            for (int question = 1; question <= 4; question++) {
                inBothLights(tamsin, "question " + question);
                tamsin.clickButton(question < 4 ? "Next" : "Check and hand in");
            }
            tamsin.sees("questions have no answer");
            inBothLights(tamsin, "check before handing in");
        }
    }

    private static void walk(Browser browser, int narrow, String... routes) {
        for (String route : routes) {
            browser.resized(1280, 800).open(route).isThere().pause();
            inBothLights(browser, route);
            browser.resized(narrow, 640);
            inBothLights(browser, route + " at " + narrow + " px");
        }
    }

    private static void inBothLights(Browser browser, String view) {
        browser.prefers("prefers-color-scheme", DARK).isAccessible(view + " in the dark");
        browser.prefers("prefers-color-scheme", "light").isAccessible(view);
    }

    @Test
    void what_opens_above_a_page_can_be_read_too(Scholion.Running school) {
        String tides = Papers.demo(school, "Tides");
        try (Browser aud = new Browser(school.address(), 1280, 800)) {
            aud.signIn("Aud Meller").open(tides + "/settle").isLoaded();
            aud.press("?").sees("Use shortcuts of a single letter");
            inBothLights(aud, "keyboard shortcuts");
            aud.keys(Keys.ESCAPE).pressCtrl("k").pause();
            inBothLights(aud, "the finder, empty");
            aud.keys("knot").pause();
            inBothLights(aud, "the finder, with what it found");
            aud.keys(Keys.ESCAPE).clickLabelled("AM, Aud Meller").pause();
            inBothLights(aud, "the menu of a person");
            aud.keys(Keys.ESCAPE).offline(true).sees("No connection");
            inBothLights(aud, "without a connection");
            aud.offline(false);
        }
    }

    @Test
    void the_pages_of_a_teacher_who_has_nothing_yet_can_be_read(Scholion.Running school) {
        Colleague runa = Colleague.called(school, "Runa");
        try (Browser browser = new Browser(school.address(), 1280, 800)) {
            browser.signIn(runa.name()).isLoaded();
            walk(browser, 320, "/desk", "/courses", "/bank", "/gradebook", "/queries", "/standards");
        }
    }
}
