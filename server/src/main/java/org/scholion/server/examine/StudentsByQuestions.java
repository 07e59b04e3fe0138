package org.scholion.server.examine;

import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.core.item.Item;
import org.scholion.core.measure.Figure;
import org.scholion.core.measure.Figures;
import org.scholion.core.measure.ItemMeasures;
import org.scholion.core.measure.Scores;
import org.scholion.core.measure.Unexpected;
import org.scholion.core.number.Fraction;
import org.scholion.core.score.State;
import org.scholion.server.key.Edition;
import org.scholion.server.key.Editions;
import org.scholion.server.ledger.Brief;
import org.scholion.server.ledger.Standings;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Every student's mark for every question, as one table. */
@Service
class StudentsByQuestions {
    private final Editions editions;
    private final ExaminedPapers examined;

    StudentsByQuestions(Editions editions, ExaminedPapers examined) {
        this.editions = editions;
        this.examined = examined;
    }

    /** @param difficulty the mean share of its points, by which questions are ordered */
    record QuestionInTable(String item, int number, String prompt, String points, boolean dropped, Figure difficulty) {}

    /** Something that does not fit the rest: missed although nearly all have it, or solved although few have it. */
    record DoesNotFit(int number, boolean solved) {}

    /**
     * A student.
     *
     * @param cells a letter for each question: f full points, p some, n none, b no answer, s to settle, r to read,
     *     x excused, o not asked
     */
    record StudentRow(
            UUID attempt,
            UUID student,
            UUID section,
            String given,
            String family,
            String score,
            @Nullable String percent,
            boolean provisional,
            String cells,
            List<DoesNotFit> doesNotFit) {}

    record StudentsView(List<QuestionInTable> questions, List<StudentRow> students) {}

    @Transactional(readOnly = true)
    StudentsView of(UUID assessment, @Nullable UUID section) {
        Edition latest = editions.latest(assessment).orElse(null);
        if (latest == null) {
            return new StudentsView(List.of(), List.of());
        }
        Examined paper = examined.read(latest, section);
        Codes codes = new Codes(paper);
        Scores scores = codes.all();
        List<ItemMeasures> measures =
                Examination.asked(paper, Figures.of(scores).items(), codes);
        List<QuestionInTable> questions = new ArrayList<>();
        for (int j = 0; j < paper.items().size(); j++) {
            Item item = paper.items().get(j);
            questions.add(new QuestionInTable(
                    item.id(),
                    j + 1,
                    item.asked(),
                    item.points().toExact(),
                    paper.isDropped(item),
                    measures.get(j).difficulty()));
        }
        List<List<Unexpected>> unexpected = Unexpected.of(scores);
        List<StudentRow> rows = new ArrayList<>();
        for (int i = 0; i < paper.rows().size(); i++) {
            rows.add(row(paper, paper.rows().get(i), unexpected.get(i)));
        }
        return new StudentsView(questions, rows);
    }

    private static StudentRow row(Examined paper, Examined.Row row, List<Unexpected> unexpected) {
        StringBuilder cells = new StringBuilder();
        for (int j = 0; j < paper.items().size(); j++) {
            cells.append(cell(row, paper.items().get(j), row.marks().get(j)));
        }
        Standings.Standing standing = row.marked().standing();
        return new StudentRow(
                row.id(),
                row.attempt().student(),
                row.attempt().section(),
                row.attempt().given(),
                row.attempt().family(),
                standing.score(),
                standing.percent(),
                standing.provisional(),
                cells.toString(),
                unexpected.stream()
                        // What waits or was never asked was not missed.
                        .filter(u -> "fnb".indexOf(cells.charAt(u.item())) >= 0)
                        .map(u -> new DoesNotFit(u.item() + 1, u.solved()))
                        .toList());
    }

    private static char cell(Examined.Row row, Item item, Brief brief) {
        if (!row.wasAsked(item.id())) {
            return 'o';
        }
        State state = brief.mark().state();
        return switch (state) {
            case BLANK -> 'b';
            case SETTLE -> 's';
            case READ -> 'r';
            case EXCUSED -> 'x';
            case SCORED ->
                brief.credit().equals(Fraction.ONE) ? 'f' : brief.credit().signum() > 0 ? 'p' : 'n';
        };
    }
}
