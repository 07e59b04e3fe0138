package org.scholion.formats.bringin;

import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.scholion.core.answer.Answer;
import org.scholion.core.number.Fraction;

/**
 * What a table of answers would bring in. Rows that ask and are not decided stay out and stop nobody; everything else
 * that asks has to be decided before anything comes in.
 *
 * @param shape in which shape the answers stood
 * @param attempts the rows that come in, each student once
 * @param rows rows that ask, or that a person has decided
 * @param cells cells that are no answer as they stand, each kind once
 * @param without questions that no column answers
 * @param twice how many students have several rows
 * @param keyLine the row that holds the key; null for none
 * @param decimalComma whether commas in numbers are taken for decimal marks; null where no number has one
 * @param pointsAsk whether all points are 0 or 1 while some question is worth something else
 * @param faults what is wrong with the file as a whole
 */
public record BringIn(
        Shape shape,
        List<Column> columns,
        List<Attempt> attempts,
        List<RowQuestion> rows,
        List<CellQuestion> cells,
        List<Without> without,
        int twice,
        @Nullable Integer keyLine,
        @Nullable Boolean decimalComma,
        boolean pointsAsk,
        List<CellFault> faults) {

    /** How the answers stood in the file. */
    public enum Shape {
        /** A row a student, a column a question. */
        WIDE,
        /** A row a student and question. */
        LONG,
        /** A string of letters a student, one for each question. */
        LETTERS,
        /** A row a student, a column an option. */
        OPTIONS
    }

    /**
     * One student's row.
     *
     * @param points what was given elsewhere, by item
     * @param notAsked items that were not asked of this student
     */
    public record Attempt(
            int line,
            Known student,
            String by,
            Map<String, Answer> answers,
            Map<String, Fraction> points,
            Set<String> notAsked) {}

    /** One thing that does not fit; the column is empty when it is the whole row. */
    public record CellFault(int line, String column, String message) {}

    /**
     * A row that asks.
     *
     * @param who what the row says of the student
     * @param why why it asks
     * @param near whom it could be
     * @param student whom a person has chosen; null for nobody yet
     * @param byLength whether only the length of its string is what is wrong
     * @param asIs whether a person has let it come in as it is
     * @param skipped whether a person has left it out
     */
    public record RowQuestion(
            int line,
            String who,
            String why,
            List<Known> near,
            @Nullable Known student,
            boolean byLength,
            boolean asIs,
            boolean skipped) {}

    /**
     * A kind of cell that is no answer as it stands.
     *
     * @param item whose answer it should be; empty for a sign that stands in cells of several questions, and
     *     {@code *} for cells of several that give no points
     * @param options what it could be instead, by id; empty where only no answer, or the text as it is, is possible
     * @param points whether it should be points
     * @param decided an option's id, {@code ""} for no answer, {@code =} for the text as it is; null while undecided
     */
    public record CellQuestion(
            String item,
            String column,
            String cell,
            int count,
            List<Option> options,
            boolean points,
            @Nullable String decided) {}

    /** An option that a cell could mean. */
    public record Option(String id, String text) {}

    /** A question without a column. */
    public record Without(String item, int number, String prompt, BringInChoices.@Nullable Missing decided) {}

    public BringIn {
        columns = List.copyOf(columns);
        attempts = List.copyOf(attempts);
        rows = List.copyOf(rows);
        cells = List.copyOf(cells);
        without = List.copyOf(without);
        faults = List.copyOf(faults);
    }

    /** The same with only these of its rows coming in. */
    public BringIn with(List<Attempt> some) {
        return new BringIn(shape, columns, some, rows, cells, without, twice, keyLine, decimalComma, pointsAsk, faults);
    }

    /** The questions that were not asked of these students, as a person says. */
    public List<String> notAsked() {
        return without.stream()
                .filter(w -> w.decided() == BringInChoices.Missing.NOT_ASKED)
                .map(Without::item)
                .toList();
    }

    /** How many decisions are missing before anything comes in. */
    public int undecided(BringInChoices choices) {
        long open = cells.stream().filter(c -> c.decided() == null).count()
                + without.stream().filter(w -> w.decided() == null).count();
        return (int) open
                + (twice > 0 && choices.twice() == null ? 1 : 0)
                + (pointsAsk && choices.pointsAs() == null ? 1 : 0);
    }
}
