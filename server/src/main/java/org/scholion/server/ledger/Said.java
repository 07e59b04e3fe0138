package org.scholion.server.ledger;

import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.scholion.core.answer.Answer;
import org.scholion.core.answer.Told;
import org.scholion.core.item.Item;
import org.scholion.core.item.OpenItem;
import org.scholion.core.reason.Reason;
import org.scholion.core.score.Mark;
import org.scholion.formats.assessment.AnswerJson;
import org.scholion.formats.json.Cursor;
import org.scholion.server.key.Edition;
import tools.jackson.databind.JsonNode;

/**
 * What an attempt says to one item.
 *
 * @param answer what of it the item understands
 * @param given as it was handed in; null when nothing was
 * @param outgrown it names something that the item no longer has, or has the form of another kind: a person decides
 */
public record Said(Answer answer, @Nullable JsonNode given, boolean outgrown) {
    /** Groups of outgrown answers are told from those of answers that the item understands. */
    public static final String OUTGROWN = "outgrown:";

    public static Said to(Item item, Map<String, JsonNode> responses) {
        return of(item, responses.get(item.id()));
    }

    public static Said of(Item item, @Nullable JsonNode given) {
        if (given == null || given.isString() && given.stringValue().isEmpty()) {
            // Nothing, or an answer that was taken back.
            return new Said(Answer.NONE, given, false);
        }
        Cursor at = Cursor.at(given);
        Answer answer = AnswerJson.read(item, at);
        if (item instanceof OpenItem && answer instanceof Answer.Written written) {
            // A reading comes only through Read, whatever was handed in.
            answer = new Answer.Written(written.text(), null, null, written.attachments());
        }
        return new Said(answer, given, !at.faults().isEmpty());
    }

    public boolean isBlank() {
        return !outgrown && answer.isBlank();
    }

    /** What the rules make of it. */
    public Mark markedBy(Edition edition, Item item) {
        return outgrown
                ? Mark.settle(Reason.of(Reason.Code.OUTGROWN))
                : edition.scorer(item).score(answer);
    }

    /** The form in which equal answers are equal. */
    public String form(Edition edition, Item item) {
        return outgrown ? OUTGROWN + given : edition.scorer(item).form(answer);
    }

    /** In the words of the item as it was answered; its ids say little where it has changed. */
    public String told(Item item, @Nullable Item asSeen) {
        return outgrown && asSeen != null ? Told.in(asSeen, of(asSeen, given).answer()) : Told.in(item, answer);
    }
}
