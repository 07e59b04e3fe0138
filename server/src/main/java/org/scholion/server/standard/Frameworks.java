package org.scholion.server.standard;

import java.util.List;
import java.util.UUID;
import org.scholion.server.access.Access;
import org.scholion.server.platform.Ids;
import org.scholion.server.platform.JsonColumn;
import org.scholion.server.platform.Me;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.JsonNode;

/** The school's frameworks, in the form that the assessment file gives them. */
@Service
public class Frameworks {
    private final JdbcClient db;
    private final Access access;
    private final Ids ids;

    Frameworks(JdbcClient db, Access access, Ids ids) {
        this.db = db;
        this.access = access;
        this.ids = ids;
    }

    public record FrameworkLine(UUID id, String title, String version, int standards) {}

    public record FrameworkView(UUID id, String title, String version, Object definition) {}

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
        return db.sql("""
                        select id, title, version, jsonb_array_length(definition -> 'standards') as standards
                        from framework where school_id = ? order by title, version desc""")
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
        return db.sql("select title, version, definition from framework where id = ?")
                .param(framework)
                .query((row, n) -> new FrameworkView(
                        framework,
                        row.getString("title"),
                        row.getString("version"),
                        JsonColumn.plain(JsonColumn.read(row.getString("definition")))))
                .single();
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
