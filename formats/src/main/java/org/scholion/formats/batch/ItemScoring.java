package org.scholion.formats.batch;

import java.util.HashMap;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.scholion.core.answer.Answer;
import org.scholion.core.item.ChoiceItem;
import org.scholion.core.item.Item;
import org.scholion.core.number.Fraction;
import org.scholion.core.reason.Words;
import org.scholion.core.score.Mark;
import org.scholion.core.score.Scorer;
import org.scholion.core.score.State;
import org.scholion.formats.assessment.AnswerJson;
import org.scholion.formats.json.Cursor;
import org.scholion.formats.json.Fault;
import tools.jackson.databind.JsonNode;

/**
 * Scores answers to one item; equal answers are scored once. Belongs to one thread.
 *
 * <p>What it remembers is bounded: so many answers, each of them short.
 */
final class ItemScoring {
    private static final int MOST = 50_000;
    private static final int LONGEST = 200;

    private final Key key;
    private final Item item;
    private final int place;
    private final Scorer scorer;
    private final Map<Object, Scored> known = new HashMap<>();
    private final @Nullable Scored[] letters = new Scored[128];
    final Scored blank;
    final Scored excused;

    ItemScoring(Key key, int place) {
        this.key = key;
        this.place = place;
        this.item = key.items.get(place);
        this.scorer = Scorer.of(item);
        this.blank = scored(Mark.BLANK, Answer.NONE);
        this.excused = scored(Mark.EXCUSED, Answer.NONE);
    }

    Item item() {
        return item;
    }

    @Nullable
    Scored known(Object form) {
        return known.get(form);
    }

    /** The mark of a choice whose one letter this is, when it has been given before. */
    @Nullable
    Scored letter(char letter) {
        return letter < letters.length ? letters[letter] : null;
    }

    /** Reads and scores an answer; what is wrong with it goes to the faults, and null comes back. */
    @Nullable
    Scored score(JsonNode node, @Nullable Object form, Faulted faulted) {
        Cursor at = Cursor.at(node);
        Answer answer = AnswerJson.read(item, at);
        if (!at.faults().isEmpty()) {
            for (Fault fault : at.faults()) {
                faulted.at(item.id(), fault);
            }
            return null;
        }
        Scored scored;
        try {
            scored = scored(scorer.score(answer), answer);
        } catch (IllegalArgumentException e) {
            // A rubric's level or points are known to be wrong only against the item.
            faulted.at(item.id(), new Fault("", String.valueOf(e.getMessage())));
            return null;
        }
        if (form != null && known.size() < MOST && !(form instanceof String s && s.length() > LONGEST)) {
            known.put(form, scored);
            if (item instanceof ChoiceItem
                    && form instanceof String s
                    && s.length() == 1
                    && s.charAt(0) < letters.length) {
                letters[s.charAt(0)] = scored;
            }
        }
        return scored;
    }

    private Scored scored(Mark mark, Answer answer) {
        boolean excused = mark.state() == State.EXCUSED;
        String credit = excused ? "" : Csv.number(mark.credit());
        String points = excused ? "" : Csv.number(mark.credit().times(item.points()));
        Fraction counts = key.totals.adjusted(place, mark);
        String before = "," + Csv.cell(item.id()) + "," + mark.state().word() + "," + credit + "," + points + ",";
        String after = "," + Csv.cell(mark.rule()) + "," + Csv.cell(Words.english(mark.reason())) + "\n";
        return new Scored(
                mark,
                key.scores.kind(place, mark, answer),
                counts,
                key.totals.waits(place, mark),
                key.alignments.of(place, mark),
                Bytes.utf8(before + Csv.number(counts) + after),
                Bytes.utf8(before + after));
    }

    /** Where faults go. */
    interface Faulted {
        void at(String item, Fault fault);
    }
}
