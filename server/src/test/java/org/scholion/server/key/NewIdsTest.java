package org.scholion.server.key;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.scholion.formats.json.Json;
import tools.jackson.databind.node.ObjectNode;

class NewIdsTest {
    private static ObjectNode draft(String json) {
        return Json.read(json).deepCopy().asObject();
    }

    @Test
    void an_id_that_is_free_stays_and_one_that_is_taken_becomes_a_free_one() {
        ObjectNode draft = draft("{\"items\": [{\"id\": \"q1\"}, {\"id\": \"q3\"}]}");
        assertThat(NewIds.append(draft, List.of(Json.read("{\"id\": \"q1\"}"), Json.read("{\"id\": \"q2\"}"))))
                .containsExactly("q4", "q2");
        assertThat(draft.path("items")).hasSize(4);
    }

    @Test
    void ties_between_what_comes_follow_and_the_last_part_takes_it() {
        ObjectNode draft = draft("{\"items\": [{\"id\": \"q1\"}], \"parts\": [{\"id\": \"A\"}, {\"id\": \"B\"}]}");
        NewIds.append(
                draft,
                List.of(
                        Json.read("{\"id\": \"q1\", \"kind\": \"passage\"}"),
                        Json.read("{\"id\": \"q2\", \"kind\": \"choice\", \"stem\": \"q1\"}"),
                        Json.read("{\"id\": \"q3\", \"kind\": \"open\", \"reasonFor\": \"q2\"}")));
        assertThat(draft.path("items").get(1).has("part"))
                .as("a passage stands in no part")
                .isFalse();
        assertThat(draft.path("items").get(2).path("stem").asString("")).isEqualTo("q2");
        assertThat(draft.path("items").get(2).path("part").asString("")).isEqualTo("B");
        assertThat(draft.path("items").get(3).path("reasonFor").asString(""))
                .isEqualTo(draft.path("items").get(2).path("id").asString(""));
    }

    @Test
    void an_item_without_an_id_gets_one_and_an_empty_key_begins() {
        ObjectNode draft = draft("{}");
        assertThat(NewIds.append(draft, List.of(Json.read("{\"kind\": \"open\"}"))))
                .containsExactly("q1");
    }
}
