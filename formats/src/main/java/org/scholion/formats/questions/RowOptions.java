package org.scholion.formats.questions;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.scholion.formats.json.Fault;
import org.scholion.formats.table.Table;

/**
 * What can be chosen in a row of questions, in whichever way the row has it: a column each, all in one cell, or the right
 * one in the key's column and the others beside it.
 */
final class RowOptions {
    private static final Pattern STAR = Pattern.compile(
            "^\\s*(?:\\*+|\\(\\*\\)|\\[x]|✓|✔)\\s*(.+)$|^(.+?)\\s*(?:\\*+|\\(\\*\\)|✓|✔)\\s*$",
            Pattern.DOTALL | Pattern.CASE_INSENSITIVE);
    private static final Pattern LETTERED = Pattern.compile("^\\(?([A-Za-z]|\\d{1,2})[).:]\\s+(.+)$", Pattern.DOTALL);
    private static final Pattern NEXT_LETTER = Pattern.compile("\\s+(?=\\(?[B-Zb-z][).]\\s)");

    /** @param right marked as right where it stands */
    record Option(String letter, String text, boolean right) {}

    private final List<Option> options = new ArrayList<>();
    private final List<Fault> faults;
    private boolean besideTheKey;

    private RowOptions(List<Fault> faults) {
        this.faults = faults;
    }

    /**
     * Reads a row's.
     *
     * @param number of the question, by which the right one's place changes where the file always puts it first
     */
    static RowOptions of(
            List<QuestionTable.Column> columns,
            Map<Integer, String> letters,
            Table.Row row,
            int number,
            List<Fault> faults) {
        RowOptions of = new RowOptions(faults);
        columns.stream()
                .filter(c -> c.role() == Role.OPTION && letters.containsKey(c.index()))
                .sorted(Comparator.comparing(c -> letters.getOrDefault(c.index(), "")))
                .forEach(c -> of.add(letters.getOrDefault(c.index(), ""), row.cell(c.index())));
        if (of.options.isEmpty()) {
            columns.stream().filter(c -> c.role() == Role.OPTIONS).forEach(c -> of.inOneCell(row.cell(c.index())));
        }
        if (of.options.isEmpty()) {
            of.beside(columns, row, number);
        }
        return of;
    }

    List<Option> all() {
        return options;
    }

    boolean isEmpty() {
        return options.isEmpty();
    }

    private void add(String letter, String cell) {
        String text = cell.strip();
        if (text.isEmpty()) {
            return;
        }
        if (letter.isEmpty()) {
            faults.add(new Fault("options", "there are more than " + OptionLetters.MOST + " options"));
            return;
        }
        Matcher star = STAR.matcher(text);
        boolean right = star.matches();
        String bare = right ? (star.group(1) == null ? star.group(2) : star.group(1)) : text;
        options.add(new Option(letter, CellText.plain(bare.strip()), right));
    }

    private void inOneCell(String cell) {
        List<String> parts = parts(cell);
        for (int i = 0; i < parts.size(); i++) {
            String part = parts.get(i);
            Matcher star = STAR.matcher(part);
            boolean right = star.matches();
            String bare = right ? (star.group(1) == null ? star.group(2) : star.group(1)) : part;
            Matcher lettered = LETTERED.matcher(bare.strip());
            boolean own = lettered.matches();
            String letter = own && lettered.group(1).matches("[A-Za-z]")
                    ? lettered.group(1).toLowerCase(Locale.ROOT)
                    : OptionLetters.letter(i);
            add(letter, (right ? "*" : "") + (own ? lettered.group(2) : bare));
        }
    }

    /** Lines, or what an upright stroke, a semicolon, letters with a bracket, or else commas keep apart. */
    private static List<String> parts(String cell) {
        for (String sign : List.of("\\R", "\\|", ";")) {
            String[] parts = cell.strip().split("\\s*" + sign + "\\s*");
            if (parts.length > 1) {
                return List.of(parts);
            }
        }
        String[] lettered = NEXT_LETTER.split(cell.strip());
        return List.of(lettered.length > 1 ? lettered : cell.strip().split("\\s*,\\s*(?!\\d)"));
    }

