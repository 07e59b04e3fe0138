package org.scholion.sheets.report;

import java.util.List;

/**
 * A report before it is printed.
 *
 * @param title in large type; {@code below} stands under it, {@code aside} at the right
 * @param blocks in order
 * @param foot in small type at the end
 */
public record Report(String title, String below, List<String> aside, List<Block> blocks, String foot) {
    public Report {
        aside = List.copyOf(aside);
        blocks = List.copyOf(blocks);
    }

    /** A piece of the report. */
    public sealed interface Block {}

    public record Heading(String text) implements Block {}

    public record Words(String text) implements Block {}

    /** A table; what a column holds is aligned by {@code right}. */
    public record Rows(List<Column> columns, List<List<Entry>> rows) implements Block {}

    /** @param percent how wide, of the page */
    public record Column(String heading, int percent, boolean right) {}

    /** What stands in a row. */
    public sealed interface Entry {}

    /** @param strong whether it is what the row is about */
    public record Text(String text, boolean strong) implements Entry {}

    /** A share on a line from 0 to 1, with the interval in which it lies. */
    public record Share(double low, double place, double high) implements Entry {}

    /** How many of how many, as a bar. */
    public record Bar(double part) implements Entry {}

    public static Entry text(String text) {
        return new Text(text, false);
    }

    public static Entry strong(String text) {
        return new Text(text, true);
    }
}
