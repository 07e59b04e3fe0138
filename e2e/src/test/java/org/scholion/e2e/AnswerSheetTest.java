package org.scholion.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.scholion.server.testing.Lesson;
import org.scholion.server.testing.Scholion;
import tools.jackson.databind.JsonNode;

/** A key of letters answered by students: one sheet of rows, from the keyboard and on a phone. */
@ExtendWith(Scholion.class)
class AnswerSheetTest {
    private static Map<String, Object> letters(int n) {
        List<Map<String, Object>> items = new ArrayList<>();
        for (int i = 1; i <= n; i++) {
            items.add(Map.of(
                    "id",
                    "q" + i,
                    "kind",
                    "choice",
                    "points",
                    "1",
                    "prompt",
                    "",
                    "options",
                    List.of(Map.of("id", "a", "text", "A"), Map.of("id", "b", "text", "B")),
                    "key",
                    List.of("a")));
        }
        return Map.of("format", "scholion-assessment/1", "title", "On a sheet", "items", items);
    }

    private static Lesson given(Scholion.Running school) {
        Lesson lesson = Lesson.written(school, "On a sheet");
        lesson.teacher
                .put(lesson.path("/key"), Map.of("definition", letters(12), "revision", 1))
                .ok();
        lesson.giveOut("A").ok();
        return lesson;
    }

    @Test
    void letters_are_typed_down_the_rows_or_touched_and_the_last_look_leads_to_their_sheet(Scholion.Running school) {
        Lesson lesson = given(school);
        try (Browser tamsin = new Browser(school.address(), 360, 740)) {
            tamsin.signIn("Tamsin Orrel").click("li[contains(., 'On a sheet')]//button", "Begin");
            tamsin.sees("The questions are on your printed paper.").isAccessible("Answer sheet");
            tamsin.focusFirst("ol input");
            for (char letter : "ababababab".toCharArray()) {
                tamsin.keys(String.valueOf(letter));
            }
            tamsin.sees("10 / 12").click("label", "B").sees("Saved");
            tamsin.clickButton("Check and hand in").sees("2 questions have no answer");
            tamsin.clickButton("12").sees("The questions are on your printed paper.");
            tamsin.clickButton("Check and hand in").clickButton("Hand in").sees("You have handed this in.");
            tamsin.hasNoErrors();
        }
        String attempt = lesson.teacher
                .get(lesson.path("/key-from"))
                .ok()
                .get(0)
                .get("attempt")
                .stringValue();
        JsonNode trace =
                lesson.teacher.get("/api/attempts/" + attempt + "/trace").ok();
        assertThat(trace.get("standing").get("score").stringValue())
                .as("five of ten letters, less the first, which was changed")
                .isEqualTo("4");
    }
}
