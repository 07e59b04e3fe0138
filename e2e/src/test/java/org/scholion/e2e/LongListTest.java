package org.scholion.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.scholion.server.testing.Scholion;
import org.scholion.server.testing.Visitor;

/** Apart from the other views, whose pictures are to show the demo alone. */
@ExtendWith(Scholion.class)
class LongListTest {
    @Test
    void a_long_list_scrolls_with_only_the_rows_near_the_screen_in_the_page(Scholion.Running school) {
        Visitor aud = school.as("Aud Meller");
        String course = aud.get("/api/courses").ok().get(0).get("id").stringValue();
        StringBuilder roster = new StringBuilder("number,first name,surname,section\n");
        for (int i = 0; i < 400; i++) {
            roster.append("%d,Given%d,Zz%03d,Section Long\n".formatted(70_000 + i, i, i));
        }
        aud.sendFile("/api/courses/" + course + "/roster", roster.toString()).ok();
        try (Browser berit = new Browser(school.address(), 1280, 800)) {
            berit.signIn("Berit Straum").sees("Ambler, Wanda");
            assertThat(berit.count("tbody tr")).isLessThan(120);
            berit.scrollToEnd().sees("Zz399, Given399").isAccessible("A long list");
            berit.type("A part of a name, number or address", "Zz123")
                    .sees("Zz123, Given123")
                    .seesNot("Zz399");
        }
    }
}
