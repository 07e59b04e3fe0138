package org.scholion.formats.bringin;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.scholion.formats.bringin.BringIn.CellFault;
import org.scholion.formats.table.Table;

/**
 * A roster from a table.
 *
 * @param students with an empty id: who they are in the school is for the caller to find
 */
public record RosterTable(List<Line> students, List<CellFault> faults) {

    /** One student and the line they stand in. */
    public record Line(int line, Known student) {}

    private static final Map<String, List<String>> NAMES = Map.of(
            "number", List.of("number", "student number", "id", "no"),
            "given", List.of("first name", "given name", "given", "forename"),
            "family", List.of("surname", "last name", "family name", "family"),
            "email", List.of("e-mail", "email", "mail", "address"),
            "section", List.of("section", "class", "group"));

    public static RosterTable read(Table table) {
        List<CellFault> faults = new ArrayList<>();
        Map<String, Integer> columns = new HashMap<>();
        for (String field : List.of("number", "given", "family", "email", "section")) {
            int found = find(table, NAMES.getOrDefault(field, List.of()));
            columns.put(field, found);
            if (found < 0 && !field.equals("email")) {
                faults.add(new CellFault(
                        1, "", "no column for the " + word(field) + ": name one of them '" + word(field) + "'"));
            }
        }
        List<Line> students = new ArrayList<>();
        if (faults.isEmpty()) {
            table.rows().forEach(row -> students.add(line(row, columns)));
            Map<String, Integer> numbers = new HashMap<>();
            students.forEach(s -> check(s, numbers, faults));
        }
        return new RosterTable(students, faults);
    }

    private static Line line(Table.Row row, Map<String, Integer> columns) {
        return new Line(
                row.line(),
                new Known(
                        "",
                        cell(row, columns, "given"),
                        cell(row, columns, "family"),
                        cell(row, columns, "number"),
                        cell(row, columns, "email"),
                        cell(row, columns, "section")));
    }

    private static String cell(Table.Row row, Map<String, Integer> columns, String field) {
        int column = columns.getOrDefault(field, -1);
        return column < 0 ? "" : row.cell(column).strip();
    }

    private static void check(Line line, Map<String, Integer> numbers, List<CellFault> faults) {
        Known s = line.student();
        fault(PersonWords.number(s.number()), "number", line, faults);
        fault(PersonWords.name(s.given()), "given", line, faults);
        fault(PersonWords.name(s.family()), "family", line, faults);
        fault(PersonWords.email(s.email()), "email", line, faults);
        fault(PersonWords.section(s.section()), "section", line, faults);
        Integer before = s.number().isBlank() ? null : numbers.putIfAbsent(s.number(), line.line());
        if (before != null) {
            faults.add(new CellFault(
                    line.line(), "number", "number " + s.number() + " stands in line " + before + " already"));
        }
    }

    private static void fault(Optional<String> wrong, String field, Line line, List<CellFault> faults) {
        wrong.ifPresent(why -> faults.add(new CellFault(line.line(), word(field), "the " + word(field) + " " + why)));
    }

    private static int find(Table table, List<String> names) {
        for (int i = 0; i < table.names().size(); i++) {
            if (names.contains(table.names().get(i).toLowerCase(Locale.ROOT))) {
                return i;
            }
        }
        return -1;
    }

    private static String word(String field) {
        return NAMES.getOrDefault(field, List.of(field)).get(0);
    }
}
