package org.scholion.server.testing;

import java.util.List;
import java.util.UUID;
import org.scholion.server.ledger.Standings;
import org.scholion.server.ledger.Turns;
import org.springframework.jdbc.core.simple.JdbcClient;

/** Very many attempts at a {@link Lesson}, put straight into the database: half of them wait for a reader. */
public final class Crowd {
    private Crowd() {}

    /** Adds attempts that were handed in to the sitting of a section, of new students, whose names come after all others. */
    public static void at(Scholion.Running school, Lesson lesson, String section, int howMany) {
        JdbcClient db = school.bean(JdbcClient.class);
        String tag = UUID.randomUUID().toString().substring(0, 8);
        db.sql("""
                        insert into person (id, school_id, role, given, family, username)
                        select gen_random_uuid(), s.id, 'STUDENT', 'Crowd', 'Zz ' || :tag || n, :tag || n
                        from (select id from school order by id limit 1) s, generate_series(1, :n) n""").param("tag", tag).param("n", howMany).update();
        db.sql("""
                        insert into attempt (school_id, id, assessment_id, sitting_id, section_id, student_id, number,
                                             edition_id, way, started_at, handed_in_at)
                        select p.school_id, gen_random_uuid(), i.assessment_id, i.id, i.section_id, p.id, 1, e.id, 'SCREEN',
                               now(), now()
                        from person p, sitting i join edition e on e.assessment_id = i.assessment_id and e.number = 1
                        where p.username like :tag || '%' and i.assessment_id = :assessment and i.section_id = :section""")
                .param("tag", tag)
                .param("assessment", UUID.fromString(lesson.id))
                .param("section", UUID.fromString(lesson.section(section)))
                .update();
        for (String[] answer : List.of(
                new String[] {"q1", "[\"a\"]", "SCORED", "1"},
                new String[] {"q2", "\"sheet bend\"", "SETTLE", "0"},
                new String[] {"q3", "\"10 nmi\"", "SCORED", "1"},
                new String[] {"q4", "\"Because the level falls.\"", "READ", "0"})) {
            db.sql("""
                            insert into response (school_id, attempt_id, item, answer, at)
                            select x.school_id, x.id, :item, cast(:answer as jsonb), now()
                            from attempt x join person p on p.id = x.student_id where p.username like :tag || '%'""")
                    .param("item", answer[0])
                    .param("answer", answer[1])
                    .param("tag", tag)
                    .update();
            db.sql("""
                            insert into mark (school_id, attempt_id, item, state, numerator, denominator, reason, edition, at)
                            select x.school_id, x.id, :item, :state, cast(:credit as numeric), 1, cast(:reason as jsonb), 1, now()
                            from attempt x join person p on p.id = x.student_id where p.username like :tag || '%'""")
                    .param("item", answer[0])
                    .param("state", answer[2])
                    .param("credit", answer[3])
                    .param("reason", "{\"code\": \"PERSON\", \"facts\": {}}")
                    .param("tag", tag)
                    .update();
        }
        UUID assessment = UUID.fromString(lesson.id);
        Standings standings = school.bean(Standings.class);
        school.bean(Turns.class).whole(assessment, () -> {
            standings.refresh(assessment);
            return assessment;
        });
    }

    /** The attempts that are in, by any order. */
    public static List<String> attempts(Scholion.Running school, Lesson lesson) {
        return school.bean(JdbcClient.class)
                .sql("select id from attempt where assessment_id = ? and handed_in_at is not null")
                .param(UUID.fromString(lesson.id))
                .query(String.class)
                .list();
    }
}
