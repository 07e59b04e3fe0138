package org.scholion.server.person;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;
import org.scholion.server.platform.Refused;

/** What a password may be. */
class PasswordsTest {
    private static void refused(String password, String username) {
        assertThatThrownBy(() -> Passwords.checked(password, username))
                .as(password)
                .isInstanceOf(Refused.class);
    }

    @Test
    void it_has_eight_to_sixty_four_characters_of_any_kind() {
        refused("seven77", "aud.meller");
        assertThat(Passwords.checked("eight 8!", "aud.meller")).isEqualTo("eight 8!");
        assertThat(Passwords.checked("q".repeat(63) + "z", "aud.meller")).hasSize(64);
        refused("q".repeat(64) + "z", "aud.meller");
    }

    @Test
    void what_the_hash_would_cut_off_is_refused_instead() {
        assertThat(Passwords.checked("é".repeat(36), "aud.meller")).hasSize(36);
        refused("é".repeat(37), "aud.meller");
    }

    @Test
    void what_is_tried_first_is_refused_in_any_capitals() {
        refused("trustno1", "aud.meller");
        refused("Qwertyuiop", "aud.meller");
        refused("welcome1", "aud.meller");
        refused("I love Scholion", "aud.meller");
        refused("xx-Aud.Meller-xx", "aud.meller");
        refused("longname", "longname");
    }

    @Test
    void a_short_name_inside_a_long_password_does_no_harm() {
        assertThat(Passwords.checked("a tide of numbers", "abe")).isNotBlank();
        assertThat(Passwords.checked("an abed of oysters", "abe")).isNotBlank();
    }
}
