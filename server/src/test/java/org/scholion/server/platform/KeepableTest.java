package org.scholion.server.platform;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** What the database cannot hold is found before anything is parsed, however it is written. */
class KeepableTest {
    private static boolean isKept(String json) {
        return Keepable.fault(json.getBytes(StandardCharsets.UTF_8)).isEmpty();
    }

    @Test
    void nul_is_found_plain_and_escaped_and_an_escaped_backslash_before_a_u_is_no_escape() {
        assertThat(isKept("{\"a\": \"\\u0000\"}")).isFalse();
        assertThat(isKept("{\"a\": \"\0\"}")).isFalse();
        assertThat(isKept("{\"a\\u0000\": 1}")).as("in a name").isFalse();
        assertThat(isKept("{\"a\": \"\\\\u0000\"}"))
                .as("the six characters themselves")
                .isTrue();
        assertThat(isKept("{\"a\": \"\\\\\\u0000\"}"))
                .as("a backslash, then NUL")
                .isFalse();
        assertThat(isKept("{\"a\": \"\\u0001\"}")).isTrue();
    }

    @Test
    void half_of_a_pair_is_found_and_a_whole_one_is_kept() {
        assertThat(isKept("\"\\ud83d\\ude00\"")).isTrue();
        assertThat(isKept("\"\\ud83d\"")).isFalse();
        assertThat(isKept("\"\\ud83d x\"")).isFalse();
        assertThat(isKept("\"\\ude00\"")).isFalse();
        assertThat(isKept("\"\\ud83d\\ud83d\\ude00\"")).isFalse();
        assertThat(isKept("\"\\uD83D\\uDE00\\uD83D\\uDE00\"")).isTrue();
        assertThat(isKept("\"😀\"")).isTrue();
    }

    @Test
    void what_is_no_utf_8_is_told() {
        assertThat(Keepable.fault(new byte[] {'"', (byte) 0xC3, '"'})).isPresent();
        assertThat(Keepable.fault(new byte[] {'"', (byte) 0xED, (byte) 0xA0, (byte) 0x80, '"'}))
                .as("half of a pair in bytes")
                .isPresent();
        assertThat(Keepable.fault(new byte[0])).isEmpty();
    }

    @Test
    void it_says_of_any_text_what_looking_at_each_character_says() {
        String[] bits = {"a", "\\\\", "\\n", "\\u0000", "\\u0041", "\\ud83d", "\\ude00", "é", "\\\"", "u0000"};
        boolean[] bad = {false, false, false, true, false, true, true, false, false, false};
        Random random = new Random(20261128);
        for (int round = 0; round < 5_000; round++) {
            StringBuilder text = new StringBuilder();
            boolean expected = true;
            boolean high = false;
            for (int i = random.nextInt(6); i >= 0; i--) {
                int bit = random.nextInt(bits.length);
                text.append(bits[bit]);
                boolean pair = high && bit == 6;
                expected &= !(high && !pair) && (!bad[bit] || bit == 5 || pair);
                high = bit == 5;
            }
            expected &= !high;
            assertThat(isKept("\"" + text + "\"")).as(text.toString()).isEqualTo(expected);
        }
    }
}
