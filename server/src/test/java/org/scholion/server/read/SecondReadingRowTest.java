package org.scholion.server.read;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Random;
import java.util.UUID;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

class SecondReadingRowTest {
    private static long of(int share, int attempts) {
        SecondReadingRow row = new SecondReadingRow(new UUID(0, 1), "q1");
        row.share = share;
        Random random = new Random(15);
        return Stream.generate(() -> new UUID(random.nextLong(), random.nextLong()))
                .limit(attempts)
                .filter(row::isOf)
                .count();
    }

    @Test
    void of_many_answers_so_many_of_a_hundred_are_read_twice_and_of_a_larger_share_all_of_a_smaller_one() {
        assertThat(of(30, 10_000)).isBetween(2_800L, 3_200L);
        assertThat(of(100, 1_000)).isEqualTo(1_000);
        SecondReadingRow small = new SecondReadingRow(new UUID(0, 1), "q1");
        small.share = 20;
        SecondReadingRow large = new SecondReadingRow(new UUID(0, 1), "q1");
        large.share = 50;
        assertThat(Stream.generate(UUID::randomUUID).limit(1_000).filter(small::isOf))
                .allMatch(large::isOf);
    }
}
