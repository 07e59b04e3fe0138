package org.scholion.server.collect;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.scholion.server.testing.Lesson;
import org.scholion.server.testing.Scholion;
import org.scholion.server.testing.Visitor;
import org.springframework.jdbc.core.simple.JdbcClient;
import tools.jackson.databind.JsonNode;

/** What happens when time is up and one attempt cannot be taken in. */
@ExtendWith(Scholion.class)
class ClosingTimeTest {
    @Test
    void what_cannot_be_taken_in_is_told_on_the_desk_and_time_goes_on_for_all_others(
            Scholion.Running school, JdbcClient db) {
        Lesson lesson = Lesson.given(school, "Trouble at closing time", "A");
        String broken = begun(school, lesson, "Lotte Marrin");
        String whole = begun(school, lesson, "Tamsin Orrel");
        refuseMarksOf(db, broken);
        try {
            lesson.isOver();
            assertThat(school.bean(ClosingTime.class).takeIn()).isPositive();
            assertThat(isIn(db, whole)).isTrue();
            assertThat(isIn(db, broken)).isFalse();
            JsonNode trouble = trouble(lesson, broken);
            assertThat(trouble.get("student").stringValue()).isEqualTo("Lotte Marrin");
            assertThat(trouble.get("why").stringValue()).isEqualTo("something in it could not be scored");
        } finally {
            db.sql("drop function refuse_mark cascade").update();
        }
        lesson.teacher.post("/api/attempts/" + broken + "/take-in", null).ok();
        assertThat(isIn(db, broken)).isTrue();
        assertThat(troubles(lesson)).doesNotContain(broken);
        assertThat(lesson.mark("Lotte Marrin", "q1").get("points").stringValue())
                .as("nothing of it is lost")
                .isEqualTo("1");
    }

    /** Whatever the reason may be one day: the marks of one attempt cannot be written. */
    private static void refuseMarksOf(JdbcClient db, String attempt) {
        db.sql("""
                        create function refuse_mark() returns trigger language plpgsql as $$ begin
                          if new.attempt_id = '%s' then raise exception 'broken'; end if; return new; end $$""".formatted(attempt)).update();
        db.sql("create trigger refuse_mark before insert on mark for each row execute function refuse_mark()")
                .update();
    }

    @Test
    void a_teacher_hands_in_for_somebody_who_has_time_left_and_nobody_else_does(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "Still time", "A");
        String attempt = begun(school, lesson, "Lotte Marrin");
        school.as("Lotte Marrin")
                .post("/api/attempts/" + attempt + "/take-in", null)
                .isRefused(403);
        assertThat(isIn(school.bean(JdbcClient.class), attempt)).isFalse();
        lesson.teacher.post("/api/attempts/" + attempt + "/take-in", null).ok();
        assertThat(lesson.mark("Lotte Marrin", "q1").get("points").stringValue())
                .isEqualTo("1");
    }

    private static String begun(Scholion.Running school, Lesson lesson, String name) {
        Visitor student = school.as(name);
        String attempt = lesson.begin(student);
        Lesson.answer(student, attempt, "q1", List.of("a")).ok();
        return attempt;
    }

    private static boolean isIn(JdbcClient db, String attempt) {
        return db.sql("select handed_in_at is not null from attempt where id = ?")
                .param(UUID.fromString(attempt))
                .query(Boolean.class)
                .single();
    }

    private static JsonNode trouble(Lesson lesson, String attempt) {
        for (JsonNode one : lesson.teacher.get("/api/desk").ok().get("troubles")) {
            if (one.get("attempt").stringValue().equals(attempt)) {
                return one;
            }
        }
        throw new AssertionError("the Desk does not tell of it");
    }

    private static String troubles(Lesson lesson) {
        return lesson.teacher.get("/api/desk").ok().get("troubles").toString();
    }
}
