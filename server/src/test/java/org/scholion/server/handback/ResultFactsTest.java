package org.scholion.server.handback;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.scholion.formats.json.Json;
import tools.jackson.databind.JsonNode;

/** What makes a result another one, so that it can be handed back again. */
class ResultFactsTest {
    private static JsonNode facts(String standards) {
        return ResultFacts.of(Json.read("{\"score\": \"5\", \"items\": []" + standards + "}"));
    }

    private static String standard(String text, String score) {
        return ", \"standards\": [{\"code\": \"T1\", \"text\": \"" + text + "\", \"score\": \"" + score
                + "\", \"possible\": \"7\", \"percent\": \"0\", \"pieces\": 3}]";
    }

    @Test
    void other_points_on_a_standard_make_another_result_and_other_words_for_it_do_not() {
        assertThat(facts(standard("Tides", "5"))).isNotEqualTo(facts(standard("Tides", "4")));
        assertThat(facts(standard("Tides", "5"))).isNotEqualTo(facts(""));
        assertThat(facts(standard("Tides", "5"))).isEqualTo(facts(standard("Tides and streams", "5")));
    }

    @Test
    void a_result_from_before_standards_were_shown_is_the_same_as_one_that_shows_none() {
        assertThat(facts("")).isEqualTo(facts(", \"standards\": []"));
    }

    @Test
    void another_comment_on_words_makes_another_result_and_one_from_before_there_were_any_stays_the_same() {
        String none = "{\"items\": [{\"item\": \"q1\"}]}";
        String one = "{\"items\": [{\"item\": \"q1\", \"remarks\": [{\"from\": 0, \"to\": 4, \"text\": \"%s\"}]}]}";
        JsonNode which = ResultFacts.of(Json.read(one.formatted("which?")));
        assertThat(which).isNotEqualTo(ResultFacts.of(Json.read(none)));
        assertThat(which).isNotEqualTo(ResultFacts.of(Json.read(one.formatted("clear"))));
        assertThat(which).isEqualTo(ResultFacts.of(Json.read(one.formatted("which?"))));
    }
}
