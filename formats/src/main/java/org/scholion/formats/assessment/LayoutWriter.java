package org.scholion.formats.assessment;

import org.scholion.core.draw.Draw;
import org.scholion.core.total.Award;
import org.scholion.formats.json.Cursor;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Writes the layout of a paper; a plain one leaves nothing. */
final class LayoutWriter {
    private LayoutWriter() {}

    static void write(ObjectNode node, Layout layout) {
        if (layout.shuffleItems() || layout.shuffleOptions()) {
            node.putObject("shuffle").put("items", layout.shuffleItems()).put("options", layout.shuffleOptions());
        }
        if (!layout.draws().isEmpty()) {
            ArrayNode draws = node.putArray("draws");
            layout.draws().forEach(d -> draw(draws.addObject(), d));
        }
        if (!layout.questions().isEmpty()) {
            ArrayNode questions = node.putArray("questions");
            layout.questions()
                    .forEach(q -> questions
                            .addObject()
                            .put("file", q.file())
                            .put("name", q.name())
                            .put("type", q.type()));
        }
        if (!layout.awards().isEmpty()) {
            ArrayNode awards = node.putArray("awards");
            layout.awards().forEach(a -> award(awards.addObject(), a));
        }
        if (!layout.trials().isEmpty()) {
            ArrayNode trials = node.putArray("trials");
            for (Layout.Trial trial : layout.trials()) {
                ObjectNode answers =
                        trials.addObject().put("name", trial.name()).putObject("answers");
                trial.answers().forEach(answers::set);
            }
        }
    }

    private static void award(ObjectNode node, Award award) {
        node.put("id", award.id())
                .put("title", award.title())
                .put("from", award.from().toExact());
        if (award.words() != null) {
            node.put("words", award.words());
        }
    }

    private static void draw(ObjectNode node, Draw draw) {
        node.put("id", draw.id()).put("take", draw.take());
        if (!draw.quotas().isEmpty()) {
            ArrayNode quotas = node.putArray("quotas");
            draw.quotas().forEach(q -> quotas.addObject().put("code", q.code()).put("take", q.take()));
        }
        if (draw.difficulty() != null) {
            node.put("difficulty", draw.difficulty().toExact());
        }
        if (draw.each() != Draw.Each.SITTING) {
            node.put("each", Cursor.Names.of(draw.each()));
        }
    }
}
