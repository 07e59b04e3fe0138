package org.scholion.formats.bringin;

import java.util.List;
import java.util.Map;
import org.scholion.core.answer.Answer;

/**
 * What a table of answers would bring in. It may be taken only when no fault is left.
 *
 * @param attempts the rows that fit, in the order of the file
 * @param faults what does not fit, by row and column
 */
public record BringIn(List<Column> columns, List<Attempt> attempts, List<CellFault> faults) {

    /** One student's row. */
    public record Attempt(int line, Known student, Map<String, Answer> answers) {}

    /** One thing that does not fit; the column is empty when it is the whole row. */
    public record CellFault(int line, String column, String message) {}

    public BringIn {
        columns = List.copyOf(columns);
        attempts = List.copyOf(attempts);
        faults = List.copyOf(faults);
    }
}
