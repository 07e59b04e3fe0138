package org.scholion.formats.batch;

import java.math.BigDecimal;
import java.math.RoundingMode;
import org.jspecify.annotations.Nullable;
import org.scholion.core.measure.Figure;
import org.scholion.core.number.Fraction;

/** Cells of result files: quoted only where they must be; numbers with at most six decimals, half up. */
final class Csv {
    private static final int DECIMALS = 6;

    private Csv() {}

    static String row(String... cells) {
        StringBuilder row = new StringBuilder();
        for (int i = 0; i < cells.length; i++) {
            row.append(i == 0 ? "" : ",").append(cell(cells[i]));
        }
        return row.append('\n').toString();
    }

    static String cell(String text) {
        boolean plain = true;
        for (int i = 0; i < text.length() && plain; i++) {
            char c = text.charAt(i);
            plain = c != ',' && c != '"' && c != '\n' && c != '\r';
        }
        return plain ? text : "\"" + text.replace("\"", "\"\"") + "\"";
    }

    /** Empty where there is none. */
    static String number(@Nullable Fraction value) {
        return value == null ? "" : value.toDecimal(DECIMALS);
    }

    static String number(Figure figure) {
        return figure.value() == null ? "" : number(figure.value());
    }

    /** Through the shortest decimal that means this double, so that a half that is meant is a half. */
    static String number(double value) {
        BigDecimal rounded = BigDecimal.valueOf(value).setScale(DECIMALS, RoundingMode.HALF_UP);
        return rounded.signum() == 0 ? "0" : rounded.stripTrailingZeros().toPlainString();
    }

    static String yesNo(@Nullable Boolean value) {
        return value == null ? "" : value ? "yes" : "no";
    }
}
