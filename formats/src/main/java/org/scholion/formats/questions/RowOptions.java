package org.scholion.formats.questions;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
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
    static RowOptions of(QuestionRow.Rows rows, Table.Row row, int number, List<Fault> faults) {
        RowOptions of = new RowOptions(faults);
        rows.letters().entrySet().stream()
                .sorted(Map.Entry.comparingByValue())
                .forEach(e -> of.add(e.getValue(), Marked.of(row.cell(e.getKey()))));
        if (of.options.isEmpty()) {
            rows.cells(row, Role.OPTIONS).forEach(of::inOneCell);
        }
        if (of.options.isEmpty()) {
            of.beside(rows.cells(row, Role.OTHER_OPTION), rows.cells(row, Role.KEY), number);
        }
        return of;
    }

    List<Option> all() {
        return options;
    }

    boolean isEmpty() {
        return options.isEmpty();
    }

    /** The text of an option without the mark that makes it a right one. */
    private record Marked(String text, boolean right) {
        static Marked of(String cell) {
            Matcher star = STAR.matcher(cell);
            if (!star.matches()) {
                return new Marked(cell.strip(), false);
            }
            String bare = star.group(1) == null ? star.group(2) : star.group(1);
            return new Marked(bare.strip(), true);
        }
    }

    private void add(String letter, Marked option) {
        if (option.text().isEmpty()) {
            return;
        }
        if (letter.isEmpty()) {
            faults.add(new Fault("options", "there are more than " + OptionLetters.MOST + " options"));
            return;
        }
        options.add(new Option(letter, CellText.plain(option.text()), option.right()));
    }

    /** A mark may stand before the letter of its option or behind it: {@code *A) red}, {@code A) *red}. */
    private void inOneCell(String cell) {
        List<String> parts = parts(cell);
        for (int i = 0; i < parts.size(); i++) {
            Marked part = Marked.of(parts.get(i));
            Matcher lettered = LETTERED.matcher(part.text());
            if (!lettered.matches()) {
                add(OptionLetters.letter(i), part);
                continue;
            }
            Marked behind = Marked.of(lettered.group(2));
            String own = lettered.group(1);
            String letter = own.matches("[A-Za-z]") ? own.toLowerCase(Locale.ROOT) : OptionLetters.letter(i);
            add(letter, new Marked(behind.text(), part.right() || behind.right()));
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
    private void beside(List<String> others, List<String> keys, int number) {
        if (others.isEmpty() || keys.isEmpty()) {
            return;
        }
        List<String> texts = new ArrayList<>(others);
        int place = number % (others.size() + 1);
        texts.add(place, keys.get(0));
        besideTheKey = true;
        for (int i = 0; i < texts.size(); i++) {
            Marked option = Marked.of(texts.get(i));
            add(OptionLetters.letter(i), new Marked(option.text(), i == place || option.right()));
        }
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

    private @Nullable String text(String text) {
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
