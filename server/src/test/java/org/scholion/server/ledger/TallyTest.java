package org.scholion.server.ledger;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.scholion.core.number.Fraction;
import org.scholion.core.score.State;

class TallyTest {
    private static final Random RANDOM = new Random(20);

    private static Brief any() {
        State state = RANDOM.nextInt(12) == 0 ? null : State.values()[RANDOM.nextInt(State.values().length)];
        List<Integer> chosen = new ArrayList<>();
        for (int i = RANDOM.nextInt(4); i > 0; i--) {
            chosen.add(RANDOM.nextInt(300));
        }
        Fraction credit = switch (RANDOM.nextInt(5)) {
            case 0 -> Fraction.ZERO;
            case 1 -> Fraction.ONE;
            case 2 -> Fraction.of(RANDOM.nextInt(9), 7);
            case 3 -> Fraction.of(-RANDOM.nextInt(100) - 1, 100);
            default -> Fraction.exactly("1/3").times(Fraction.exactly("0.123456789012345678901234567890"));
        };
        return new Brief(
                state,
                credit,
                RANDOM.nextBoolean(),
                RANDOM.nextBoolean(),
                RANDOM.nextBoolean(),
                RANDOM.nextBoolean(),
                RANDOM.nextInt(40_000),
                state != null && state.isUndecided() ? 1_796_000_000_000L + RANDOM.nextInt() : 0,
                chosen);
    }

    @Test
    void whatever_is_packed_comes_out_as_it_was() {
        for (int i = 0; i < 2_000; i++) {
            List<Brief> marks = new ArrayList<>();
            for (int n = RANDOM.nextInt(70); n > 0; n--) {
                marks.add(any());
            }
            assertThat(Tally.unpack(Tally.pack(marks))).isEqualTo(marks);
        }
    }

    @Test
    void sixty_marks_take_no_more_than_three_hundred_bytes() {
        List<Brief> marks = new ArrayList<>();
        for (int n = 0; n < 60; n++) {
            marks.add(new Brief(
                    State.SCORED,
                    n % 2 == 0 ? Fraction.ONE : Fraction.ZERO,
                    true,
                    false,
                    false,
                    false,
                    3,
                    0,
                    List.of(n % 5)));
        }
        assertThat(Tally.pack(marks)).hasSizeLessThanOrEqualTo(300);
    }

    @Test
    void a_mark_in_brief_adds_up_as_the_mark_itself() {
        for (int i = 0; i < 500; i++) {
            Brief brief = any();
            assertThat(brief.mark().credit()).isEqualTo(brief.state() == null ? Fraction.ZERO : brief.credit());
            assertThat(brief.mark().state()).isEqualTo(brief.state() == null ? State.BLANK : brief.state());
        }
    }
}
