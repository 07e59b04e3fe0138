package org.scholion.core.total;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.scholion.core.score.Marks.f;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.scholion.core.number.Fraction;

/** An award is given from its percent on, exactly. */
class AwardTest {
    private final Award deckhand = new Award("a1", "Deckhand", f("60"), null);
    private final Award mate = new Award("a2", "Mate", f("90"), "Well steered.");

    @Test
    void it_is_given_at_its_bound_and_not_right_below() {
        List<Award> both = List.of(mate, deckhand);
        assertThat(Award.reached(both, f("59.9"))).isEmpty();
        assertThat(Award.reached(both, f("60"))).containsExactly(deckhand);
        assertThat(Award.reached(both, f("90"))).containsExactly(mate, deckhand);
        assertThat(Award.reached(both, null)).isEmpty();
    }

    @Test
    void a_higher_percent_never_loses_one() {
        Random random = new Random(5);
        for (int run = 0; run < 100; run++) {
            List<Award> awards = new ArrayList<>();
            for (int i = 0; i < 5; i++) {
                awards.add(new Award("a" + i, "award " + i, Fraction.of(random.nextInt(101)), null));
            }
            Fraction low = Fraction.of(random.nextInt(101));
            assertThat(Award.reached(awards, low.plus(Fraction.ONE))).containsAll(Award.reached(awards, low));
        }
    }

    @Test
    void without_a_title_it_is_none() {
        assertThatThrownBy(() -> new Award("a1", " ", f("60"), null)).hasMessageContaining("an award has a title");
    }
}
