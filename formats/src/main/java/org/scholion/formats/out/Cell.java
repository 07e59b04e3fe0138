package org.scholion.formats.out;

import java.time.LocalDateTime;
import org.jspecify.annotations.Nullable;
import org.scholion.core.number.Fraction;

/** What stands in one cell, by its kind, so that a spreadsheet can reckon with it. */
public sealed interface Cell {
    Cell NONE = new Text("");

    /** Words; never computed, whatever they begin with. */
    record Text(String words) implements Cell {}

    /** A number with at most six decimals, half up. */
    record Amount(Fraction value) implements Cell {}

    /** A whole number. */
    record Count(long value) implements Cell {}

    /** A moment in the school's own time. */
    record At(LocalDateTime moment) implements Cell {}

    static Cell of(@Nullable String words) {
        return words == null || words.isEmpty() ? NONE : new Text(words);
    }

    static Cell of(@Nullable Fraction value) {
        return value == null ? NONE : new Amount(value);
    }

    static Cell of(long value) {
        return new Count(value);
    }

    static Cell of(@Nullable LocalDateTime moment) {
        return moment == null ? NONE : new At(moment);
    }
}
