package org.scholion.formats.json;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

/** Texts that can be kept and printed, wherever they stand in a document. */
class TextsTest {
    @Test
    void a_control_character_is_named_by_its_place_and_number() {
        assertThat(Texts.faults(Json.read("{\"items\": [{\"prompt\": \"tide\\u0007s\"}]}")))
                .extracting(Fault::path, Fault::message)
                .containsExactly(org.assertj.core.groups.Tuple.tuple(
                        "items[0].prompt", "character 5 is a control character, which cannot be printed; delete it"));
        assertThat(Texts.faults(Json.read("[\"a\\nb\\tc\\r\", 3, true, null]"))).isEmpty();
    }

    @Test
    void names_are_short_and_other_texts_are_not() {
        String long201 = "x".repeat(201);
        assertThat(Texts.faults(Json.read("{\"title\": \"" + long201 + "\"}"))).hasSize(1);
        assertThat(Texts.faults(Json.read("{\"title\": \"" + long201.substring(1) + "\"}")))
                .isEmpty();
        assertThat(Texts.faults(Json.read("{\"prompt\": \"" + long201 + "\"}"))).isEmpty();
        assertThat(Texts.faults(Json.read("{\"prompt\": \"" + "x".repeat(60_001) + "\"}")))
                .hasSize(1);
        assertThat(Texts.faults(Json.read("{\"" + long201 + "\": 1}"))).hasSize(1);
    }

    @Test
    void many_faults_are_told_up_to_a_number() {
        assertThat(Texts.faults(Json.read("[" + "\"\\u0001\",".repeat(500) + "1]")))
                .hasSize(20);
    }

    @Test
    void what_cannot_be_printed_becomes_a_space_in_texts_and_in_names_and_nothing_else_changes() {
        assertThat(Texts.printable(
                        Json.read("{\"a\\u0002b\": [\"x\\u0000y\", {\"c\": \"\\uffff\"}, 1.50, \"fine\\n\"]}")))
                .isEqualTo(Json.read("{\"a b\": [\"x y\", {\"c\": \" \"}, 1.50, \"fine\\n\"]}"));
        String fine = "fine";
        assertThat(Texts.printable(fine)).isSameAs(fine);
    }
}
