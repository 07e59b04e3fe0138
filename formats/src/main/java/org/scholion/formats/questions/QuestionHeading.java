package org.scholion.formats.questions;

import java.util.List;
import org.scholion.formats.table.Grid;
import org.scholion.formats.table.Heading;
import org.scholion.formats.table.Table;

/**
 * Where the heading of a table of questions stands: the row near the top that names most columns. Titles above it are no
 * questions, and a table may begin at once with its first question.
 */
record QuestionHeading(Table table, List<String> notes) {
    private static final int LONGEST_NAME = 40;

    static QuestionHeading of(Grid grid) {
        Heading heading = Heading.naming(grid, QuestionHeading::names);
        if (heading.rows() == 0 && looksLikeNames(grid.rows().get(0).cells())) {
            heading = new Heading(0, 1);
        }
        List<String> notes = heading.above(grid).stream()
                .map(row -> "Line " + row.line() + " stands above the heading and is no question: "
                        + String.join(" ", row.cells()).strip())
                .toList();
        return new QuestionHeading(heading.table(grid), notes);
    }

    /** Short words that ask nothing, whatever they mean. */
    private static boolean looksLikeNames(List<String> cells) {
        return cells.stream().map(String::strip).allMatch(c -> c.length() <= LONGEST_NAME / 2 && !c.endsWith("?"));
    }

    /** How many cells are names of columns; a sentence among them makes the row a question. */
    private static long names(List<String> cells) {
        boolean sentence = cells.stream()
                .anyMatch(c -> c.strip().length() > LONGEST_NAME || c.strip().endsWith("?"));
        long known = cells.stream().filter(c -> Role.named(c).isPresent()).count();
        int run = OptionLetters.run(cells).size();
        long filled = cells.stream().filter(c -> !c.isBlank()).count();
        // A title of one word, such as "Questions", names a column only beside another.
        boolean tooFew = known + run < 2 && filled > 1;
        return sentence || tooFew ? 0 : known + run;
    }
}
