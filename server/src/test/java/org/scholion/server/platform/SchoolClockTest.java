package org.scholion.server.platform;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import org.junit.jupiter.api.Test;

/** The time that everything is told by. */
class SchoolClockTest {
    @Test
    void a_moment_is_as_fine_as_the_database_keeps_it() {
        SchoolClock clock = new SchoolClock();
        for (int i = 0; i < 1_000; i++) {
            assertThat(clock.instant().getNano() % 1_000).isZero();
        }
        clock.at(
                Instant.parse("2026-11-29T15:54:23.875999999Z"),
                () -> assertThat(clock.instant()).isEqualTo(Instant.parse("2026-11-29T15:54:23.875999Z")));
    }

    @Test
    void work_is_done_as_at_another_moment_and_only_that_work() {
        SchoolClock clock = new SchoolClock();
        Instant then = Instant.parse("2026-11-01T08:00:00Z");
        clock.at(then, () -> {
            clock.at(then.plusSeconds(60), () -> assertThat(clock.instant()).isEqualTo(then.plusSeconds(60)));
            assertThat(clock.instant()).isEqualTo(then);
        });
        assertThat(clock.instant()).isAfter(then.plusSeconds(60));
    }
}
