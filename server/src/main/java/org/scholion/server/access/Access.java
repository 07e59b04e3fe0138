package org.scholion.server.access;

import jakarta.persistence.EntityManager;
import jakarta.persistence.TypedQuery;
import java.time.Clock;
import java.time.Duration;
import java.util.UUID;
import org.scholion.server.platform.Me;
import org.scholion.server.platform.Refused;
import org.scholion.server.platform.Watched;
import org.springframework.stereotype.Component;

/**
 * Who may do what to which object. A refusal looks like absence, so that nobody learns what exists.
 *
 * <p>A teacher has the courses that they teach with everything in them; an administrator has the people; a student
 * has their own attempts and results.
 */
@Component
public class Access {
    private static final Duration A_LITTLE = Duration.ofMinutes(1);

    private final EntityManager entities;
    private final Clock clock;

    Access(EntityManager entities, Clock clock) {
        this.entities = entities;
        this.clock = clock;
    }

    /** What is to be done. */
    public enum Action {
        /** See a course, its sections and its gradebook. */
        SEE_COURSE("select 1 from CourseTeacher where course = :id and person = :me", Me.Role.TEACHER),
        /** See or change an assessment, its answers and its marks. */
        WORK_ON_ASSESSMENT(
                "select 1 from AssessmentRow a join CourseTeacher t on t.course = a.course"
                        + " where a.id = :id and t.person = :me",
                Me.Role.TEACHER),
        /** Change an assessment's key: its teachers, and colleagues with whom it is shared to edit. */
        EDIT_KEY(
                "select 1 from AssessmentRow a left join CourseTeacher t on t.course = a.course"
                        + " and t.person = :me left join ShareRow s on s.object = a.id and s.person = :me"
                        + " where a.id = :id and (t.person is not null or s.mayEdit)",
                Me.Role.TEACHER),
        /** See an assessment's key and take a copy of it. */
        USE_KEY(
                "select 1 from AssessmentRow a left join CourseTeacher t on t.course = a.course"
                        + " and t.person = :me left join ShareRow s on s.object = a.id and s.person = :me"
                        + " where a.id = :id and (t.person is not null or s.person is not null)",
                Me.Role.TEACHER),
        /** Put an item of the bank into papers: one's own, or one that is shared by itself or with its folder. */
        USE_BANK_ITEM(
                "select 1 from BankItem i where i.id = :id and i.deletedAt is null and (i.owner = :me"
                        + " or exists (select 1 from ShareRow s left join BankFolder f on f.id = s.object"
                        + " where s.person = :me and s.object in (i.id, i.folder) and f.deletedAt is null))",
                Me.Role.TEACHER),
        EDIT_BANK_ITEM(
                "select 1 from BankItem i where i.id = :id and i.deletedAt is null and (i.owner = :me"
                        + " or exists (select 1 from ShareRow s left join BankFolder f on f.id = s.object"
                        + " where s.person = :me and s.mayEdit and s.object in (i.id, i.folder)"
                        + " and f.deletedAt is null))",
                Me.Role.TEACHER),
        /** Share, move or remove an item of the bank: only whoever it belongs to. */
        OWN_BANK_ITEM("select 1 from BankItem where id = :id and owner = :me and deletedAt is null", Me.Role.TEACHER),
        RESTORE_BANK_ITEM(
                "select 1 from BankItem where id = :id and owner = :me and deletedAt is not null", Me.Role.TEACHER),
        /** Put items into a folder. */
        EDIT_BANK_FOLDER(
                "select 1 from BankFolder f where f.id = :id and f.deletedAt is null and (f.owner = :me or exists"
                        + " (select 1 from ShareRow s where s.person = :me and s.mayEdit and s.object = f.id))",
                Me.Role.TEACHER),
        OWN_BANK_FOLDER(
                "select 1 from BankFolder where id = :id and owner = :me and deletedAt is null", Me.Role.TEACHER),
        RESTORE_BANK_FOLDER(
                "select 1 from BankFolder where id = :id and owner = :me and deletedAt is not null", Me.Role.TEACHER),
        /** Take a kept rubric into papers: one's own, or one that is shared. */
        USE_RUBRIC(
                "select 1 from Rubric r where r.id = :id and r.deletedAt is null and (r.owner = :me or exists"
                        + " (select 1 from ShareRow s where s.person = :me and s.object = r.id))",
                Me.Role.TEACHER),
        EDIT_RUBRIC(
                "select 1 from Rubric r where r.id = :id and r.deletedAt is null and (r.owner = :me or exists"
                        + " (select 1 from ShareRow s where s.person = :me and s.mayEdit and s.object = r.id))",
                Me.Role.TEACHER),
        OWN_RUBRIC("select 1 from Rubric where id = :id and owner = :me and deletedAt is null", Me.Role.TEACHER),
        RESTORE_RUBRIC(
                "select 1 from Rubric where id = :id and owner = :me and deletedAt is not null", Me.Role.TEACHER),
        /** Read open answers of an assessment: its teachers, and the readers of its course. */
        READ_ANSWERS(
                "select 1 from AssessmentRow a left join CourseTeacher t on t.course = a.course and t.person = :me"
                        + " left join CourseReader r on r.course = a.course and r.person = :me"
                        + " where a.id = :id and (t.person is not null or r.person is not null)",
                Me.Role.TEACHER),
        /** Read an open answer of one attempt. */
        READ_ATTEMPT(
                "select 1 from AttemptRow x join AssessmentRow a on a.id = x.assessment"
                        + " left join CourseTeacher t on t.course = a.course and t.person = :me"
                        + " left join CourseReader r on r.course = a.course and r.person = :me"
                        + " where x.id = :id and (t.person is not null or r.person is not null)",
                Me.Role.TEACHER),
        /** See or decide about one student's attempt as its teacher. */
        WORK_ON_ATTEMPT(
                "select 1 from AttemptRow x join AssessmentRow a on a.id = x.assessment"
                        + " join CourseTeacher t on t.course = a.course where x.id = :id and t.person = :me",
                Me.Role.TEACHER),
        /** Answer a student's query. */
        ANSWER_QUERY(
                "select 1 from QueryRow q join AssessmentRow a on a.id = q.assessment"
                        + " join CourseTeacher t on t.course = a.course where q.id = :id and t.person = :me",
                Me.Role.TEACHER),
        /** Change when a sitting closes. */
        WORK_ON_SITTING(
                "select 1 from SittingRow s join AssessmentRow a on a.id = s.assessment"
                        + " join CourseTeacher t on t.course = a.course where s.id = :id and t.person = :me",
                Me.Role.TEACHER),
        /** Begin an attempt at a sitting of one's own section. */
        SIT("select 1 from Expected where sitting = :id and student = :me", Me.Role.STUDENT),
        /** Learn what became of one's own attempt, also where it was set aside. */
        SEE_ATTEMPT("select 1 from AnyAttempt where id = :id and student = :me", Me.Role.STUDENT),
        /** Put an attempt back that was set aside, as its teacher. */
        PUT_BACK_ATTEMPT(
                "select 1 from AnyAttempt x join AssessmentRow a on a.id = x.assessment"
                        + " join CourseTeacher t on t.course = a.course where x.id = :id and t.person = :me",
                Me.Role.TEACHER),
        /** Answer in one's own attempt. */
        TAKE("select 1 from AttemptRow where id = :id and student = :me", Me.Role.STUDENT),
        /** See a result that was handed back to oneself. */
        SEE_RESULT("select 1 from ResultRow where id = :id and student = :me", Me.Role.STUDENT),
        /** See a framework of one's school. */
        SEE_FRAMEWORK(
                "select 1 from FrameworkRow f join Person p on p.school = f.school"
                        + " where f.id = :id and p.id = :me and f.deletedAt is null",
                Me.Role.TEACHER,
                Me.Role.ADMIN),
        EDIT_FRAMEWORK(
                "select 1 from FrameworkRow f join Person p on p.school = f.school"
                        + " where f.id = :id and p.id = :me and f.deletedAt is null",
                Me.Role.TEACHER,
                Me.Role.ADMIN),
        RESTORE_FRAMEWORK(
                "select 1 from FrameworkRow f join Person p on p.school = f.school"
                        + " where f.id = :id and p.id = :me and f.deletedAt is not null",
                Me.Role.TEACHER,
                Me.Role.ADMIN),
        /** Change somebody of one's school. */
        MANAGE_PERSON(
                "select 1 from Person p join Person m on m.school = p.school where p.id = :id and m.id = :me",
                Me.Role.ADMIN),
        /** Change a course itself, its sections, teachers and rosters. */
        MANAGE_COURSE(
                "select 1 from Course c join Person m on m.school = c.school left join CourseTeacher t"
                        + " on t.course = c.id and t.person = m.id"
                        + " where c.id = :id and m.id = :me and (m.role = ADMIN or t.person is not null)",
                Me.Role.TEACHER,
                Me.Role.ADMIN),
        /** See who teaches in one's school; the object is the school. */
        SEE_TEACHERS("select 1 from Person where school = :id and id = :me", Me.Role.TEACHER, Me.Role.ADMIN),
        /** See the people of one's school; the object is the school. */
        SEE_PEOPLE("select 1 from Person where school = :id and id = :me", Me.Role.ADMIN);

