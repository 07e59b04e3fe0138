package org.scholion.formats.bringin;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.scholion.formats.bringin.PaperFromAnswers.Kind;
import org.scholion.formats.bringin.PaperFromAnswers.MadeQuestion;
import org.scholion.formats.table.Table;

/** A column of strings such as {@code BCADB}, for which there is no paper yet: each letter answers a question of its own. */
final class LetterStrings {
    /** Shorter ones are words or grades as well. */
    private static final int SHORTEST = 5;

    private static final Pattern LETTERS = Pattern.compile("(?:[A-H*?._\\- ]+|[a-h*?._\\- ]+)");

    /** So many of ten cells are such strings, and as long as the longest. */
    private static final int MOST_OF_TEN = 8;

    private final int column;
    private final List<String> options;
    private final int length;

    private LetterStrings(int column, List<String> options, int length) {
        this.column = column;
        this.options = options;
        this.length = length;
    }

    int column() {
        return column;
    }

    /** The first column of such strings among those that name no student. */
    static Optional<LetterStrings> in(Table table, List<Column> columns) {
        return columns.stream()
                .filter(c -> !c.isStudent())
                .flatMap(c -> of(table, c.index()).stream())
                .findFirst();
    }

    private static Optional<LetterStrings> of(Table table, int column) {
        List<String> cells = table.rows().stream()
                .map(r -> r.cell(column).strip())
                .filter(c -> !c.isEmpty())
                .toList();
        List<String> strings = cells.stream()
                .filter(LetterStrings::isString)
                .map(LetterStrings::letters)
                .toList();
        int longest = strings.stream().mapToInt(String::length).max().orElse(0);
        long whole = strings.stream().filter(s -> s.length() == longest).count();
        if (longest < SHORTEST || whole * 10 < (long) cells.size() * MOST_OF_TEN) {
            return Optional.empty();
        }
        int last = strings.stream()
                .flatMapToInt(String::chars)
                .filter(Character::isLetter)
                .max()
                .orElse('a');
        // One letter alone says nothing of how many could be chosen.
        List<String> options = IntStream.rangeClosed('A', Math.max(last, 'B'))
                .mapToObj(c -> String.valueOf((char) c))
                .toList();
        return Optional.of(new LetterStrings(column, options, longest));
    }

    private static boolean isString(String cell) {
        return LETTERS.matcher(cell).matches() && cell.chars().anyMatch(Character::isLetter);
    }

    /** Blanks between groups of letters are no answers. */
    private static String letters(String cell) {
        return cell.replace(" ", "").toUpperCase(Locale.ROOT);
    }

    /**
     * The questions, in the order of the letters.
     *
     * @param keyRow the file's row with the key; null where there is none
     * @param kinds what a person says of them, by place: behind the last column of the table
     */
    List<MadeQuestion> questions(Table table, Table.@Nullable Row keyRow, Map<Integer, Kind> kinds) {
        String key = keyRow == null ? "" : letters(keyRow.cell(column).strip());
        List<MadeQuestion> made = new ArrayList<>();
        for (int n = 0; n < length; n++) {
            int place = table.names().size() + n;
            String right = n < key.length() ? key.substring(n, n + 1) : "";
            made.add(new MadeQuestion(
                    place,
                    "Question " + (n + 1),
                    kinds.get(place) == Kind.LEFT_OUT ? Kind.LEFT_OUT : Kind.CHOICE,
                    options,
                    options.contains(right) ? right : "",
                    "letter " + (n + 1) + " of the strings in “" + table.names().get(column) + "”"));
        }
        return made;
    }
}
