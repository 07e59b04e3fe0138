package org.scholion.server.key;

import java.util.List;
import java.util.UUID;
import org.scholion.core.item.Item;
import org.springframework.stereotype.Component;

/** The items that answers are brought to: of the latest edition, or of what is written where nothing was given out. */
@Component
public class PaperItems {
    private final Assessments assessments;
    private final Editions editions;

    PaperItems(Assessments assessments, Editions editions) {
        this.assessments = assessments;
        this.editions = editions;
    }

    public List<Item> of(UUID assessment) {
        return editions.latest(assessment)
                .map(Edition::items)
                .orElseGet(() -> Edition.compile(assessment, 1, assessments.whole(assessment), List.of())
                        .items());
    }
}