        private final String rule;
        private final java.util.List<Me.Role> roles;

        Action(String rule, Me.Role... roles) {
            this.rule = rule;
            this.roles = java.util.List.of(roles);
        }
    }

    public boolean may(Me me, Action action, UUID object) {
        return action.roles.contains(me.role())
                && isWithin(me, action, object)
                && !entities.createQuery(action.rule, Integer.class)
                        .setParameter("id", object)
                        .setParameter("me", me.id())
                        .setMaxResults(1)
                        .getResultList()
                        .isEmpty();
    }

    /** Who came in to one sitting has that, and what they said to its paper; nothing else of theirs. */
    private boolean isWithin(Me me, Action action, UUID object) {
        UUID only = me.only();
        if (only == null) {
            return true;
        }
        return switch (action) {
            case SIT -> object.equals(only);
            case TAKE, SEE_ATTEMPT ->
                isAny(entities.createQuery(
                                "select 1 from AnyAttempt x join SittingRow s on s.assessment = x.assessment"
                                        + " where x.id = :id and s.id = :only",
                                Integer.class)
                        .setParameter("id", object)
                        .setParameter("only", only)
                        .setMaxResults(1));
            default -> false;
        };
    }

    /** Who may see a file: whoever put it in, and whoever may see a key, an item or a paper that has it. */
    private static final String FILE_OF_STAFF = """
            select 1 from StoredFile f where f.school = :school and f.id = :file and (f.madeBy = :me
              or exists (select 1 from FileUse u join AssessmentRow a on a.id = u.object
                         where u.school = f.school and u.file = f.id
                           and (exists (select 1 from CourseTeacher t where t.course = a.course and t.person = :me)
                                or exists (select 1 from ShareRow s where s.object = a.id and s.person = :me)))
              or exists (select 1 from FileUse u join EditionRow e on e.id = u.object
                         join AssessmentRow a on a.id = e.assessment
                         where u.school = f.school and u.file = f.id
                           and (exists (select 1 from CourseTeacher t where t.course = a.course and t.person = :me)
                                or exists (select 1 from CourseReader r where r.course = a.course and r.person = :me)))
              or exists (select 1 from FileUse u where u.school = f.school and u.file = f.id and u.object = :me)
              or exists (select 1 from FileUse u join AnyAttempt x on x.id = u.object
                         join AssessmentRow a on a.id = x.assessment
                         where u.school = f.school and u.file = f.id
                           and (exists (select 1 from CourseTeacher t where t.course = a.course and t.person = :me)
                                or exists (select 1 from CourseReader r where r.course = a.course and r.person = :me)))
              or exists (select 1 from SittingRow s join AssessmentRow a on a.id = s.assessment
                         join CourseTeacher t on t.course = a.course and t.person = :me where s.settings.picture = f.id)
              or exists (select 1 from FileUse u join BankItem i on i.id = u.object
                         left join BankFolder d on d.id = i.folder and d.deletedAt is null
                         where u.school = f.school and u.file = f.id and i.deletedAt is null
                           and (i.owner = :me or exists (select 1 from ShareRow s where s.person = :me
                                and s.object in (i.id, d.id)))))""";

