package org.scholion.formats.assessment;

import java.util.List;
import java.util.regex.Pattern;
import org.scholion.core.answer.Answer;
import org.scholion.core.item.BlanksItem;
import org.scholion.core.item.ChoiceItem;
import org.scholion.core.item.Item;
import org.scholion.core.item.OpenItem;
import org.scholion.formats.json.Cursor;
import org.scholion.formats.json.Faults;
import org.scholion.formats.json.Texts;
import tools.jackson.databind.JsonNode;

/**
 * What a student can say on screen, by a whitelist for each kind of question. A reading is nothing that a student can
 * say: an open answer is a text, and attachments where the question takes them.
 */
public final class StudentAnswer {
    /** In characters; about twenty pages. */
    private static final int LONGEST_OPEN = 60_000;

    private static final int LONGEST_TEXT = 2_000;
    private static final int MOST_LINES = 200;
    private static final int MOST_PLACES = 200;

    /** The SHA-256 of its bytes. */
    private static final Pattern ATTACHMENT = Pattern.compile("[0-9a-f]{64}");

    private StudentAnswer() {}

    /**
     * Reads what was said. A character that cannot be printed, as it comes with what is pasted, becomes a space.
     *
     * @throws Faults naming what is nothing that can be said here, or is too much
     */
    public static Answer read(Item item, JsonNode said) {
        Cursor at = Cursor.at(Texts.printable(said));
        if (item instanceof OpenItem open) {
            return open(open, at);
        }
        Answer answer = AnswerJson.read(item, at);
        if (at.faults().isEmpty()) {
            refuseMuch(item, answer, at);
        }
        at.refuseFaulty();
        return answer;
    }

    private static Answer open(OpenItem item, Cursor at) {
        boolean plain = at.node().isString() || item.attachments() == 0;
        String text = plain ? at.asText() : at.text("text", "");
        List<String> attachments = plain
                ? List.of()
                : at.list("attachments").stream().map(Cursor::asText).toList();
        if (!plain) {
            at.refuseUnknown();
        }
        if (attachments.size() > item.attachments()) {
            at.fault(attachments.size() + " attachments, at most " + item.attachments() + " are taken");
        }
        attachments.stream()
                .filter(a -> !ATTACHMENT.matcher(a).matches())
                .forEach(a -> at.fault("'" + a + "' is no name of an attachment"));
        at.refuseFaulty();
        refuseLong(at, text, LONGEST_OPEN);
        return new Answer.Written(text, null, null, attachments);
    }

    private static void refuseMuch(Item item, Answer answer, Cursor at) {
        if (answer instanceof Answer.Typed typed) {
            fault(at, typed.text(), LONGEST_TEXT);
        } else if (answer instanceof Answer.Chosen chosen && item instanceof ChoiceItem choice) {
            if (chosen.options().size() > choice.max()) {
                at.fault(chosen.options().size() + " chosen, at most " + choice.max() + " are allowed");
            }
        } else if (answer instanceof Answer.Lines lines) {
            if (lines.lines().size() > MOST_LINES) {
                at.fault("at most " + MOST_LINES + " lines are taken");
            }
            lines.lines().forEach(line -> fault(at, line, LONGEST_TEXT));
        } else if (answer instanceof Answer.Pointed pointed && pointed.points().size() > MOST_PLACES) {
            at.fault("at most " + MOST_PLACES + " places are taken");
        } else if (answer instanceof Answer.Parts parts && item instanceof BlanksItem blanks) {
            blanks.parts().forEach(p -> {
                Answer part = parts.parts().get(p.id());
                if (part != null) {
                    refuseMuch(p.item(), part, at);
                }
            });
        }
    }

    private static void refuseLong(Cursor at, String text, int most) {
        fault(at, text, most);
        at.refuseFaulty();
    }

    private static void fault(Cursor at, String text, int most) {
        if (text.length() > most) {
            at.fault("an answer here has at most " + most + " characters; this has " + text.length());
        }
    }
}
