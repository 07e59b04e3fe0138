package org.scholion.formats.bringin;

import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.scholion.core.number.Fraction;
import org.scholion.formats.bringin.PaperFromAnswers.Kind;
import org.scholion.formats.bringin.PaperFromAnswers.Looked;
import org.scholion.formats.bringin.PaperFromAnswers.MadeQuestion;

/** Columns of a file without a paper that hold points: an oral, a practical, a matrix of 0 and 1. */
final class PointColumns {
    private static final Fraction MOST_POINTS = Fraction.of(100);

    /** How many points are possible, as headings say it: {@code 1 (4)}, {@code 1 / 4}, {@code 1 [4 points]}. */
    private static final Pattern WORTH = Pattern.compile(
            "(.*?)\\s*(?:/|out of|max\\.?|[(\\[](?:max\\.?|out of|/)?)\\s*(\\d{1,4}(?:[.,]\\d{1,2})?)\\s*(?:points?|pts?\\.?|p\\.?|marks?)?\\s*[)\\]]?",
            Pattern.CASE_INSENSITIVE);

    private PointColumns() {}

    /**
     * Which they are: all that hold something, where nothing but numbers stands there and nothing says what would be
     * right.
     *
     * @param possible the row that stands for the key says what was possible; null where there is no such row
     */
    static Set<Integer> of(List<Looked> columns, @Nullable Boolean possible) {
        List<Looked> filled = columns.stream().filter(l -> !l.cells().isEmpty()).toList();
        List<Looked> questions = filled.stream()
                .filter(l -> !PaperFromAnswers.isBeside(l.column().name()))
                .toList();
        // A file of names and points has no other column than the one that is called so.
        List<Looked> asked = questions.isEmpty() ? filled.stream().limit(1).toList() : questions;
        return !Boolean.FALSE.equals(possible) && asked.stream().allMatch(l -> arePoints(l.cells()))
                ? asked.stream().map(l -> l.column().index()).collect(Collectors.toSet())
                : Set.of();
    }

    private static boolean arePoints(List<String> cells) {
        return cells.stream().filter(c -> !AnswerCells.isSign(c)).allMatch(c -> {
            Fraction n = number(c);
            // Whole points, halves and quarters.
            return n != null
                    && n.abs().compareTo(MOST_POINTS) <= 0
                    && n.times(Fraction.of(4)).isWhole();
        });
    }

    static MadeQuestion question(Looked l, String because) {
        Matcher said = WORTH.matcher(l.column().name());
        boolean inHeading = said.matches();
        Fraction most = l.cells().stream()
                .map(c -> Scores.whole(c).orElse(number(c)))
                .filter(Objects::nonNull)
                .map(Fraction::abs)
                .reduce(Fraction.ONE, (a, b) -> a.compareTo(b) >= 0 ? a : b);
        Fraction worth = Optional.ofNullable(number(l.key()))
                .or(() -> inHeading ? Optional.ofNullable(number(said.group(2))) : Optional.empty())
                .filter(w -> w.compareTo(most) >= 0)
                .orElse(most);
        return new MadeQuestion(
                l.column().index(), l.column().name(), Kind.POINTS, List.of(), "", worth.toExact(), because);
    }

    private static @Nullable Fraction number(String cell) {
        return Scores.points(cell, null).orElse(null);
    }
}
