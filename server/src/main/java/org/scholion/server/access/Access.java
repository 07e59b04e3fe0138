package org.scholion.server.access;

import java.sql.Timestamp;
import java.time.Clock;
import java.util.UUID;
import org.scholion.server.platform.Me;
import org.scholion.server.platform.Refused;
import org.scholion.server.platform.Watched;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/**
 * Who may do what to which object. A refusal looks like absence, so that nobody learns what exists.
 *
 * <p>A teacher has the courses that they teach with everything in them; an administrator has the people; a student
 * has their own attempts and results.
 */
@Component
public class Access {
    private final JdbcClient db;
    private final Clock clock;

    Access(JdbcClient db, Clock clock) {
        this.db = db;
        this.clock = clock;
    }

    /** What is to be done. */
    public enum Action {
        /** See a course, its sections and its gradebook. */
        SEE_COURSE("select 1 from course_teacher where course_id = :id and person_id = :me", Me.Role.TEACHER),
        /** See or change an assessment, its answers and its marks. */
        WORK_ON_ASSESSMENT(
                "select 1 from assessment a join course_teacher t on t.course_id = a.course_id"
                        + " where a.id = :id and t.person_id = :me",
                Me.Role.TEACHER),
        /** Change an assessment's key: its teachers, and colleagues with whom it is shared to edit. */
        EDIT_KEY(
                "select 1 from assessment a left join course_teacher t on t.course_id = a.course_id"
                        + " and t.person_id = :me left join share s on s.object_id = a.id and s.person_id = :me"
                        + " where a.id = :id and (t.person_id is not null or s.may_edit)",
                Me.Role.TEACHER),
        /** See an assessment's key and take a copy of it. */
        USE_KEY(
                "select 1 from assessment a left join course_teacher t on t.course_id = a.course_id"
                        + " and t.person_id = :me left join share s on s.object_id = a.id and s.person_id = :me"
                        + " where a.id = :id and (t.person_id is not null or s.person_id is not null)",
                Me.Role.TEACHER),
        /** Put an item of the bank into papers: one's own, or one that is shared by itself or with its folder. */
        USE_BANK_ITEM(
                "select 1 from bank_item i where i.id = :id and i.deleted_at is null and (i.owner_id = :me"
                        + " or exists (select 1 from share s left join bank_folder f on f.id = s.object_id"
                        + " where s.person_id = :me and s.object_id in (i.id, i.folder_id) and f.deleted_at is null))",
                Me.Role.TEACHER),
        EDIT_BANK_ITEM(
                "select 1 from bank_item i where i.id = :id and i.deleted_at is null and (i.owner_id = :me"
                        + " or exists (select 1 from share s left join bank_folder f on f.id = s.object_id"
                        + " where s.person_id = :me and s.may_edit and s.object_id in (i.id, i.folder_id)"
                        + " and f.deleted_at is null))",
                Me.Role.TEACHER),
        /** Share, move or remove an item of the bank: only whoever it belongs to. */
        OWN_BANK_ITEM(
                "select 1 from bank_item where id = :id and owner_id = :me and deleted_at is null", Me.Role.TEACHER),
        RESTORE_BANK_ITEM(
                "select 1 from bank_item where id = :id and owner_id = :me and deleted_at is not null",
                Me.Role.TEACHER),
        /** Put items into a folder. */
        EDIT_BANK_FOLDER(
                "select 1 from bank_folder f where f.id = :id and f.deleted_at is null and (f.owner_id = :me or exists"
                        + " (select 1 from share s where s.person_id = :me and s.may_edit and s.object_id = f.id))",
                Me.Role.TEACHER),
        OWN_BANK_FOLDER(
                "select 1 from bank_folder where id = :id and owner_id = :me and deleted_at is null", Me.Role.TEACHER),
        RESTORE_BANK_FOLDER(
                "select 1 from bank_folder where id = :id and owner_id = :me and deleted_at is not null",
                Me.Role.TEACHER),
        /** Take a kept rubric into papers: one's own, or one that is shared. */
        USE_RUBRIC(
                "select 1 from rubric r where r.id = :id and r.deleted_at is null and (r.owner_id = :me or exists"
                        + " (select 1 from share s where s.person_id = :me and s.object_id = r.id))",
                Me.Role.TEACHER),
        EDIT_RUBRIC(
                "select 1 from rubric r where r.id = :id and r.deleted_at is null and (r.owner_id = :me or exists"
                        + " (select 1 from share s where s.person_id = :me and s.may_edit and s.object_id = r.id))",
                Me.Role.TEACHER),
        OWN_RUBRIC("select 1 from rubric where id = :id and owner_id = :me and deleted_at is null", Me.Role.TEACHER),
        RESTORE_RUBRIC(
                "select 1 from rubric where id = :id and owner_id = :me and deleted_at is not null", Me.Role.TEACHER),
        /** See or decide about one student's attempt as its teacher. */
        WORK_ON_ATTEMPT(
                "select 1 from attempt x join assessment a on a.id = x.assessment_id"
                        + " join course_teacher t on t.course_id = a.course_id where x.id = :id and t.person_id = :me",
                Me.Role.TEACHER),
        /** Answer a student's query. */
        ANSWER_QUERY(
                "select 1 from query q join assessment a on a.id = q.assessment_id"
                        + " join course_teacher t on t.course_id = a.course_id where q.id = :id and t.person_id = :me",
                Me.Role.TEACHER),
        /** Change when a sitting closes. */
        WORK_ON_SITTING(
                "select 1 from sitting s join assessment a on a.id = s.assessment_id"
                        + " join course_teacher t on t.course_id = a.course_id where s.id = :id and t.person_id = :me",
                Me.Role.TEACHER),
        /** Begin an attempt at a sitting of one's own section. */
        SIT(
                "select 1 from sitting s join enrolment e on e.section_id = s.section_id"
                        + " where s.id = :id and e.student_id = :me",
                Me.Role.STUDENT),
        /** Answer in one's own attempt. */
        TAKE("select 1 from attempt where id = :id and student_id = :me", Me.Role.STUDENT),
        /** See a result that was handed back to oneself. */
        SEE_RESULT("select 1 from result where id = :id and student_id = :me", Me.Role.STUDENT),
        /** See a framework of one's school. */
        SEE_FRAMEWORK(
                "select 1 from framework f join person p on p.school_id = f.school_id"
                        + " where f.id = :id and p.id = :me and f.deleted_at is null",
                Me.Role.TEACHER,
                Me.Role.ADMIN),
        EDIT_FRAMEWORK(
                "select 1 from framework f join person p on p.school_id = f.school_id"
                        + " where f.id = :id and p.id = :me and f.deleted_at is null",
                Me.Role.TEACHER,
                Me.Role.ADMIN),
        RESTORE_FRAMEWORK(
                "select 1 from framework f join person p on p.school_id = f.school_id"
                        + " where f.id = :id and p.id = :me and f.deleted_at is not null",
                Me.Role.TEACHER,
                Me.Role.ADMIN),
        /** See the people of one's school; the object is the school. */
        SEE_PEOPLE("select 1 from person where school_id = :id and id = :me", Me.Role.ADMIN);

