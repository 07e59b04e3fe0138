package org.scholion.formats.bringin;

import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * What a person says about a file of answers.
 *
 * @param heading how many rows the heading has; null to find it out
 * @param columns what columns are, by place
 * @param rows about single rows, by line
 * @param cells what cells mean, by item, a tab and the cell: an option's id, {@code ""} for no answer, {@code =} as is
 * @param without about questions that no column answers, by item
 * @param twice which row counts of a student who has several
 * @param decimalComma whether commas in numbers are decimal marks; null for what the file looks like
 * @param pointsAs what 0 and 1 are where points are brought in and nothing else stands there; null while undecided
 */
public record BringInChoices(
        @Nullable Integer heading,
        Map<Integer, Column.Choice> columns,
        Map<Integer, RowChoice> rows,
        Map<String, String> cells,
        Map<String, Missing> without,
        @Nullable Twice twice,
        @Nullable Boolean decimalComma,
        @Nullable PointsAs pointsAs) {
    public static final BringInChoices NONE =
            new BringInChoices(null, Map.of(), Map.of(), Map.of(), Map.of(), null, null, null);

    public BringInChoices {
        columns = Map.copyOf(columns);
        rows = Map.copyOf(rows);
        cells = Map.copyOf(cells);
        without = Map.copyOf(without);
    }

    /** What a question without a column was to those students. */
    public enum Missing {
        NOT_ASKED,
        NO_ANSWER
    }

    /** What 0 and 1 are in columns of points. */
    public enum PointsAs {
        POINTS,
        /** Nothing and all of the question's points. */
        SHARES
    }

    /** Which of several rows counts. */
    public enum Twice {
        FIRST,
        LAST
    }

    /**
     * About one row.
     *
     * @param student whose it is, by id; empty for whom the row names
     * @param skip left out
     * @param asIs taken as it is, though its length is not the paper's
     * @param key whether it holds the key; null for what it looks like
     */
    public record RowChoice(
            String student,
            boolean skip,
            boolean asIs,
            @Nullable Boolean key) {}
}
