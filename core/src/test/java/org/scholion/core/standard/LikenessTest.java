package org.scholion.core.standard;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.scholion.core.number.Fraction;

class LikenessTest {
    private static final Framework NEWER = new Framework(
            "f2",
            "Coastal Skills",
            "2",
            List.of(
                    new Framework.Standard("T1", null, "Explains the causes of tides"),
                    new Framework.Standard("T2", null, "Works with tide tables"),
                    new Framework.Standard("S1", null, "Names knots and their use"),
                    new Framework.Standard("N9", null, "Something else")));

    private static List<Likeness.Proposal> of(String code, String text) {
        return Likeness.of(new Framework.Standard(code, null, text), NEWER);
    }

    @Test
    void the_most_alike_by_their_words_come_first() {
        assertThat(of("N3.1", "Causes of tides and streams").get(0).code()).isEqualTo("T1");
        assertThat(of("N3.2", "Tide tables").get(0).code()).isEqualTo("T2");
    }

    @Test
    void an_equal_code_weighs_half_more_and_equal_words_are_all() {
        assertThat(of("N9", "Buoys and beacons").get(0).code()).isEqualTo("N9");
        assertThat(of("X", "works with TIDE tables").get(0).likeness()).isEqualTo(Fraction.ONE);
    }

    @Test
    void nothing_is_proposed_where_nothing_is_alike() {
        assertThat(of("Z", "Quux")).isEmpty();
        assertThat(of("Z", "")).isEmpty();
    }

    @Test
    void a_standard_has_those_above_it_nearest_first() {
        Framework tree = new Framework(
                "f",
                "F",
                "1",
                List.of(
                        new Framework.Standard("T1.2", "T1", ""),
                        new Framework.Standard("T", null, ""),
                        new Framework.Standard("T1", "T", "")));
        assertThat(tree.withAbove("T1.2")).containsExactly("T1.2", "T1", "T");
        assertThat(tree.withAbove("X")).isEmpty();
    }
}
