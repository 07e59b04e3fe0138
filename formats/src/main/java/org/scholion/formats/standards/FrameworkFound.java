package org.scholion.formats.standards;

import java.util.ArrayList;
import java.util.List;
import org.scholion.core.item.Faulty;
import org.scholion.core.standard.Framework;
import org.scholion.formats.json.Fault;
import org.scholion.formats.json.Faults;

/**
 * A framework as a file has it, shown before it is taken.
 *
 * @param title the file's own; empty where it has none
 * @param columns what each column of a table is taken for, and why; none for other files
 * @param notes what is not taken as it stands in the file, and what becomes of it, each at its line
 */
public record FrameworkFound(
        String title, String version, List<Column> columns, List<Found> standards, List<Fault> notes) {

    /** What a column of standards can be. */
    public enum Role {
        CODE,
        TEXT,
        PARENT,
        /** A number, 1 for the topmost. */
        LEVEL,
        /** The words of one level: what stands above the columns to its right. */
        STEP,
        LEFT_OUT
    }

    /** A column of the table and what it is taken for. */
    public record Column(int index, String name, Role role, String because) {}

    /** @param line of the file; 0 where it has no lines */
    public record Found(int line, Framework.Standard standard) {}

    public FrameworkFound {
        columns = List.copyOf(columns);
        standards = List.copyOf(standards);
        notes = List.copyOf(notes);
    }

    /**
     * What it makes.
     *
     * @throws Faults with the line of what no framework can hold
     */
    public Framework framework(String id, String itsTitle, String itsVersion) {
        try {
            return new Framework(
                    id,
                    itsTitle,
                    itsVersion,
                    standards.stream().map(Found::standard).toList());
        } catch (Faulty e) {
            String place = e.place().replaceFirst("^standards\\[(\\d+)].*", "$1");
            int line = place.matches("\\d+")
                    ? standards.get(Integer.parseInt(place)).line()
                    : 0;
            throw new Faults(List.of(new Fault(line > 0 ? "line " + line : e.place(), String.valueOf(e.getMessage()))));
        }
    }

    /** As a list that grows with a file's notes; what repeats itself often is said a few times and counted. */
    static final class Notes {
        private static final int MOST = 40;
        private final List<Fault> notes = new ArrayList<>();
        private int more;

        void add(int line, String message) {
            if (notes.size() < MOST) {
                notes.add(new Fault(line > 0 ? "line " + line : "", message));
            } else {
                more++;
            }
        }

        List<Fault> all() {
            List<Fault> all = new ArrayList<>(notes);
            if (more > 0) {
                all.add(new Fault("", "and " + more + " more of these"));
            }
            return all;
        }
    }
}
