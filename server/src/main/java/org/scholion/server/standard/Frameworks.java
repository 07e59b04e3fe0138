package org.scholion.server.standard;

import java.sql.Timestamp;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.scholion.core.standard.Framework;
import org.scholion.formats.assessment.FrameworkReader;
import org.scholion.formats.json.Cursor;
import org.scholion.formats.json.Fault;
import org.scholion.server.access.Access;
import org.scholion.server.platform.Ids;
import org.scholion.server.platform.JsonColumn;
import org.scholion.server.platform.Me;
import org.scholion.server.platform.Refused;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** The school's frameworks, in the form that the assessment file gives them. */
@Service
public class Frameworks {
    private final JdbcClient db;
    private final Access access;
    private final Ids ids;
    private final Clock clock;

    Frameworks(JdbcClient db, Access access, Ids ids, Clock clock) {
        this.db = db;
        this.access = access;
        this.ids = ids;
        this.clock = clock;
    }

    public record FrameworkLine(UUID id, String title, String version, int standards) {}

    /**
     * A framework.
     *
     * @param courses the courses that work with it
     */
    public record FrameworkView(
            UUID id, String title, String version, int revision, Object definition, List<CourseName> courses) {}

    public record CourseName(UUID id, String title) {}

    @Transactional
    public UUID add(UUID school, JsonNode definition) {
        UUID id = ids.next();
        db.sql("insert into framework (id, school_id, code, title, version, definition) values (?, ?, ?, ?, ?, ?)")
                .params(
                        id,
                        school,
                        definition.get("id").stringValue(),
                        definition.get("title").stringValue(),
                        definition.get("version").stringValue(),
                        JsonColumn.of(definition))
                .update();
        return id;
    }

    @Transactional(readOnly = true)
    public List<FrameworkLine> list(Me me) {
        return lines(me, "deleted_at is null");
    }

    private List<FrameworkLine> lines(Me me, String which) {
        return db.sql("""
                        select id, title, version, jsonb_array_length(definition -> 'standards') as standards
                        from framework where school_id = ? and\s""" + which + " order by title, version desc")
                .param(me.school())
                .query((row, n) -> new FrameworkLine(
                        row.getObject("id", UUID.class),
                        row.getString("title"),
                        row.getString("version"),
                        row.getInt("standards")))
                .list();
    }

    @Transactional(readOnly = true)
    public FrameworkView see(Me me, UUID framework) {
        access.require(me, Access.Action.SEE_FRAMEWORK, framework);
        return db.sql("select title, version, revision, definition from framework where id = ?")
                .param(framework)
                .query((row, n) -> new FrameworkView(
                        framework,
                        row.getString("title"),
                        row.getString("version"),
                        row.getInt("revision"),
                        JsonColumn.plain(JsonColumn.read(row.getString("definition"))),
                        courses(framework)))
                .single();
    }

    private List<CourseName> courses(UUID framework) {
        return db.sql("""
                        select c.id, c.title from course c join course_framework f on f.course_id = c.id
                        where f.framework_id = ? order by c.title""")
                .param(framework)
                .query((row, n) -> new CourseName(row.getObject(1, UUID.class), row.getString(2)))
                .list();
    }

    /** A framework as the core has it. */
    @Transactional(readOnly = true)
    public Framework read(Me me, UUID framework) {
        access.require(me, Access.Action.SEE_FRAMEWORK, framework);
        return FrameworkReader.read(Cursor.at(definition(framework)));
    }

    private JsonNode definition(UUID framework) {
        return db.sql("select definition from framework where id = ?")
                .param(framework)
                .query((row, n) -> JsonColumn.read(row.getString(1)))
                .single();
    }

    /**
     * Changes the tree of a framework.
     *
     * @param revision the revision that was changed; another one in between is a conflict
     */
    @Transactional
    public int change(Me me, UUID framework, Object definition, int revision) {
        access.require(me, Access.Action.EDIT_FRAMEWORK, framework);
        JsonNode node = checked(JsonColumn.node(definition));
        int updated = db.sql("""
                        update framework set definition = ?, title = ?, version = ?, revision = revision + 1
                        where id = ? and revision = ?""")
                .params(
                        JsonColumn.of(node),
                        node.path("title").asString(""),
                        node.path("version").asString(""),
                        framework,
                        revision)
                .update();
        if (updated == 0) {
            throw Refused.conflict(
                    "changed-meanwhile",
                    "A colleague has changed this framework meanwhile. Yours is still on your screen.");
        }
        return revision + 1;
    }

