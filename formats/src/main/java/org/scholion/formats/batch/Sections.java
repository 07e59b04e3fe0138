package org.scholion.formats.batch;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.scholion.formats.json.Faults;
import org.scholion.formats.table.Table;

/** Who belongs to which section, from a table with the columns student and section. */
final class Sections {
    private Sections() {}

    /**
     * The sections by student; empty without a table.
     *
     * @throws Refusal with every fault of the table
     */
    static Map<String, String> of(@Nullable Path file) throws IOException {
        if (file == null) {
            return Map.of();
        }
        String name = String.valueOf(file.getFileName());
        Table table;
        try {
            table = Table.read(Files.readAllBytes(file));
        } catch (Faults e) {
            throw new Refusal(e.all().stream().map(f -> name + " " + f).toList());
        }
        int student = table.names().indexOf("student");
        int section = table.names().indexOf("section");
        List<String> faults = new ArrayList<>();
        if (student < 0 || section < 0) {
            faults.add(name + " line 1: the columns student and section are needed");
        }
        Map<String, String> sections = new HashMap<>();
        for (Table.Row row : faults.isEmpty() ? table.rows() : List.<Table.Row>of()) {
            String who = row.cell(student).strip();
            String where = row.cell(section).strip();
            if (who.isEmpty() || where.isEmpty()) {
                faults.add(name + " line " + row.line() + ": " + (who.isEmpty() ? "the student" : "the section")
                        + " is missing");
            } else if (sections.put(who, where) != null) {
                faults.add(name + " line " + row.line() + ": student " + who + " is there twice");
            }
        }
        if (!faults.isEmpty()) {
            throw new Refusal(faults);
        }
        return sections;
    }
}
