package org.scholion.formats.bringin;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.scholion.formats.bringin.BringIn.CellFault;
import org.scholion.formats.bringin.RosterColumns.RosterColumn;
import org.scholion.formats.bringin.RosterColumns.Use;
import org.scholion.formats.table.Table;

/**
 * A roster from a table.
 *
 * @param students with an empty id: who they are in the school is for the caller to find; only rows without a fault
 * @param faults rows that cannot come in as they are; line 1 for the whole file
 */
public record RosterTable(List<RosterColumn> columns, List<Line> students, List<CellFault> faults) {

    /** One student and the line they stand in. */
    public record Line(int line, Known student) {}

    public static RosterTable read(Table table) {
        return read(table, Map.of(), "", Set.of());
    }

    /**
     * Reads a roster.
     *
     * @param chosen what a person says that columns are, by their place
     * @param section for rows that name none; empty when each has to
     * @param only rows of these sections, the others are passed over; empty for all
     */
    public static RosterTable read(Table table, Map<Integer, Use> chosen, String section, Set<String> only) {
        List<RosterColumn> columns = RosterColumns.of(table, chosen);
        Map<Use, Integer> places = new HashMap<>();
        columns.forEach(c -> places.putIfAbsent(c.use(), c.index()));
        List<CellFault> faults = new ArrayList<>();
        boolean named = places.containsKey(Use.NAME)
                || places.containsKey(Use.NAME_TURNED)
                || places.containsKey(Use.GIVEN) && places.containsKey(Use.FAMILY);
        missing(!named, "name: name one “name”, or two “first name” and “surname”", faults);
        missing(!places.containsKey(Use.NUMBER), "number: name one of them “number”", faults);
        missing(
                !places.containsKey(Use.SECTION) && section.isEmpty(),
                "section: name one of them “section”, or choose the section for the whole file",
                faults);
        List<Line> students = new ArrayList<>();
        if (faults.isEmpty()) {
            Map<String, Integer> numbers = new HashMap<>();
            for (Table.Row row : table.rows()) {
                Line line = line(row, places, section);
                if (!only.isEmpty() && !only.contains(line.student().section())) {
                    continue;
                }
                List<CellFault> wrong = faults(line, numbers);
                faults.addAll(wrong);
                if (wrong.isEmpty()) {
                    students.add(line);
                }
            }
        }
        return new RosterTable(columns, students, faults);
    }

    /** The sections that a file names, in its order. */
    public static List<String> sections(Table table, List<RosterColumn> columns) {
        return columns.stream()
                .filter(c -> c.use() == Use.SECTION)
                .flatMap(c -> table.rows().stream().map(r -> r.cell(c.index()).strip()))
                .filter(s -> !s.isEmpty())
                .distinct()
                .toList();
    }

    private static void missing(boolean is, String what, List<CellFault> faults) {
        if (is) {
            faults.add(new CellFault(1, "", "no column for the " + what));
        }
    }

    private static Line line(Table.Row row, Map<Use, Integer> places, String section) {
        boolean turned = places.containsKey(Use.NAME_TURNED);
        Use whole = turned ? Use.NAME_TURNED : Use.NAME;
        PersonName name = places.containsKey(Use.FAMILY) && places.containsKey(Use.GIVEN)
                ? new PersonName(
                        PersonWords.tidy(cell(row, places, Use.GIVEN)), PersonWords.tidy(cell(row, places, Use.FAMILY)))
                : PersonName.of(cell(row, places, whole), turned);
        String own = cell(row, places, Use.SECTION);
        String email = cell(row, places, Use.EMAIL);
        return new Line(
                row.line(),
                new Known(
                        "",
                        name.given(),
                        name.family(),
                        StudentNumber.repaired(cell(row, places, Use.NUMBER)),
                        email,
                        own.isEmpty() ? section : own));
    }

    private static String cell(Table.Row row, Map<Use, Integer> places, Use use) {
        Integer column = places.get(use);
        return column == null ? "" : row.cell(column).strip();
    }

    private static List<CellFault> faults(Line line, Map<String, Integer> numbers) {
        Known s = line.student();
        List<CellFault> faults = new ArrayList<>();
        if (StudentNumber.isLost(s.number())) {
            faults.add(new CellFault(
                    line.line(),
                    "number",
                    "the spreadsheet has lost digits of the number " + s.number()
                            + "; format the column as text, type the number anew and save"));
            return faults;
        }
        fault(PersonWords.number(s.number()), "number", line, faults);
        fault(PersonWords.name(s.given()), "first name", line, faults);
        fault(PersonWords.name(s.family()), "surname", line, faults);
        fault(PersonWords.email(s.email()), "e-mail", line, faults);
        fault(PersonWords.section(s.section()), "section", line, faults);
        Integer before = s.number().isBlank() ? null : numbers.putIfAbsent(s.number(), line.line());
        if (before != null) {
            faults.add(new CellFault(
                    line.line(), "number", "number " + s.number() + " stands in line " + before + " already"));
        }
        return faults;
    }

    private static void fault(Optional<String> wrong, String field, Line line, List<CellFault> faults) {
        wrong.ifPresent(why -> faults.add(new CellFault(line.line(), field, "the " + field + " " + why)));
    }
}
