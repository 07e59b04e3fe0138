package org.scholion.server.standard;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.Instant;
import java.util.HashSet;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.core.standard.Framework;
import org.scholion.formats.assessment.FrameworkReader;
import org.scholion.formats.json.Cursor;
import org.scholion.formats.json.Fault;
import org.scholion.server.access.Access;
import org.scholion.server.platform.Ids;
import org.scholion.server.platform.JsonColumn;
import org.scholion.server.platform.Me;
import org.scholion.server.platform.Refused;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** The school's frameworks, in the form that the assessment file gives them. */
@Service
public class Frameworks {
    private final EntityManager entities;
    private final Access access;
    private final Ids ids;
    private final Clock clock;

    Frameworks(EntityManager entities, Access access, Ids ids, Clock clock) {
        this.entities = entities;
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
        entities.persist(new FrameworkRow(id, school, definition));
        entities.flush();
        return id;
    }

    @Transactional(readOnly = true)
    public List<FrameworkLine> list(Me me) {
        return lines(me, "is null");
    }

    private List<FrameworkLine> lines(Me me, String deleted) {
        return entities.createQuery("""
                        select f.id, f.title, f.version, cast(function('jsonb_array_length',
                          function('jsonb_extract_path', f.definition, 'standards')) as Integer)
                        from FrameworkRow f where f.school = :school and f.deletedAt\s""" + deleted + " order by f.title, f.version desc", FrameworkLine.class)
                .setParameter("school", me.school())
                .getResultList();
    }

    @Transactional(readOnly = true)
    public FrameworkView see(Me me, UUID framework) {
        access.require(me, Access.Action.SEE_FRAMEWORK, framework);
        FrameworkRow row = entities.find(FrameworkRow.class, framework);
        return new FrameworkView(
                framework,
                row.title,
                row.version,
                Objects.requireNonNull(row.revision),
                JsonColumn.plain(row.definition),
                courses(framework));
    }

    private List<CourseName> courses(UUID framework) {
        return entities.createQuery("""
                        select c.id, c.title from Course c join CourseFramework f on f.course = c.id
                        where f.framework = :framework order by c.title""", CourseName.class)
                .setParameter("framework", framework)
                .getResultList();
    }

    /** A framework as the core has it. */
    @Transactional(readOnly = true)
    public Framework read(Me me, UUID framework) {
        access.require(me, Access.Action.SEE_FRAMEWORK, framework);
        return FrameworkReader.read(Cursor.at(definition(framework)));
    }

    private JsonNode definition(UUID framework) {
        return entities.find(FrameworkRow.class, framework).definition;
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
        FrameworkRow row = entities.find(FrameworkRow.class, framework);
        if (!Objects.equals(row.revision, revision)) {
            throw Refused.conflict(
                    "changed-meanwhile",
                    "A colleague has changed this framework meanwhile. Yours is still on your screen.");
        }
        row.becomes(node);
        entities.flush();
        return revision + 1;
    }

    /** A framework that was brought in, or a new version of one. */
    @Transactional
    public UUID take(Me me, JsonNode definition) {
        JsonNode node = checked(definition);
        boolean there = entities.createQuery("""
                        select exists (select 1 from FrameworkRow f where f.school = :school and f.title = :title
                          and f.version = :version and f.deletedAt is null)""", Boolean.class)
                .setParameter("school", me.school())
                .setParameter("title", node.path("title").asString(""))
                .setParameter("version", node.path("version").asString(""))
                .getSingleResult();
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
        deletedAt(framework, clock.instant());
    }

    /** Not a change of the framework: whoever edits it meanwhile has no conflict. */
    private void deletedAt(UUID framework, @Nullable Instant at) {
        entities.createQuery("update FrameworkRow f set f.deletedAt = :at where f.id = :framework")
                .setParameter("at", at)
                .setParameter("framework", framework)
                .executeUpdate();
    }

    @Transactional
    public void restore(Me me, UUID framework) {
        access.require(me, Access.Action.RESTORE_FRAMEWORK, framework);
        deletedAt(framework, null);
    }

    /** The school's removed frameworks, by title. */
    @Transactional(readOnly = true)
    public List<FrameworkLine> removed(Me me) {
        return lines(me, "is not null");
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
        entities.createQuery("update CourseFramework f set f.place = f.place + 1 where f.course = :course")
                .setParameter("course", course)
                .executeUpdate();
        begin(course, framework);
    }

    /** Lets a course work with a framework before any other. */
    @Transactional
    public void begin(UUID course, UUID framework) {
        entities.createQuery("""
                        insert into CourseFramework (course, framework, place) values (:course, :framework, 0)
                        on conflict (course, framework) do update set place = 0""")
                .setParameter("course", course)
                .setParameter("framework", framework)
                .executeUpdate();
    }

    /** Items name a standard by its code alone, so that two frameworks of a course cannot share one. */
    private void refuseClash(UUID course, UUID framework) {
        Set<String> codes = new HashSet<>();
        definition(framework)
                .path("standards")
                .forEach(s -> codes.add(s.path("code").asString("")));
        List<String> shared = entities.createQuery("""
                        select f.definition from FrameworkRow f join CourseFramework c on c.framework = f.id
                        where c.course = :course and f.id <> :framework""", JsonNode.class)
                .setParameter("course", course)
                .setParameter("framework", framework)
                .getResultStream()
                .flatMap(other -> other.path("standards").valueStream())
                .map(standard -> standard.path("code").asString(""))
                .filter(codes::contains)
                .distinct()
                .toList();
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
        entities.createQuery("delete from CourseFramework f where f.course = :course and f.framework = :framework")
                .setParameter("course", course)
                .setParameter("framework", framework)
                .executeUpdate();
    }

    /** The frameworks that a course works with, the main one first. */
    @Transactional(readOnly = true)
    public List<JsonNode> ofCourse(UUID course) {
        return entities.createQuery("""
                        select f.definition from FrameworkRow f join CourseFramework c on c.framework = f.id
                        where c.course = :course order by c.place""", JsonNode.class)
                .setParameter("course", course)
                .getResultList();
    }

    /** A framework that a course works with. */
    public record OfCourse(UUID id, JsonNode definition) {}

    /** The same with their ids. */
    @Transactional(readOnly = true)
    public List<OfCourse> namedOfCourse(UUID course) {
        return entities.createQuery("""
                        select f.id, f.definition from FrameworkRow f join CourseFramework c on c.framework = f.id
                        where c.course = :course and f.deletedAt is null order by c.place""", OfCourse.class)
                .setParameter("course", course)
                .getResultList();
    }
}
