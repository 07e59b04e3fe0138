package org.scholion.core.text;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class SlipsTest {
    @ParameterizedTest
    @CsvSource({"kitten, sitting, 3", "ab, ba, 1", "ca, abc, 3", "abc, abc, 0", "'', abc, 3", "a😀b, ab, 1"})
    void counts_inserts_deletes_replacements_and_swaps_of_neighbours(String a, String b, int distance) {
        assertThat(Slips.between(a, b, 10)).isEqualTo(distance);
    }

    @Test
    void the_bounded_distance_agrees_with_the_plain_one_up_to_its_bound() {
        Random random = new Random(3);
        for (int i = 0; i < 4_000; i++) {
            String a = word(random);
            String b = word(random);
            int full = plain(a, b);
            for (int most = 0; most < 5; most++) {
                assertThat(Slips.between(a, b, most))
                        .as("%s %s within %d", a, b, most)
                        .isEqualTo(Math.min(full, most + 1));
            }
            assertThat(Slips.between(b, a, 9)).isEqualTo(Slips.between(a, b, 9));
        }
    }

    private static String word(Random random) {
        StringBuilder out = new StringBuilder();
        for (int n = random.nextInt(8); n > 0; n--) {
            out.append((char) ('a' + random.nextInt(3)));
        }
        return out.toString();
    }

    /** The recurrence as textbooks give it. */
    private static int plain(String a, String b) {
        int[][] d = new int[a.length() + 1][b.length() + 1];
        for (int i = 0; i <= a.length(); i++) {
            for (int j = 0; j <= b.length(); j++) {
                if (i == 0 || j == 0) {
                    d[i][j] = i + j;
                    continue;
                }
                int cost = a.charAt(i - 1) == b.charAt(j - 1) ? 0 : 1;
                d[i][j] = Math.min(Math.min(d[i - 1][j], d[i][j - 1]) + 1, d[i - 1][j - 1] + cost);
                if (i > 1 && j > 1 && a.charAt(i - 1) == b.charAt(j - 2) && a.charAt(i - 2) == b.charAt(j - 1)) {
                    d[i][j] = Math.min(d[i][j], d[i - 2][j - 2] + 1);
                }
            }
        }
        return d[a.length()][b.length()];
    }
}
