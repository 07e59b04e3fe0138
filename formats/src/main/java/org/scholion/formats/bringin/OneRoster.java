package org.scholion.formats.bringin;

import java.io.IOException;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.apache.commons.compress.archivers.zip.ZipArchiveEntry;
import org.apache.commons.compress.archivers.zip.ZipFile;
import org.apache.commons.compress.utils.SeekableInMemoryByteChannel;
import org.jspecify.annotations.Nullable;
import org.scholion.formats.table.Grid;
import org.scholion.formats.table.Table;

/** A package of CSV files by 1EdTech's OneRoster 1.2: its students with the classes that they are enrolled in. */
public final class OneRoster {
    private static final int MOST_BYTES = 60_000_000;
    private static final List<String> FILES = List.of("users.csv", "enrollments.csv", "classes.csv");

    private OneRoster() {}

    /** The package as a roster with a row a student and class; null when these bytes are no such package. */
    public static @Nullable Grid read(byte[] bytes) {
        if (bytes.length < 4 || bytes[0] != 'P' || bytes[1] != 'K') {
            return null;
        }
        Map<String, Table> files = new HashMap<>();
        // By the package's own list of contents: what is not asked for is not unpacked, however much it would be.
        try (ZipFile zip = ZipFile.builder()
                .setSeekableByteChannel(new SeekableInMemoryByteChannel(bytes))
                .get()) {
            int left = MOST_BYTES;
            for (ZipArchiveEntry e : Collections.list(zip.getEntries())) {
                String name =
                        e.getName().substring(e.getName().lastIndexOf('/') + 1).toLowerCase(Locale.ROOT);
                if (FILES.contains(name)) {
                    byte[] file = zip.getInputStream(e).readNBytes(left);
                    left -= file.length;
                    files.put(name, Table.read(file));
                }
            }
        } catch (IOException | IllegalArgumentException e) {
            return null;
        }
        Table users = files.get("users.csv");
        return users == null ? null : roster(users, files.get("enrollments.csv"), files.get("classes.csv"));
    }

    private static Grid roster(Table users, @Nullable Table enrolments, @Nullable Table classes) {
        Map<String, String> titles = new HashMap<>();
        if (classes != null) {
            rows(classes).forEach(r -> titles.put(r.get("sourcedid"), r.get("title")));
        }
        Map<String, List<String>> sections = new HashMap<>();
        if (enrolments != null) {
            rows(enrolments).stream()
                    .filter(r -> r.get("role").equalsIgnoreCase("student") && !isGone(r))
                    .forEach(r -> sections.computeIfAbsent(r.get("usersourcedid"), u -> new ArrayList<>())
                            .add(titles.getOrDefault(r.get("classsourcedid"), r.get("classsourcedid"))));
        }
        List<Table.Row> rows = new ArrayList<>();
        rows.add(new Table.Row(1, List.of("number", "first name", "surname", "e-mail", "section")));
        int line = 1;
        for (Row user : rows(users)) {
            line++;
            boolean student = user.get("role").isEmpty()
                    ? sections.containsKey(user.get("sourcedid"))
                    : user.get("role").equalsIgnoreCase("student");
            if (student && !isGone(user)) {
                String number = user.get("identifier").isEmpty() ? user.get("sourcedid") : user.get("identifier");
                for (String section : sections.getOrDefault(user.get("sourcedid"), List.of(""))) {
                    rows.add(new Table.Row(
                            line,
                            List.of(
                                    number,
                                    user.get("givenname"),
                                    user.get("familyname"),
                                    user.get("email"),
                                    section)));
                }
            }
        }
        return new Grid(
                rows,
                "OneRoster package",
                ',',
                "UTF-8",
                List.of(),
                List.of("lines are those of users.csv; classes are taken as sections"));
    }

    private static boolean isGone(Row row) {
        return row.get("status").equalsIgnoreCase("tobedeleted")
                || row.get("enableduser").equalsIgnoreCase("false");
    }

    /** A row by the names of its columns, in small letters. */
    private record Row(Map<String, Integer> columns, Table.Row row) {
        String get(String column) {
            Integer place = columns.get(column);
            return place == null ? "" : row.cell(place).strip();
        }
    }

    private static List<Row> rows(Table table) {
        Map<String, Integer> columns = new HashMap<>();
        for (int i = 0; i < table.names().size(); i++) {
            columns.putIfAbsent(table.names().get(i).toLowerCase(Locale.ROOT), i);
        }
        return table.rows().stream().map(r -> new Row(columns, r)).toList();
    }
}
