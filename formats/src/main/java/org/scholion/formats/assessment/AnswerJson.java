package org.scholion.formats.assessment;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.scholion.core.answer.Answer;
import org.scholion.core.item.BlanksItem;
import org.scholion.core.item.ChoiceItem;
import org.scholion.core.item.CorrectionItem;
import org.scholion.core.item.FormulaItem;
import org.scholion.core.item.Item;
import org.scholion.core.item.NumberItem;
import org.scholion.core.item.OpenItem;
import org.scholion.core.item.OrderItem;
import org.scholion.core.item.PairsItem;
import org.scholion.core.item.PassageItem;
import org.scholion.core.item.SpotItem;
import org.scholion.core.item.TextItem;
import org.scholion.core.item.WorkingItem;
import org.scholion.core.number.Fraction;
import org.scholion.formats.json.Cursor;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** Answers in the form that the response file gives them, by the kind of their item. */
public final class AnswerJson {
    private static final JsonNodeFactory NODES = JsonNodeFactory.instance;

    private AnswerJson() {}

    /** The answer at this place; faults are left with the cursor. A missing one is {@link Answer#NONE}. */
    public static Answer read(Item item, @Nullable Cursor at) {
        return at == null || at.node().isNull() ? Answer.NONE : item.read(new ByKind(at));
    }

    public static JsonNode write(Answer answer) {
        if (answer instanceof Answer.Chosen chosen) {
            ArrayNode list = NODES.arrayNode();
            chosen.options().forEach(list::add);
            return list;
        }
        if (answer instanceof Answer.Parts parts) {
            ObjectNode node = NODES.objectNode();
            parts.parts().forEach((id, part) -> node.set(id, write(part)));
            return node;
        }
        if (answer instanceof Answer.Paired paired) {
            ArrayNode list = NODES.arrayNode();
            paired.pairs().forEach(p -> list.addArray().add(p.left()).add(p.right()));
            return list;
        }
        if (answer instanceof Answer.Ordered ordered) {
            ArrayNode list = NODES.arrayNode();
            ordered.ids().forEach(list::add);
            return list;
        }
        if (answer instanceof Answer.Lines lines) {
            ArrayNode list = NODES.arrayNode();
            lines.lines().forEach(list::add);
            return list;
        }
        if (answer instanceof Answer.Pointed pointed) {
            ArrayNode list = NODES.arrayNode();
            pointed.points().forEach(p -> list.addArray().add(p.x().toExact()).add(p.y().toExact()));
            return list;
        }
        if (answer instanceof Answer.Written written && !isPlain(written)) {
            ObjectNode node = NODES.objectNode().put("text", written.text());
            if (written.levels() != null) {
                ObjectNode levels = node.putObject("levels");
                written.levels().forEach(levels::put);
            }
            if (written.points() != null) {
                node.put("points", written.points().toExact());
            }
            if (!written.attachments().isEmpty()) {
                written.attachments().forEach(node.putArray("attachments")::add);
            }
            return node;
        }
        return NODES.stringNode(answer instanceof Answer.Written w ? w.text() : answer.shown());
    }

    private static boolean isPlain(Answer.Written written) {
        return written.levels() == null
                && written.points() == null
                && written.attachments().isEmpty();
    }

    private record ByKind(Cursor at) implements Item.ByKind<Answer> {
        @Override
        public Answer choice(ChoiceItem item) {
            Set<String> chosen = new LinkedHashSet<>();
            for (Cursor id : at.elements()) {
                String option = id.asText();
                if (item.options().stream().noneMatch(o -> o.id().equals(option))) {
                    id.fault("no option is called '" + option + "'");
                } else if (!chosen.add(option)) {
                    id.fault("option '" + option + "' is chosen twice");
                }
            }
            if (item.max() > 1 && chosen.size() > item.max()) {
                at.fault(chosen.size() + " chosen, at most " + item.max() + " are allowed");
            }
            return new Answer.Chosen(chosen);
        }

        @Override
        public Answer text(TextItem item) {
            return new Answer.Typed(at.asText());
        }

        @Override
        public Answer number(NumberItem item) {
            return new Answer.Typed(at.asText());
        }

        @Override
        public Answer blanks(BlanksItem item) {
            Map<String, Answer> parts = new LinkedHashMap<>();
            for (String id : at.names()) {
                Cursor part = at.field(id).orElse(null);
                if (part == null) {
                    continue;
                }
                item.part(id)
                        .ifPresentOrElse(
                                p -> parts.put(id, AnswerJson.read(p.item(), part)),
                                () -> part.fault("no part is called '" + id + "'"));
            }
            return new Answer.Parts(parts);
        }

        @Override
        public Answer pairs(PairsItem item) {
            Set<PairsItem.Pair> pairs = new LinkedHashSet<>();
            for (Cursor c : at.elements()) {
                PairsItem.Pair pair = ItemReader.pair(c);
                boolean known = item.left().stream().anyMatch(n -> n.id().equals(pair.left()))
                        && item.right().stream().anyMatch(n -> n.id().equals(pair.right()));
                if (!known) {
                    c.fault("'" + pair + "' is no pair of this item's ids");
                } else if (!pairs.add(pair)) {
                    c.fault("the pair '" + pair + "' is there twice");
                }
            }
            item.over(pairs).ifPresent(at::fault);
            return new Answer.Paired(pairs);
        }

        @Override
        public Answer order(OrderItem item) {
            List<String> ids = new ArrayList<>();
            for (Cursor c : at.elements()) {
                String id = c.asText();
                if (item.tokens().stream().noneMatch(n -> n.id().equals(id))) {
                    c.fault("nothing is called '" + id + "'");
                } else if (ids.contains(id)) {
                    c.fault("'" + id + "' is in the order twice");
                } else {
                    ids.add(id);
                }
            }
            return new Answer.Ordered(ids);
        }

        @Override
        public Answer spot(SpotItem item) {
            return new Answer.Pointed(
                    at.elements().stream().map(ItemReader::point).toList());
        }

        @Override
        public Answer correction(CorrectionItem item) {
            return new Answer.Typed(at.asText());
        }

        @Override
        public Answer formula(FormulaItem item) {
            return new Answer.Typed(at.asText());
        }

        @Override
        public Answer working(WorkingItem item) {
            return new Answer.Lines(at.elements().stream().map(Cursor::asText).toList());
        }

        @Override
        public Answer open(OpenItem item) {
            if (at.node().isString()) {
                return Answer.Written.of(at.asText());
            }
            String text = at.text("text", "");
            Map<String, String> levels = at.field("levels").map(ByKind::levels).orElse(null);
            Fraction points = at.fractionOrNull("points");
            List<String> attachments =
                    at.list("attachments").stream().map(Cursor::asText).toList();
            at.refuseUnknown();
            return new Answer.Written(text, levels, points, attachments);
        }

        private static Map<String, String> levels(Cursor c) {
            Map<String, String> levels = new LinkedHashMap<>();
            c.names().forEach(id -> c.field(id).ifPresent(level -> levels.put(id, level.asText())));
            return levels;
        }

        @Override
        public Answer passage(PassageItem item) {
            at.fault("a reading passage is not answered");
            return Answer.NONE;
        }
    }
}
