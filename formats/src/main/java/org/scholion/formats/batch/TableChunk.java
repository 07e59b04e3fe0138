package org.scholion.formats.batch;

import java.util.Arrays;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.scholion.core.item.Faulty;
import org.scholion.core.number.Fraction;
import org.scholion.formats.assessment.AnswerCell;
import org.scholion.formats.table.Table;

/** Some records of a response table; their lines are those of the file. */
final class TableChunk implements Chunk {
    private final TableColumns columns;
    private final List<Table.Row> rows;

    TableChunk(TableColumns columns, List<Table.Row> rows) {
        this.columns = columns;
        this.rows = rows;
    }

    @Override
    public Part score(RowScorer scorer) {
        Part part = scorer.part();
        rows.forEach(row -> score(row, scorer, part));
        scorer.remember(part);
        return part;
    }

    private void score(Table.Row row, RowScorer scorer, Part part) {
        int before = part.faults.size();
        String student = columns.field(row.cells(), "student");
        if (row.cells().size() > columns.count()) {
            fault(
                    part,
                    row,
                    student,
                    row.cells().size() + " cells, but the first row names " + columns.count() + " columns");
        }
        if (student.isEmpty()) {
            fault(part, row, "", "the student is missing");
        }
        Head head = head(row, student, part);
        @Nullable Scored[] answers = new Scored[scorer.key().items.size()];
        for (int i = 0; i < Math.min(columns.count(), row.cells().size()); i++) {
            if (columns.items()[i] >= 0) {
                answers[columns.items()[i]] =
                        answer(row, columns.items()[i], row.cells().get(i), scorer, part, student);
            }
        }
        scorer.finish(row.line(), head, answers, before, part);
    }

    private static @Nullable Scored answer(
            Table.Row row, int place, String cell, RowScorer scorer, Part part, String student) {
        Scored known = scorer.item(place).known(cell);
        if (known != null) {
            return known;
        }
        try {
            return scorer.answer(
                    place, AnswerCell.read(scorer.item(place).item(), cell), cell, part, row.line(), student);
        } catch (Faulty e) {
            part.faults.add(new Fault(
                    row.line(),
                    RowScorer.where(student, scorer.item(place).item().id()),
                    String.valueOf(e.getMessage())));
            return null;
        }
    }

    private Head head(Table.Row row, String student, Part part) {
        String attempt = columns.field(row.cells(), "attempt");
        String late = columns.field(row.cells(), "late");
        String section = columns.field(row.cells(), "section");
        String excused = columns.field(row.cells(), "excused");
        if (!attempt.isEmpty() && !attempt.matches("[1-9]\\d{0,8}")) {
            fault(part, row, student, "attempt '" + attempt + "' is not a whole number from 1");
            attempt = "1";
        }
        Fraction days = Fraction.ZERO;
        if (!late.isEmpty()) {
            if (Late.days(late).isEmpty()) {
                fault(part, row, student, "late '" + late + "' is not a number with d, h or m, such as 26h");
            }
            days = Late.days(late).orElse(Fraction.ZERO);
        }
        List<String> ids = Arrays.stream(excused.split(";"))
                .map(String::strip)
                .filter(s -> !s.isEmpty())
                .toList();
        return new Head(
                student,
                attempt.isEmpty() ? 1 : Integer.parseInt(attempt),
                section.isEmpty() ? null : section,
                days,
                ids);
    }

    private static void fault(Part part, Table.Row row, String student, String message) {
        part.faults.add(new Fault(row.line(), student.isEmpty() ? "" : "student " + student, message));
    }
}
