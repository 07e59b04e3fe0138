package org.scholion.formats.bringin;

import java.util.List;
import java.util.regex.Pattern;
import org.scholion.formats.table.Table;

/** The row that holds the key: where it names a student, it speaks of the key instead. */
final class KeyRow {
    private static final Pattern KEY = Pattern.compile(
            "(?U).*\\b(key|answer ?key|solutions?|correct( answers?)?|lösung(en)?|fasit|master)\\b.*",
            Pattern.CASE_INSENSITIVE);

    /** The points that were possible, in a row of their own. */
    private static final Pattern POSSIBLE = Pattern.compile(
            "max\\.?(imum)?( points| marks)?|(points|marks) possible|possible( points| marks)?|out of|full (points|marks)",
            Pattern.CASE_INSENSITIVE);

    /** A longer cell is an answer, whatever words are in it. */
    private static final int LONGEST = 60;

    private KeyRow() {}

    /** @param students the columns that name students */
    static boolean looks(Table.Row row, List<Column> students) {
        return said(row, students).stream()
                        .anyMatch(cell ->
                                cell.length() <= LONGEST && KEY.matcher(cell).matches())
                || saysPossible(row, students);
    }

    /** Whether it says what was possible. Max can be a first name: it is one where a surname stands beside it. */
    static boolean saysPossible(Table.Row row, List<Column> students) {
        List<String> said = said(row, students);
        return said.size() == 1 && POSSIBLE.matcher(said.get(0)).matches();
    }

    private static List<String> said(Table.Row row, List<Column> students) {
        return students.stream()
                .map(c -> row.cell(c.index()).strip())
                .filter(c -> !c.isEmpty())
                .toList();
    }
}
