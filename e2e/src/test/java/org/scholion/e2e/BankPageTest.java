package org.scholion.e2e;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.scholion.server.testing.Scholion;

/** The bank in the pages: filled from a key, changed where it is kept, near duplicates seen. */
@ExtendWith(Scholion.class)
class BankPageTest {
    @Test
    void a_whole_key_goes_into_the_bank_and_an_item_is_changed_where_it_is_kept(Scholion.Running school) {
        String paper = Papers.empty(school, "For the bank");
        school.as("Aud Meller")
                .put(
                        "/api/assessments/" + paper.substring(3) + "/key",
                        Map.of("definition", definition(), "revision", 0))
                .ok();
        try (Browser aud = new Browser(school.address(), 1280, 1000)) {
            aud.signIn("Aud Meller").open(paper + "/key").clickButton("Copy all to the bank");
            aud.sees("2 copied").clickButton("Copy all to the bank").sees("0 copied, 2 already there");
            aud.open("/bank").sees("Similar questions in your bank").isAccessible("Bank, near");
            aud.type("words in the item", "gimbal").sees("What keeps a lamp level in its gimbals?");
            aud.clickButton("Edit this item").sees("Save as version 2").isAccessible("Bank, changing");
            aud.type("Points", "abc").sees("'abc' is not a number");
            aud.type("Points", "3").seesNot("'abc'").clickButton("Save as version 2");
            aud.sees("Restore this version").hasNoErrors();
        }
    }

    private static Map<String, Object> definition() {
        return Map.of(
                "format",
                "scholion-assessment/1",
                "title",
                "For the bank",
                "items",
                List.of(
                        item("q1", "What keeps a lamp level in its gimbals?"),
                        item("q2", "What keeps the lamp level in its gimbals?")));
    }

    private static Map<String, Object> item(String id, String prompt) {
        return Map.of(
                "id", id, "kind", "text", "points", "1", "prompt", prompt, "accept", List.of(Map.of("text", "weight")));
    }
}