    /** The right one stands with the others beside it: its place among them goes on from question to question. */
    private void beside(List<QuestionTable.Column> columns, Table.Row row, int number) {
        List<String> others = cells(columns, row, Role.OTHER_OPTION);
        List<String> keys = cells(columns, row, Role.KEY);
        if (others.isEmpty() || keys.isEmpty()) {
            return;
        }
        List<String> texts = new ArrayList<>(others);
        int place = number % (others.size() + 1);
        texts.add(place, keys.get(0));
        besideTheKey = true;
        for (int i = 0; i < texts.size(); i++) {
            add(OptionLetters.letter(i), (i == place ? "*" : "") + texts.get(i));
        }
    }

    private static List<String> cells(List<QuestionTable.Column> columns, Table.Row row, Role role) {
        return columns.stream()
                .filter(c -> c.role() == role)
                .map(c -> row.cell(c.index()).strip())
                .filter(c -> !c.isEmpty())
                .toList();
    }

    /** The letters that the key's cell names, or the marks at the options; what they do not agree on is told. */
    List<String> keyed(String key) {
        List<String> marked =
                options.stream().filter(Option::right).map(Option::letter).toList();
        if (besideTheKey || key.isBlank()) {
            return marked;
        }
        List<String> named = named(key);
        if (!marked.isEmpty() && !named.isEmpty() && !Set.copyOf(marked).equals(Set.copyOf(named))) {
            faults.add(new Fault("key", "the key says " + upper(named) + ", the mark stands at " + upper(marked)));
        }
        return named;
    }

    private static String upper(List<String> letters) {
        return String.join(", ", letters).toUpperCase(Locale.ROOT);
    }

    private List<String> named(String key) {
        String whole = CellText.plain(key.strip());
        String found = text(whole);
        if (found != null) {
            return List.of(found);
        }
        List<String> texts = texts(whole);
        return texts.isEmpty() ? letters(whole) : texts;
    }

    private @org.jspecify.annotations.Nullable String text(String text) {
        return options.stream()
                .filter(o -> o.text().equalsIgnoreCase(text))
                .map(Option::letter)
                .findFirst()
                .orElse(null);
    }

    /** Several options by their texts; empty unless every part is one. */
    private List<String> texts(String key) {
        for (String sign : List.of("\\R", "\\|", ";", ",")) {
            Set<String> found = new LinkedHashSet<>();
            String[] parts = key.split("\\s*" + sign + "\\s*");
            for (String part : parts) {
                String letter = text(part.strip());
                if (letter != null) {
                    found.add(letter);
                }
            }
            if (parts.length > 1 && found.size() == parts.length) {
                return List.copyOf(found);
            }
        }
        return List.of();
    }

    /** Letters as people write them, {@code A, C}, {@code AC}, {@code (a)}, {@code option B}, or numbers of options. */
    private List<String> letters(String key) {
        String bare = key.replaceAll("(?i)\\b(options?|answers?|choices?|and|or)\\b|[()\\[\\]:.]", " ")
                .strip();
        List<String> known = options.stream().map(Option::letter).toList();
        boolean run = bare.matches("(?i)[a-z]{2,}")
                && bare.toLowerCase(Locale.ROOT).chars().allMatch(c -> known.contains(String.valueOf((char) c)));
        Set<String> letters = new LinkedHashSet<>();
        for (String part : run ? bare.split("") : bare.split("[,;/+&|\\s]+")) {
            String letter = part.matches("\\d{1,2}")
                    ? OptionLetters.letter(Integer.parseInt(part) - 1)
                    : part.toLowerCase(Locale.ROOT);
            if (known.contains(letter)) {
                letters.add(letter);
            } else if (!part.isEmpty()) {
                faults.add(new Fault("key", "'" + part + "' is none of the options"));
            }
        }
        return List.copyOf(letters);
    }
}