    /** A student sees the files of a paper while the paper is open; a little after its end, too. */
    private static final String FILE_OF_PAPER = """
            select 1 from FileUse u join AttemptRow x on x.edition = u.object join SittingRow s on s.id = x.sitting
            where u.school = :school and u.file = :file and x.student = :me
              and (x.handedInAt is null and (x.dueAt >= :justNow or x.pausedAt is not null)
                   or s.paperAfter = AT_ONCE
                   or s.paperAfter = WHEN_ALL_CLOSED and not exists (
                     select 1 from SittingRow o where o.assessment = s.assessment and o.endsAt > :now)
                     and not exists (select 1 from AttemptRow w where w.assessment = s.assessment
                       and w.handedInAt is null and (w.dueAt > :now or w.pausedAt is not null)))""";

    /** The picture on the page before a sitting, for those who have it before them. */
    private static final String FILE_OF_SITTING = """
            select 1 from SittingRow s join Expected e on e.sitting = s.id
            where s.school = :school and s.settings.picture = :file and e.student = :me
              and (:only is null or s.id = :only)""";

    /** What they put in themselves. */
    private static final String FILE_OF_ONESELF = """
            select 1 from FileUse u
            where u.school = :school and u.file = :file and u.object = :me and u.kind = PERSON""";

