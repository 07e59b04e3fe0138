package org.scholion.server.key;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.scholion.core.answer.Answer;
import org.scholion.core.item.FormulaItem;
import org.scholion.core.item.Item;
import org.scholion.core.item.PassageItem;
import org.scholion.core.item.WorkingItem;
import org.scholion.core.maths.Latex;
import org.scholion.core.maths.MathNames;
import org.scholion.core.number.Fraction;
import org.scholion.core.reason.Words;
import org.scholion.core.score.HowItScores;
import org.scholion.core.score.Mark;
import org.scholion.core.score.Scorer;
import org.scholion.core.score.State;
import org.scholion.formats.assessment.AnswerJson;
import org.scholion.formats.assessment.AssessmentFile;
import org.scholion.formats.assessment.AssessmentReader;
import org.scholion.formats.assessment.OneItem;
import org.scholion.formats.assessment.Particulars;
import org.scholion.formats.json.Cursor;
import org.scholion.formats.json.Fault;
import org.scholion.formats.json.Faults;
import org.scholion.server.platform.JsonColumn;
import tools.jackson.databind.JsonNode;

/**
 * One item while it is written: what is wrong with it, how it scores in words, and what tried answers would get.
 *
 * @param words how it scores; empty while something is wrong
 * @param tried one for each answer that was tried
 * @param examples one for each of the item's examples, in their order
 * @param latex how lines of mathematics in the key were read, by the line as it is written
 */
public record ItemCheck(
        List<Fault> faults, String words, List<Tried> tried, List<Tried> examples, Map<String, String> latex) {

    /**
     * What a tried answer would get.
     *
     * @param credit the exact credit, as an example keeps it
     * @param holds whether an example still gets what it is to get; null for an answer that is only tried
     */
    public record Tried(
            String state,
            String credit,
            String points,
            String of,
            String because,
            @Nullable Boolean holds) {}

    static ItemCheck of(Object itemDefinition, List<Object> answers) {
        try {
            AssessmentFile file = AssessmentReader.read(OneItem.fileOf(JsonColumn.node(itemDefinition)));
            Item item = file.assessment().items().get(0);
            return new ItemCheck(
                    List.of(),
                    HowItScores.of(item),
                    tried(item, answers),
                    examples(item, file.particulars(item.id())),
                    latex(item));
        } catch (Faults e) {
            return new ItemCheck(e.all().stream().map(OneItem::inside).toList(), "", List.of(), List.of(), Map.of());
        }
    }

    private static List<Tried> tried(Item item, List<Object> answers) {
        List<Tried> tried = new ArrayList<>();
        if (item instanceof PassageItem) {
            return tried;
        }
        Scorer scorer = Scorer.of(item);
        for (Object answer : answers) {
            tried.add(attempt(item, scorer, JsonColumn.node(answer), null));
        }
        return tried;
    }

    static List<Tried> examples(Item item, Particulars particulars) {
        List<Tried> tried = new ArrayList<>();
        if (particulars.examples().isEmpty()) {
            return tried;
        }
        Scorer scorer = Scorer.of(item);
        particulars.examples().forEach(e -> tried.add(attempt(item, scorer, e.answer(), e)));
        return tried;
    }

    private static Tried attempt(Item item, Scorer scorer, JsonNode node, Particulars.@Nullable Example example) {
        Cursor at = Cursor.at(node);
        Answer answer = AnswerJson.read(item, at);
        String of = item.points().toExact();
        if (!at.faults().isEmpty()) {
            return new Tried("fault", "0", "0", of, at.faults().get(0).toString(), example == null ? null : false);
        }
        Mark mark = scorer.score(answer);
        return new Tried(
                mark.state().word(),
                mark.credit().toExact(),
                mark.credit().times(item.points()).toExact(),
                of,
                Words.english(mark.reason()),
                example == null ? null : holds(mark, example.credit()));
    }

    private static boolean holds(Mark mark, @Nullable Fraction credit) {
        boolean waits = mark.state() == State.SETTLE || mark.state() == State.READ;
        return credit == null ? waits : !waits && mark.credit().equals(credit);
    }

    private static Map<String, String> latex(Item item) {
        Map<String, String> latex = new LinkedHashMap<>();
        if (item instanceof FormulaItem f) {
            List<String> letters = new ArrayList<>(f.variables());
            letters.addAll(f.constants());
            show(latex, f.accept(), MathNames.of(letters, f.functions(), f.accept()));
        } else if (item instanceof WorkingItem w) {
            List<String> lines = new ArrayList<>(w.accept());
            lines.add(w.start());
            show(latex, lines, MathNames.of(w.variables(), List.of(), lines));
        }
        return latex;
    }

    private static void show(Map<String, String> latex, List<String> lines, MathNames names) {
        lines.forEach(line -> Latex.of(line, names).ifPresent(shown -> latex.put(line, shown)));
    }
}
