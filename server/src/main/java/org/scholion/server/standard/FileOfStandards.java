package org.scholion.server.standard;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.scholion.formats.assessment.FrameworkWriter;
import org.scholion.formats.json.Fault;
import org.scholion.formats.json.Faults;
import org.scholion.formats.standards.CaseReader;
import org.scholion.formats.standards.FrameworkFound;
import org.scholion.formats.standards.FrameworkTable;
import org.scholion.formats.table.Grid;
import tools.jackson.databind.JsonNode;

/**
 * A file of standards, a table or a CASE package, and what no framework could hold of it.
 *
 * @param encoding of a text table's letters; empty for other files
 * @param sheets the names of a workbook's sheets
 */
record FileOfStandards(FrameworkFound found, String encoding, List<String> sheets) {
    private static final String UNNAMED = "?";

    static FileOfStandards read(byte[] bytes, Grid.Reading how, Map<Integer, FrameworkFound.Role> roles) {
        String text =
                new String(bytes, StandardCharsets.UTF_8).replace("\uFEFF", "").strip();
        if (text.startsWith("{")) {
            return new FileOfStandards(CaseReader.read(text), "", List.of());
        }
        Grid grid = Grid.read(bytes, how);
        return new FileOfStandards(FrameworkTable.read(grid, roles), grid.encoding(), grid.sheets());
    }

    /** What keeps it from being a framework, but for its name. */
    List<Fault> faults() {
        List<Fault> faults = new ArrayList<>();
        try {
            found.framework("new", UNNAMED, "1");
            FrameworkLimits.of(definition(UNNAMED, "1")).forEach(f -> faults.add(atLine(f)));
        } catch (Faults e) {
            faults.addAll(e.all());
        }
        return faults;
    }

    private Fault atLine(Fault fault) {
        String place = fault.path().replaceFirst("^standards\\[(\\d+)].*", "$1");
        boolean one = place.matches("\\d+");
        int line = one ? found.standards().get(Integer.parseInt(place)).line() : 0;
        return line > 0 ? new Fault("line " + line, fault.message()) : fault;
    }

    /** Its standards, also those that no framework can hold, under a name. */
    JsonNode definition(String title, String version) {
        String itsVersion = found.version().isBlank() ? "1" : found.version();
        return FrameworkWriter.write(
                "new",
                title.isBlank() ? found.title() : title,
                version.isBlank() ? itsVersion : version,
                found.standards().stream().map(FrameworkFound.Found::standard).toList());
    }
}
