package org.scholion.formats.assessment;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.scholion.core.number.Fraction;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Writes what stands with an item beside its key; what it does not have is left out. */
final class ParticularsWriter {
    private ParticularsWriter() {}

    static void write(ObjectNode node, Particulars p) {
        text(node, "body", p.body());
        if (p.picture() != null) {
            node.putObject("picture")
                    .put("file", p.picture().file())
                    .put("alt", p.picture().alt());
        }
        if (!p.feedback().equals(Particulars.Feedback.NONE)) {
            ObjectNode feedback = node.putObject("feedback");
            text(feedback, "right", p.feedback().right());
            text(feedback, "partial", p.feedback().partial());
            text(feedback, "wrong", p.feedback().wrong());
        }
        text(node, "hint", p.hint());
        texts(node, "tags", p.tags());
        number(node, "difficulty", p.difficulty());
        number(node, "minutes", p.minutes());
        text(node, "stem", p.stem());
        text(node, "reasonFor", p.reasonFor());
        texts(node, "last", p.last());
        if (p.rubricShown()) {
            node.put("rubricShown", true);
        }
        if (p.rubricKept() != null) {
            node.putObject("rubricKept")
                    .put("id", p.rubricKept().id())
                    .put("version", p.rubricKept().version());
        }
        if (!p.examples().isEmpty()) {
            ArrayNode examples = node.putArray("examples");
            p.examples().forEach(e -> example(examples.addObject(), e));
        }
    }

    private static void example(ObjectNode node, Particulars.Example example) {
        node.set("answer", example.answer());
        if (example.credit() == null) {
            node.put("state", "waits");
        } else {
            node.put("credit", example.credit().toExact());
        }
    }

    static void text(ObjectNode node, String name, @Nullable String text) {
        if (text != null) {
            node.put(name, text);
        }
    }

    private static void number(ObjectNode node, String name, @Nullable Fraction value) {
        if (value != null) {
            node.put(name, value.toExact());
        }
    }

    private static void texts(ObjectNode node, String name, List<String> texts) {
        if (!texts.isEmpty()) {
            ArrayNode list = node.putArray(name);
            texts.forEach(list::add);
        }
    }
}
