package org.scholion.formats.bringin;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.Predicate;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.scholion.formats.table.Table;

/** What each column of a roster is taken for: by its name, in words of several schools, else by what stands in it. */
public final class RosterColumns {
    private RosterColumns() {}

    /** What a column of a roster can be. */
    public enum Use {
        NUMBER,
        GIVEN,
        FAMILY,
        /** First names, then the surname. */
        NAME,
        /** The surname first, with or without a comma. */
        NAME_TURNED,
        EMAIL,
        SECTION,
        LEFT_OUT
    }

    /** One column, and why it is taken for that. */
    public record RosterColumn(int index, String name, Use use, String because) {}

    private static final Map<Use, Pattern> WORDS = new EnumMap<>(
            Map.of(
                    Use.NUMBER,
                    words(
                            "(student|pupil|admission|matriculation|roll|exam|school)? ?(number|no|nr|id|num|code|nummer|numero)|id|upn|elevnr|sourcedid|identifier"),
                    Use.GIVEN,
                    words(
                            "(first|given|fore|christian) ?names?|given|forename|vorname|fornavn|prenom|nombre|nome|first"),
                    Use.FAMILY,
                    words(
                            "(sur|family|last|second) ?names?|family|last|nachname|familienname|etternavn|nom|apellidos?|cognome"),
                    Use.NAME,
                    words("(full|student|pupil|display)? ?names?|student|pupil|learner|navn"),
                    Use.EMAIL,
                    words("(school|student|work)? ?e ?mail ?(address)?|mail|address"),
                    Use.SECTION,
                    words(
                            "(tutor|teaching)? ?(section|class|group|form|set|klasse|gruppe|classe)|class(room)? ?(name|code)?|section ?name")));

    private static final Pattern EMAIL = Pattern.compile("[^\\s@]+@[^\\s@]+\\.[^\\s@]+");
    private static final Pattern NUMBER = Pattern.compile("[A-Za-z]{0,3}\\d[\\d.\\-/E+ ]{2,}");
    private static final Pattern TWO_WORDS = Pattern.compile("\\p{L}[\\p{L}\\p{M}'’.\\-]*[, ]+\\p{L}.*");
    private static final Pattern SHORT = Pattern.compile("[\\p{L}\\d][\\p{L}\\d ./\\-]{0,14}");

    private static Pattern words(String alternatives) {
        return Pattern.compile("(" + alternatives + ")", Pattern.CASE_INSENSITIVE);
    }

    /** @param chosen what a person says that columns are, by their place */
    public static List<RosterColumn> of(Table table, Map<Integer, Use> chosen) {
        Map<Use, Integer> taken = new EnumMap<>(Use.class);
        RosterColumn[] columns = new RosterColumn[table.names().size()];
        chosen.forEach((i, use) -> {
            if (i >= 0 && i < columns.length) {
                columns[i] = new RosterColumn(i, table.names().get(i), use, "you chose this");
                taken.put(use, i);
            }
        });
        for (int i = 0; i < columns.length; i++) {
            Use use = columns[i] == null ? named(table.names().get(i)) : null;
            if (use != null && taken.putIfAbsent(use, i) == null) {
                columns[i] = new RosterColumn(i, table.names().get(i), use, "its name says so");
            }
        }
        for (int i = 0; i < columns.length; i++) {
            Use use = columns[i] == null ? looks(table, i, taken) : null;
            if (use != null && taken.putIfAbsent(use, i) == null) {
                columns[i] = new RosterColumn(i, table.names().get(i), use, "its cells look like that");
            }
        }
        List<RosterColumn> all = new ArrayList<>();
        for (int i = 0; i < columns.length; i++) {
            RosterColumn column = columns[i] == null
                    ? new RosterColumn(i, table.names().get(i), Use.LEFT_OUT, "nothing of it is needed")
                    : columns[i];
            all.add(column.use() == Use.NAME && chosen.get(i) == null ? turned(table, column) : column);
        }
        return all;
    }

    private static @Nullable Use named(String name) {
        String plain =
                name.toLowerCase(Locale.ROOT).replaceAll("[^\\p{L}\\d]+", " ").strip();
        for (Use use : List.of(Use.GIVEN, Use.FAMILY, Use.EMAIL, Use.SECTION, Use.NUMBER, Use.NAME)) {
            Pattern words = WORDS.get(use);
            if (words != null && words.matcher(plain).matches()) {
                return use;
            }
        }
        return null;
    }

    private static @Nullable Use looks(Table table, int i, Map<Use, Integer> taken) {
        if (most(table, i, c -> EMAIL.matcher(c).matches())) {
            return Use.EMAIL;
        }
        if (most(table, i, c -> NUMBER.matcher(c).matches())) {
            return Use.NUMBER;
        }
        boolean named = taken.containsKey(Use.FAMILY) || taken.containsKey(Use.NAME);
        if (!named && most(table, i, c -> TWO_WORDS.matcher(c).matches())) {
            return Use.NAME;
        }
        long distinct =
                table.rows().stream().map(r -> r.cell(i).strip()).distinct().count();
        return named
                        && table.rows().size() > 5
                        && distinct * 4 <= table.rows().size()
                        && most(table, i, c -> SHORT.matcher(c).matches())
                ? Use.SECTION
                : null;
    }

    private static boolean most(Table table, int i, Predicate<String> fits) {
        long filled = table.rows().stream().filter(r -> !r.cell(i).isBlank()).count();
        long fitting =
                table.rows().stream().filter(r -> fits.test(r.cell(i).strip())).count();
        return fitting > 0 && fitting * 5 >= filled * 4;
    }

    /** Commas in most of the names mean that the surname stands first. */
    private static RosterColumn turned(Table table, RosterColumn column) {
        return most(table, column.index(), c -> c.contains(","))
                ? new RosterColumn(
                        column.index(),
                        column.name(),
                        Use.NAME_TURNED,
                        column.because() + ", the surname before a comma")
                : column;
    }
}
