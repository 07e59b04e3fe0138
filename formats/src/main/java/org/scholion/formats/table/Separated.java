package org.scholion.formats.table;

import de.siegmar.fastcsv.reader.CsvParseException;
import de.siegmar.fastcsv.reader.CsvReader;
import de.siegmar.fastcsv.reader.CsvRecord;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Rows of cells from text: which sign stands between the cells is found out from how evenly it cuts the lines. */
record Separated(List<Table.Row> rows, char separator) {
    private static final String SIGNS = ",;\t|";
    private static final int LOOKED_AT = 60;
    private static final int LONGEST_HEAD = 1 << 16;

    /** A first line that only says which sign separates, as some spreadsheets write it. */
    private static final Pattern SAID = Pattern.compile("\\A\"?sep=(.)\"?\\r?\\n", Pattern.CASE_INSENSITIVE);

    /** Somebody's number and a string of letters, with nothing but blanks between them. */
    private static final Pattern LETTERS = Pattern.compile("\\S+[ ]+[A-Za-z0-9*?.\\-]+");

    /** @param asked the sign that a person has chosen; empty to find it out */
    static Separated of(String text, String asked) {
        Matcher said = SAID.matcher(text);
        if (said.find()) {
            char sign = asked.isEmpty() ? said.group(1).charAt(0) : asked.charAt(0);
            return new Separated(rows(text.substring(said.end()), sign, 1), sign);
        }
        char sign = asked.isEmpty() ? best(text) : asked.charAt(0);
        return new Separated(rows(text, sign, 0), sign);
    }

    /** The sign that cuts most lines into the same number of cells, and into most cells among equals. */
    private static char best(String text) {
        String head = text.length() > LONGEST_HEAD ? text.substring(0, LONGEST_HEAD) : text;
        char best = ',';
        double most = 0;
        for (char sign : SIGNS.toCharArray()) {
            double evenly = evenly(head, sign);
            if (evenly > most) {
                most = evenly;
                best = sign;
            }
        }
        return most == 0 && isLetters(head) ? ' ' : best;
    }

    private static double evenly(String head, char sign) {
        Map<Integer, Integer> widths = new HashMap<>();
        int lines = 0;
        try (CsvReader<CsvRecord> reader = reader(sign).ofCsvRecord(head)) {
            for (CsvRecord record : reader) {
                widths.merge(record.getFieldCount(), 1, Integer::sum);
                if (++lines == LOOKED_AT) {
                    break;
                }
            }
        } catch (CsvParseException | IOException e) {
            // The head may end within quotes: what was read until there tells enough.
            lines = Math.max(lines, 1);
        }
        int of = lines;
        return widths.entrySet().stream()
                .filter(w -> w.getKey() > 1)
                .mapToDouble(w -> (double) w.getValue() / of + Math.min(w.getKey(), 50) / 1_000.0)
                .max()
                .orElse(0);
    }

    private static boolean isLetters(String head) {
        List<String> lines =
                head.lines().filter(l -> !l.isBlank()).limit(LOOKED_AT).toList();
        return lines.size() > 1
                && lines.stream().allMatch(l -> LETTERS.matcher(l.strip()).matches());
    }

    private static CsvReader.CsvReaderBuilder reader(char sign) {
        return CsvReader.builder()
                .fieldSeparator(sign)
                .skipEmptyLines(true)
                .allowExtraFields(true)
                .allowMissingFields(true);
    }

    private static List<Table.Row> rows(String text, char sign, int before) {
        TableLimits limits = new TableLimits();
        List<Table.Row> rows = new ArrayList<>();
        String body = sign == ' ' ? text.replaceAll("(?m)^[ ]+|[ ]+$", "").replaceAll("[ ]{2,}", " ") : text;
        try (CsvReader<CsvRecord> reader = reader(sign).ofCsvRecord(body)) {
            for (CsvRecord record : reader) {
                int line = (int) record.getStartingLineNumber() + before;
                rows.add(new Table.Row(line, limits.row(line, record.getFields())));
            }
        } catch (CsvParseException e) {
            throw TableLimits.refused("", "the table cannot be read: " + e.getMessage());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return rows;
    }

    static String word(char sign) {
        return switch (sign) {
            case '\t' -> "tab";
            case ';' -> "semicolon";
            case ',' -> "comma";
            case '|' -> "upright stroke";
            case ' ' -> "blank";
            default -> String.format(Locale.ROOT, "“%s”", sign);
        };
    }
}
