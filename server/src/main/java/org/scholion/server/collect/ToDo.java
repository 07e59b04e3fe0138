package org.scholion.server.collect;

import java.sql.Timestamp;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.server.platform.Me;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What waits for a student. */
@Service
class ToDo {
    private final JdbcClient db;
    private final Clock clock;

    ToDo(JdbcClient db, Clock clock) {
        this.db = db;
        this.clock = clock;
    }

    /** Where a student stands with a sitting. */
    enum Stage {
        COMING,
        OPEN,
        WORKING,
        IN,
        MISSED
    }

    record ToDoLine(
            UUID sitting,
            @Nullable UUID attempt,
            String title,
            String course,
            Instant opens,
            Instant closes,
            @Nullable Integer minutes,
            Stage stage) {}

    @Transactional(readOnly = true)
    List<ToDoLine> of(Me me) {
        Instant now = clock.instant();
        return db.sql("""
                        select s.id, x.id as attempt, a.title, c.title as course, s.opens_at, s.closes_at, s.minutes,
                               x.handed_in_at
                        from sitting s join enrolment e on e.section_id = s.section_id and e.student_id = :me
                        join assessment a on a.id = s.assessment_id join course c on c.id = a.course_id
                        left join attempt x on x.sitting_id = s.id and x.student_id = :me
                        where s.closes_at > :since or x.handed_in_at is null
                        order by s.closes_at""")
                .param("me", me.id())
                .param("since", Timestamp.from(now.minusSeconds(14 * 86_400)))
                .query((row, n) -> {
                    Instant opens = row.getTimestamp("opens_at").toInstant();
                    Instant closes = row.getTimestamp("closes_at").toInstant();
                    UUID attempt = row.getObject("attempt", UUID.class);
                    return new ToDoLine(
                            row.getObject("id", UUID.class),
                            attempt,
                            row.getString("title"),
                            row.getString("course"),
                            opens,
                            closes,
                            row.getObject("minutes", Integer.class),
                            stage(now, opens, closes, attempt, row.getTimestamp("handed_in_at") != null));
                })
                .list();
    }

    private static Stage stage(Instant now, Instant opens, Instant closes, @Nullable UUID attempt, boolean in) {
        if (in) {
            return Stage.IN;
        }
        if (!now.isBefore(closes)) {
            return Stage.MISSED;
        }
        return attempt != null ? Stage.WORKING : now.isBefore(opens) ? Stage.COMING : Stage.OPEN;
    }
}
