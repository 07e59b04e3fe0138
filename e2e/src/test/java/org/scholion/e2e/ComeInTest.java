package org.scholion.e2e;

import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.openqa.selenium.Keys;
import org.scholion.server.testing.Lesson;
import org.scholion.server.testing.Scholion;
import org.springframework.jdbc.core.simple.JdbcClient;
import tools.jackson.databind.JsonNode;

/** Ways to a sitting: a short link, on the wall and on slips with codes that need no password. */
@ExtendWith(Scholion.class)
class ComeInTest {
    @Test
    void a_student_comes_in_by_a_slip_takes_the_sitting_and_comes_in_again_where_they_were(
            Scholion.Running school, JdbcClient db) {
        Lesson lesson = Lesson.given(school, "By slip", "A");
        String sitting = "/a/" + lesson.id + "/sittings/" + lesson.sitting();
        try (Browser aud = new Browser(school.address(), 1280, 900);
                Browser phone = new Browser(school.address(), 360, 740)) {
            aud.signIn("Aud Meller")
                    .open(sitting)
                    .clickButton("large, for the wall")
                    .sees("/s/");
            aud.isAccessible("The way, on the wall").keys(Keys.ESCAPE).seesNot("Close");
            aud.clickButton("Make slips to print")
                    .sees("These codes are shown once, now.")
                    .sees("Lotte Marrin");
            aud.isAccessible("Slips of a sitting").clickButton("Done").sees("codes hold until it is over.");

            JsonNode made = lesson.teacher
                    .post("/api/sittings/" + lesson.sitting() + "/slips", Map.of())
                    .ok();
            String way = made.get("way").stringValue();
            JsonNode slip = slip(made, "Marrin");
            String number = slip.get("number").stringValue();
            String code = slip.get("code").stringValue();
            phone.open("/s/22222222").sees("There is nothing under this link.");
            phone.open("/s/" + way.toLowerCase(java.util.Locale.ROOT))
                    .sees("By slip")
                    .isAccessible("Coming in");
            phone.type("Your number, or sign-in name", number).type("The code on your slip", "2222-2222");
            phone.clickButton("Come in").sees("The number or the code is not right.");
            phone.open("/s/" + way + "#" + number + "," + code).hasValue("Your number, or sign-in name", number);
            phone.clickButton("Come in").sees("There is no time limit").seesNot("Results");
            phone.clickButton("Begin").sees("When is the range greatest?");
            phone.open(phone.path().replaceAll("\\?.*", "") + "?page=2").sees("Which knot makes a fixed loop?");
            db.sql("delete from sign_in where sitting_id = ?::uuid")
                    .param(lesson.sitting())
                    .update();
            phone.type("Your answer", "bowline").sees("Sign in again").isAccessible("Coming in again");
            phone.type("Your number, or sign-in name", number)
                    .type("The code on your slip", code)
                    .clickButton("Come in")
                    .seesNot("Sign in again")
                    .sees("Saved");
            phone.open(phone.path().replaceAll("\\?.*", "") + "?page=5")
                    .clickButton("Hand in")
                    .sees("Your receipt:");
            phone.open("/s/" + way + "#" + number + "," + code)
                    .sees("Lotte Marrin is signed in here.")
                    .open("/results")
                    .sees("There is no page here.");

            aud.open(sitting)
                    .clickButton("End them, and sign out who came in by one")
                    .seesNot("codes hold until it is over.")
                    .hasNoErrors();
        }
    }

    private static JsonNode slip(JsonNode made, String family) {
        for (JsonNode slip : made.get("slips")) {
            if (slip.get("family").stringValue().equals(family)) {
                return slip;
            }
        }
        throw new AssertionError(family);
    }
}
