package org.scholion.server.demo;

import java.util.UUID;
import org.scholion.server.bank.Sharing;
import org.scholion.server.platform.JsonColumn;
import org.scholion.server.rubric.Rubrics;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;

/** Two kept rubrics: one with a newer version than the paper that uses it has, one on a single scale that is shared. */
@Component
class DemoRubrics {
    private final Rubrics rubrics;
    private final Sharing sharing;

    DemoRubrics(Rubrics rubrics, Sharing sharing) {
        this.rubrics = rubrics;
        this.sharing = sharing;
    }

    /** @return the id of the first */
    UUID write(DemoSchool.School school) {
        JsonNode all = DemoSchool.read("rubrics");
        UUID reason = keep(school, all.get(0));
        UUID convincing = keep(school, all.get(1));
        sharing.share(
                school.aud(), Sharing.Kind.RUBRIC, convincing, school.halvard().id(), false);
        return reason;
    }

    private UUID keep(DemoSchool.School school, JsonNode rubric) {
        String title = rubric.get("title").stringValue();
        JsonNode versions = rubric.get("versions");
        UUID id = rubrics.add(school.aud(), title, JsonColumn.plain(versions.get(0)));
        for (int i = 1; i < versions.size(); i++) {
            rubrics.change(school.aud(), id, title, JsonColumn.plain(versions.get(i)), i);
        }
        return id;
    }
}