    /** And those of what was handed back to them last. */
    private static final String FILE_OF_RESULT = """
            select 1 from ResultRow r where r.student = :me
              and cast(function('jsonb_extract_path_text', r.snapshot, 'result', 'items') as String) like :named
              and not exists (select 1 from ResultRow l where l.attempt = r.attempt and l.handedAt > r.handedAt)""";

    /**
     * Goes on only if a file may be seen.
     *
     * @throws Refused as if it were not there
     */
    public void requireFile(Me me, String file) {
        boolean may = me.is(Me.Role.STUDENT)
                ? isAny(ofPaper(me, file))
                        || isAny(ofSitting(me, file))
                        || isAny(query(FILE_OF_ONESELF, me)
                                .setParameter("school", me.school())
                                .setParameter("file", file))
                        || me.only() == null && isAny(ofResult(me, file))
                : isAny(query(FILE_OF_STAFF, me)
                        .setParameter("school", me.school())
                        .setParameter("file", file));
        if (!may) {
            Watched.note(Watched.What.REFUSED, me.id(), "file " + file);
            throw Refused.notFound();
        }
    }

    private TypedQuery<Integer> ofPaper(Me me, String file) {
        return query(FILE_OF_PAPER, me)
                .setParameter("school", me.school())
                .setParameter("file", file)
                .setParameter("now", clock.instant())
                .setParameter("justNow", clock.instant().minus(A_LITTLE));
    }

    private TypedQuery<Integer> ofSitting(Me me, String file) {
        return query(FILE_OF_SITTING, me)
                .setParameter("school", me.school())
                .setParameter("file", file)
                .setParameter("only", me.only());
    }

    private TypedQuery<Integer> ofResult(Me me, String file) {
        return query(FILE_OF_RESULT, me).setParameter("named", "%" + file + "%");
    }

    private TypedQuery<Integer> query(String rule, Me me) {
        return entities.createQuery(rule, Integer.class)
                .setParameter("me", me.id())
                .setMaxResults(1);
    }

    private static boolean isAny(TypedQuery<Integer> query) {
        return !query.getResultList().isEmpty();
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
