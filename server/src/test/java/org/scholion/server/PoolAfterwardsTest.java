package org.scholion.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.scholion.server.ledger.Standings;
import org.scholion.server.testing.Lesson;
import org.scholion.server.testing.Scholion;
import org.scholion.server.testing.Visitor;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** A question that comes into a pool after giving out hits nobody who never saw it. */
@ExtendWith(Scholion.class)
class PoolAfterwardsTest {
    private static ObjectNode drawn(String title, List<String> pool, int take) {
        ObjectNode definition = Lesson.definition(title).deepCopy().asObject();
        definition
                .putArray("draws")
                .addObject()
                .put("id", "d")
                .put("take", take)
                .put("each", "student");
        definition.get("items").forEach(i -> {
            if (pool.contains(i.get("id").stringValue())) {
                i.asObject().put("draw", "d").put("points", "2");
            }
        });
        return definition;
    }

    @Test
    void who_began_before_is_neither_asked_nor_measured_by_it(Scholion.Running school, Standings standings) {
        Lesson lesson = Lesson.written(school, "Pool afterwards");
        lesson.holds(drawn("Pool afterwards", List.of("q2", "q3"), 2));
        lesson.giveOut("A").ok();
        lesson.sits("Tamsin Orrel", List.of("a"), "bowline", "10 nmi", null);
        JsonNode before = lesson.trace("Tamsin Orrel").get("standing");
        Visitor lotte = school.as("Lotte Marrin");
        String working = lesson.attempt("Lotte Marrin");
        Lesson.answer(lotte, working, "q1", List.of("a")).ok();
        ObjectNode more = drawn("Pool afterwards", List.of("q2", "q3"), 2);
        more.get("items")
                .asArray()
                .addObject()
                .put("id", "q9")
                .put("kind", "text")
                .put("points", "2")
                .put("prompt", "Which hitch?")
                .put("draw", "d")
                .putArray("accept")
                .addObject()
                .put("text", "clove");
        lesson.teacher
                .post(lesson.path("/editions"), lesson.change(more, "one more in the pool"))
                .ok();
        JsonNode after = lesson.trace("Tamsin Orrel");
        assertThat(after.get("items").valueStream().map(i -> i.get("item").stringValue()))
                .doesNotContain("q9");
        assertThat(after.get("because").stringValue()).doesNotContain("excused");
        lotte.post("/api/student/attempts/" + working + "/hand-in", null).ok();
        assertThat(lesson.trace("Lotte Marrin").get("standing").get("possible"))
                .as("whoever was at work meanwhile was not asked it either")
                .isEqualTo(before.get("possible"));
        assertThat(after.get("standing")).isEqualTo(before);
        assertThat(standings.differences()).isEmpty();
        lesson.handsBack("Tamsin Orrel").ok();
        JsonNode results = school.as("Tamsin Orrel").get("/api/student/results").ok();
        String id = results.get(0).get("id").stringValue();
        assertThat(school.as("Tamsin Orrel").get("/api/student/results/" + id).body())
                .doesNotContain("Which hitch?");
    }
}
