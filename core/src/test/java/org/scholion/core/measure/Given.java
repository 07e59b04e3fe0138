package org.scholion.core.measure;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import org.scholion.core.number.Fraction;

/** Scores written down as tables of points: a row an item, a column a student. A blank is written as NaN. */
final class Given {
    private Given() {}

    static Scores scores(double[][] byItem, double... points) {
        List<Column> columns = new ArrayList<>();
        for (int j = 0; j < byItem.length; j++) {
            columns.add(column("q" + (j + 1), byItem[j], points[j], true));
        }
        return Scores.of(columns);
    }

    static Column column(String item, double[] scores, double points, boolean counts) {
        List<Column.Kind> kinds = new ArrayList<>();
        int[] codes = new int[scores.length];
        for (int i = 0; i < scores.length; i++) {
            Column.Kind kind = Double.isNaN(scores[i])
                    ? Column.Kind.unanswered()
                    : Column.Kind.worth(exact(scores[i]), scores[i] == points);
            codes[i] = code(kinds, kind);
        }
        return new Column(item, codes, kinds, exact(points), counts, List.of(), List.of(), false);
    }

    /** A choice of one, by the places of the chosen options; -1 is blank. The keyed option is worth a point. */
    static Column choice(String item, int options, int keyed, int... chosen) {
        List<String> names = new ArrayList<>();
        for (int o = 0; o < options; o++) {
            names.add(String.valueOf((char) ('a' + o)));
        }
        List<Column.Kind> kinds = new ArrayList<>();
        int[] codes = new int[chosen.length];
        for (int i = 0; i < chosen.length; i++) {
            boolean right = chosen[i] == keyed;
            codes[i] = code(
                    kinds,
                    chosen[i] < 0
                            ? Column.Kind.unanswered()
                            : new Column.Kind(
                                    right ? Fraction.ONE : Fraction.ZERO, false, false, right, List.of(chosen[i])));
        }
        return new Column(item, codes, kinds, Fraction.ONE, true, names, List.of(names.get(keyed)), true);
    }

    private static int code(List<Column.Kind> kinds, Column.Kind kind) {
        if (!kinds.contains(kind)) {
            kinds.add(kind);
        }
        return kinds.indexOf(kind);
    }

    private static Fraction exact(double value) {
        return Fraction.of(BigDecimal.valueOf(value));
    }
}