    /** A framework that was brought in, or a new version of one. */
    @Transactional
    public UUID take(Me me, JsonNode definition) {
        JsonNode node = checked(definition);
        boolean there = db.sql(
                                "select count(*) from framework where school_id = ? and title = ? and version = ? and deleted_at is null")
                        .params(
                                me.school(),
                                node.path("title").asString(""),
                                node.path("version").asString(""))
                        .query(Integer.class)
                        .single()
                > 0;
        if (there) {
            throw Refused.conflict(
                    "version-taken",
                    "Version " + node.path("version").asString("") + " of "
                            + node.path("title").asString("") + " is here already. Give this one another version.");
        }
        ObjectNode own = node.deepCopy().asObject();
        own.put("id", "f" + ids.next().toString().substring(24));
        return add(me.school(), own);
    }

    /** Removes a framework that no course works with; it can be restored. */
    @Transactional
    public void remove(Me me, UUID framework) {
        access.require(me, Access.Action.EDIT_FRAMEWORK, framework);
        List<CourseName> used = courses(framework);
        if (!used.isEmpty()) {
            String names =
                    String.join(", ", used.stream().map(CourseName::title).toList());
            throw Refused.conflict(
                    "in-use",
                    "These courses work with it: " + names + ". Remove it from them first. Nothing was changed.");
        }
        db.sql("update framework set deleted_at = ? where id = ?")
                .params(Timestamp.from(clock.instant()), framework)
                .update();
    }

    @Transactional
    public void restore(Me me, UUID framework) {
        access.require(me, Access.Action.RESTORE_FRAMEWORK, framework);
        db.sql("update framework set deleted_at = null where id = ?")
                .param(framework)
                .update();
    }

    /** The school's removed frameworks, by title. */
    @Transactional(readOnly = true)
    public List<FrameworkLine> removed(Me me) {
        return lines(me, "deleted_at is not null");
    }

    private static JsonNode checked(JsonNode node) {
        Cursor at = Cursor.at(node);
        at.build(() -> FrameworkReader.read(at));
        at.refuseFaulty();
        List<Fault> faults = FrameworkLimits.of(node);
        if (!faults.isEmpty()) {
            throw Refused.invalid(faults);
        }
        return node;
    }

    /** Lets a course work with a framework beside those it has, the newest first. */
    @Transactional
    public void useIn(Me me, UUID course, UUID framework) {
        access.require(me, Access.Action.SEE_COURSE, course);
        access.require(me, Access.Action.SEE_FRAMEWORK, framework);
        refuseClash(course, framework);
        db.sql("update course_framework set place = place + 1 where course_id = ?")
                .param(course)
                .update();
        db.sql("""
                        insert into course_framework (course_id, framework_id, place) values (?, ?, 0)
                        on conflict (course_id, framework_id) do update set place = 0""").params(course, framework).update();
    }

    /** Items name a standard by its code alone, so that two frameworks of a course cannot share one. */
    private void refuseClash(UUID course, UUID framework) {
        List<String> codes = new ArrayList<>();
        definition(framework)
                .path("standards")
                .forEach(s -> codes.add(s.path("code").asString("")));
        List<String> shared = db.sql("""
                        select distinct s ->> 'code' from course_framework c join framework f on f.id = c.framework_id,
                          jsonb_array_elements(f.definition -> 'standards') s
                        where c.course_id = :course and f.id <> :framework and s ->> 'code' in (:codes)""")
                .param("course", course)
                .param("framework", framework)
                .param("codes", codes)
                .query(String.class)
                .list();
        if (!shared.isEmpty()) {
            throw Refused.conflict(
                    "codes-shared",
                    "The course works with a framework that has the codes " + String.join(", ", shared)
                            + " as well. Give them other codes in one of the two.");
        }
    }

    /** Lets a course no longer work with a framework; items keep their codes and are told as outdated. */
    @Transactional
    public void leave(Me me, UUID course, UUID framework) {
        access.require(me, Access.Action.SEE_COURSE, course);
        db.sql("delete from course_framework where course_id = ? and framework_id = ?")
                .params(course, framework)
                .update();
    }

    /** The frameworks that a course works with, the main one first. */
    @Transactional(readOnly = true)
    public List<JsonNode> ofCourse(UUID course) {
        return db.sql("""
                        select f.definition from framework f join course_framework c on c.framework_id = f.id
                        where c.course_id = ? order by c.place""")
                .param(course)
                .query((row, n) -> JsonColumn.read(row.getString(1)))
                .list();
    }
}
