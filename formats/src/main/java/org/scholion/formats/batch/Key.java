package org.scholion.formats.batch;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.scholion.core.item.Item;
import org.scholion.core.measure.ScoresBuilder;
import org.scholion.core.standard.Alignments;
import org.scholion.core.total.Assessment;
import org.scholion.core.total.Totals;
import org.scholion.formats.assessment.AssessmentFile;

/** An assessment compiled for a run: shared by all threads. */
final class Key {
    final Assessment assessment;
    final List<Item> items;
    final Map<String, Integer> places = new HashMap<>();
    final Totals totals;
    final Alignments alignments;
    final ScoresBuilder scores;

    Key(AssessmentFile file) {
        this.assessment = file.assessment();
        this.items = assessment.scorable();
        for (int i = 0; i < items.size(); i++) {
            places.put(items.get(i).id(), i);
        }
        this.totals = new Totals(assessment);
        this.alignments = new Alignments(assessment, file.frameworks());
        this.scores = new ScoresBuilder(assessment);
    }

    /** The place of an item, -1 for an unknown id. Answers mostly stand in the order of the paper, so the next is tried first. */
    int place(String id, int next) {
        if (next >= 0 && next < items.size() && items.get(next).id().equals(id)) {
            return next;
        }
        Integer place = places.get(id);
        return place == null ? -1 : place;
    }
}
