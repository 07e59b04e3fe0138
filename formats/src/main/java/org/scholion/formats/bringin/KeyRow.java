package org.scholion.formats.bringin;

import java.util.List;
import java.util.regex.Pattern;
import org.scholion.formats.table.Table;

/** The row that holds the key: where it names a student, it speaks of the key instead. */
final class KeyRow {
    private static final Pattern KEY = Pattern.compile(
            "(?U).*\\b(key|answer ?key|solutions?|correct( answers?)?|lösung(en)?|fasit|master)\\b.*",
            Pattern.CASE_INSENSITIVE);

    /** A longer cell is an answer, whatever words are in it. */
    private static final int LONGEST = 60;

    private KeyRow() {}

    /** @param students the columns that name students */
    static boolean looks(Table.Row row, List<Column> students) {
        return students.stream()
                .map(c -> row.cell(c.index()))
                .anyMatch(cell -> cell.length() <= LONGEST && KEY.matcher(cell).matches());
    }
}
