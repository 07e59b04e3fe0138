package org.scholion.server.ledger;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.scholion.server.testing.Crowd;
import org.scholion.server.testing.Lesson;
import org.scholion.server.testing.Scholion;
import org.springframework.jdbc.core.simple.JdbcClient;

/** What an older version left behind without a tally is the same on every page, and is packed by itself. */
@ExtendWith(Scholion.class)
class MissingTalliesTest {
    @Test
    void pages_are_the_same_with_and_without_tallies_and_what_is_missing_is_made(
            Scholion.Running school, JdbcClient db, MissingTallies missing, Standings standings) {
        Lesson lesson = Lesson.given(school, "From before", "A")
                .sits("Tamsin Orrel", List.of("a"), "sheet bend", "10", "Because.")
                .sits("Noor Haddix", List.of("b"), "bowline", "9 nmi", null);
        Crowd.at(school, lesson, "A", 12);
        List<String> pages = List.of("", "/doubts", "/readings", "/examine", "/hand-back");
        List<String> before = pages.stream()
                .map(p -> lesson.teacher.get(lesson.path(p)).body())
                .toList();
        db.sql("update standing s set tally = null from attempt x where x.id = s.attempt_id and x.assessment_id = ?")
                .param(UUID.fromString(lesson.id))
                .update();
        assertThat(pages.stream().map(p -> lesson.teacher.get(lesson.path(p)).body()))
                .containsExactlyElementsOf(before);
        missing.make();
        assertThat(db.sql("select count(*) from standing where tally is null")
                        .query(Integer.class)
                        .single())
                .isZero();
        assertThat(standings.differences()).isEmpty();
        assertThat(pages.stream().map(p -> lesson.teacher.get(lesson.path(p)).body()))
                .containsExactlyElementsOf(before);
    }
}
