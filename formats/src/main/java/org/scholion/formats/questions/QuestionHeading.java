package org.scholion.formats.questions;

import java.util.ArrayList;
import java.util.List;
import org.scholion.formats.table.Grid;
import org.scholion.formats.table.Heading;
import org.scholion.formats.table.Table;

/**
 * Where the heading of a table of questions stands: the row near the top that names most columns. Titles above it are no
 * questions, and a table may begin at once with its first question.
 */
record QuestionHeading(Table table, List<String> notes) {
    private static final int LOOKED_AT = 12;
    private static final int LONGEST_NAME = 40;

    static QuestionHeading of(Grid grid) {
        List<Table.Row> rows = grid.rows();
        int best = -1;
        long most = 0;
        for (int i = 0; i < Math.min(LOOKED_AT, rows.size()); i++) {
            long names = names(rows.get(i).cells());
            if (names > most) {
                most = names;
                best = i;
            }
        }
        if (best < 0) {
            boolean looksLikeOne = rows.get(0).cells().stream()
                    .allMatch(c ->
                            c.strip().length() <= LONGEST_NAME / 2 && !c.strip().endsWith("?"));
            return new QuestionHeading(new Heading(0, looksLikeOne ? 1 : 0).table(grid), List.of());
        }
        List<String> notes = new ArrayList<>();
        for (Table.Row row : rows.subList(0, best)) {
            notes.add("Line " + row.line() + " stands above the heading and is no question: "
                    + String.join(" ", row.cells()).strip());
        }
        return new QuestionHeading(new Heading(best, 1).table(grid), notes);
    }

    /** How many cells are names of columns; a sentence among them makes the row a question. */
    private static long names(List<String> cells) {
        boolean sentence = cells.stream()
                .anyMatch(c -> c.strip().length() > LONGEST_NAME || c.strip().endsWith("?"));
        long known = cells.stream().filter(c -> Role.named(c).isPresent()).count();
        int run = OptionLetters.run(cells).size();
        // A title of one word, such as "Questions", names a column only beside another.
        return sentence
                        || known + run < 2
                                && cells.stream().filter(c -> !c.isBlank()).count() > 1
                ? 0
                : known + run;
    }
}
