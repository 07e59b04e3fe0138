package org.scholion.server.key;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.scholion.formats.json.Json;

/** What a paper comes to while it is written. */
class PaperSumsTest {
    private static PaperSums of(String json) {
        return PaperSums.of(Json.read(json));
    }

    @Test
    void a_draw_counts_with_as_many_items_as_it_asks() {
        PaperSums sums = of("""
                {"items": [{"id": "a", "kind": "choice", "points": "2", "draw": "d", "difficulty": "0.4", "minutes": "1"},
                           {"id": "b", "kind": "choice", "points": "2", "draw": "d", "difficulty": "0.8", "minutes": "1"},
                           {"id": "c", "kind": "open", "points": "1/2"}],
                 "draws": [{"id": "d", "take": 1, "each": "student"}]}""");
        assertThat(sums.questions()).isEqualTo(2);
        assertThat(sums.points()).isEqualTo("2.5");
        assertThat(sums.draws().get(0).hardest()).isEqualTo("0.4");
        assertThat(sums.draws().get(0).easiest()).isEqualTo("0.8");
        assertThat(sums.draws().get(0).drawn()).isEqualTo(200);
    }

    @Test
    void what_a_draw_lacks_is_said_and_what_is_unknown_is_counted() {
        PaperSums sums = of("""
                {"items": [{"id": "a", "kind": "choice", "points": "1", "draw": "d"}],
                 "draws": [{"id": "d", "take": 3}, {"id": "e", "take": 0}]}""");
        assertThat(sums.draws()).as("a draw of none is a fault and no report").hasSize(1);
        assertThat(sums.draws().get(0).lacks()).containsExactly("3 are to be drawn, but only 1 items are in the draw");
    }

    @Test
    void parts_and_their_weights_are_summed_exactly() {
        PaperSums sums = of("""
                {"items": [{"id": "a", "kind": "text", "points": "1/3", "part": "A"}, {"id": "b", "kind": "text", "points": "1/3", "part": "A"},
                           {"id": "c", "kind": "text", "points": "1/3", "part": "B"}, {"id": "p", "kind": "passage", "part": "A"}],
                 "parts": [{"id": "A", "weight": "33.3"}, {"id": "B", "weight": "66.7"}]}""");
        assertThat(sums.points()).isEqualTo("1");
        assertThat(sums.parts().get(0).points()).isEqualTo("2/3");
        assertThat(sums.parts().get(0).items()).isEqualTo(2);
        assertThat(sums.weights()).isEqualTo("100");
        assertThat(of("{\"items\": [], \"parts\": [{\"id\": \"A\"}]}").weights())
                .isNull();
    }

    @Test
    void points_of_abc_and_missing_fields_count_nothing_and_break_nothing() {
        PaperSums sums = of("{\"items\": [{\"id\": \"a\", \"kind\": \"text\", \"points\": \"abc\"}, {}]}");
        assertThat(sums.points()).isEqualTo("0");
        assertThat(sums.questions()).isEqualTo(2);
        assertThat(sums.untimed()).isEqualTo(2);
    }

    @Test
    void coverage_counts_an_item_once_for_each_standard_above_it() {
        PaperSums sums = of("""
                {"frameworks": [{"id": "f", "title": "F", "version": "1", "standards": [
                   {"code": "T", "text": "Tides"}, {"code": "T1", "parent": "T", "text": "Causes"}, {"code": "P", "text": "Planning"}]}],
                 "items": [{"id": "a", "kind": "open", "points": "4", "standards": [{"code": "T"}],
                            "rubric": {"criteria": [{"id": "c", "standards": [{"code": "T1"}]}]}},
                           {"id": "b", "kind": "blanks", "points": "1", "parts": [{"id": "x", "standards": [{"code": "T1"}]}]}]}""");
        assertThat(sums.covered())
                .extracting(c -> c.code() + " " + c.items() + " " + c.points() + " " + c.level())
                .containsExactly("T 2 5 1", "T1 2 5 2", "P 0 0 1");
    }

    @Test
    void the_sums_know_what_is_dropped_a_bonus_or_not_among_the_best() {
        PaperSums sums = of("""
                {"parts": [{"id": "A", "best": 2}, {"id": "B"}], "adjustments": [{"item": "q4", "do": "drop"}, {"item": "q5", "do": "bonus"}],
                 "items": [
                  {"id": "q1", "kind": "text", "part": "A", "points": "3"}, {"id": "q2", "kind": "text", "part": "A", "points": "3"},
                  {"id": "q3", "kind": "text", "part": "A", "points": "3"}, {"id": "q4", "kind": "text", "part": "B", "points": "5"},
                  {"id": "q5", "kind": "text", "part": "B", "points": "7"}, {"id": "q6", "kind": "text", "part": "B", "points": "1"}]}""");
        assertThat(sums.points()).isEqualTo("7");
        assertThat(sums.questions()).isEqualTo(6);
        assertThat(sums.parts()).extracting(PaperSums.PartSum::points).containsExactly("6", "1");
    }

    @Test
    void a_standard_is_covered_by_what_every_draw_asks() {
        String paper = """
                {"frameworks": [{"id": "f", "title": "F", "version": "1", "standards": [{"code": "T1", "text": "t"}, {"code": "T2", "text": "u"}]}],
                 "draws": [{"id": "d", "take": 2%s}], "items": [
                  {"id": "q1", "kind": "text", "draw": "d", "points": "2", "standards": [{"code": "T1"}]},
                  {"id": "q2", "kind": "text", "draw": "d", "points": "2", "standards": [{"code": "T1"}]},
                  {"id": "q3", "kind": "text", "draw": "d", "points": "2", "standards": [{"code": "T2"}]}]}""";
        assertThat(of(paper.formatted("")).covered())
                .extracting(PaperSums.Covered::items)
                .as("one of T1 in every draw, T2 only by chance")
                .containsExactly(1, 0);
        assertThat(of(paper.formatted(", \"quotas\": [{\"code\": \"T2\", \"take\": 1}]"))
                        .covered())
                .extracting(PaperSums.Covered::items)
                .containsExactly(1, 1);
    }
}
