package org.scholion.core.measure;

import java.util.List;

/** The figures of the paper and of every item, from counting the answers once. */
public record Figures(TestMeasures test, List<ItemMeasures> items) {
    public static Figures of(Scores scores) {
        Paper paper = Paper.of(scores);
        return new Figures(TestMeasures.of(paper), ItemMeasures.of(scores, paper));
    }
}