        private final String rule;
        private final java.util.List<Me.Role> roles;

        Action(String rule, Me.Role... roles) {
            this.rule = rule;
            this.roles = java.util.List.of(roles);
        }
    }

    public boolean may(Me me, Action action, UUID object) {
        return action.roles.contains(me.role())
                && !db.sql(action.rule)
                        .param("id", object)
                        .param("me", me.id())
                        .query(Integer.class)
                        .list()
                        .isEmpty();
    }

    /** Who may see a file: whoever put it in, and whoever may see a key, an item or a paper that has it. */
    private static final String FILE_OF_STAFF = """
            select 1 from file f where f.school_id = :school and f.id = :file and (f.made_by = :me
              or exists (select 1 from file_use u join assessment a on a.id = u.object_id
                         where u.school_id = f.school_id and u.file_id = f.id
                           and (exists (select 1 from course_teacher t where t.course_id = a.course_id and t.person_id = :me)
                                or exists (select 1 from share s where s.object_id = a.id and s.person_id = :me)))
              or exists (select 1 from file_use u join edition e on e.id = u.object_id
                         join assessment a on a.id = e.assessment_id
                         join course_teacher t on t.course_id = a.course_id and t.person_id = :me
                         where u.school_id = f.school_id and u.file_id = f.id)
              or exists (select 1 from file_use u join bank_item i on i.id = u.object_id
                         left join bank_folder d on d.id = i.folder_id and d.deleted_at is null
                         where u.school_id = f.school_id and u.file_id = f.id and i.deleted_at is null
                           and (i.owner_id = :me or exists (select 1 from share s where s.person_id = :me
                                and s.object_id in (i.id, d.id)))))""";

    /** A student sees the files of a paper while the paper is open, and those of what was handed back. */
    private static final String FILE_OF_STUDENT = """
            select 1 from file_use u join attempt x on x.edition_id = u.object_id join sitting s on s.id = x.sitting_id
            where u.school_id = :school and u.file_id = :file and x.student_id = :me
              and (x.handed_in_at is null
                     and :now <= least(s.closes_at, x.started_at + make_interval(mins => s.minutes)) + interval '1 minute'
                   or s.paper_after = 'AT_ONCE'
                   or s.paper_after = 'WHEN_ALL_CLOSED' and not exists (
                     select 1 from sitting o where o.assessment_id = s.assessment_id and o.closes_at > :now))
            union all
            select 1 from result r where r.student_id = :me and r.snapshot -> 'result' ->> 'items' like '%' || :file || '%'
              and not exists (select 1 from result l where l.attempt_id = r.attempt_id and l.handed_at > r.handed_at)""";

    /**
     * Goes on only if a file may be seen.
     *
     * @throws Refused as if it were not there
     */
    public void requireFile(Me me, String file) {
        boolean may = !db.sql(me.is(Me.Role.STUDENT) ? FILE_OF_STUDENT : FILE_OF_STAFF)
                .param("school", me.school())
                .param("file", file)
                .param("me", me.id())
                .param("now", Timestamp.from(clock.instant()))
                .query(Integer.class)
                .list()
                .isEmpty();
        if (!may) {
            Watched.note(Watched.What.REFUSED, me.id(), "file " + file);
            throw Refused.notFound();
        }
    }

    /**
     * Goes on only if this is one's own.
     *
     * @throws Refused as if it were not there
     */
    public void requireOwn(Me me, UUID owner) {
        if (!me.id().equals(owner)) {
            Watched.note(Watched.What.REFUSED, me.id(), owner);
            throw Refused.notFound();
        }
    }

    /**
     * Goes on only if this is allowed.
     *
     * @throws Refused as if the object were not there
     */
    public void require(Me me, Action action, UUID object) {
        if (!may(me, action, object)) {
            Watched.note(Watched.What.REFUSED, me.id(), action + " " + object);
            throw Refused.notFound();
        }
    }
}
