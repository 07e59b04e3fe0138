package org.scholion.formats.assessment;

import java.util.Collection;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.scholion.core.item.Alignment;
import org.scholion.core.item.BlanksItem;
import org.scholion.core.item.ChoiceItem;
import org.scholion.core.item.CorrectionItem;
import org.scholion.core.item.FormulaItem;
import org.scholion.core.item.Item;
import org.scholion.core.item.Named;
import org.scholion.core.item.NumberItem;
import org.scholion.core.item.OpenItem;
import org.scholion.core.item.OrderItem;
import org.scholion.core.item.PairsItem;
import org.scholion.core.item.PassageItem;
import org.scholion.core.item.Rubric;
import org.scholion.core.item.SpotItem;
import org.scholion.core.item.TextItem;
import org.scholion.core.item.WorkingItem;
import org.scholion.core.number.Fraction;
import org.scholion.formats.json.Cursor;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** Writes one item; what is as it is by default is left out. */
record ItemWriter(ObjectNode node) implements Item.ByKind<ObjectNode> {

    static ObjectNode write(Item item) {
        ObjectNode node = JsonNodeFactory.instance.objectNode().put("id", item.id());
        if (item.head().part() != null) {
            node.put("part", item.head().part());
        }
        node.put("kind", item.kind());
        number(node, "points", item.points(), item instanceof PassageItem ? Fraction.ZERO : null);
        if (!item.head().prompt().isEmpty()) {
            node.put("prompt", item.head().prompt());
        }
        item.read(new ItemWriter(node));
        standards(node, item.head().standards());
        return node;
    }

    /** A part of blanks has a weight in the place of points. */
    private static ObjectNode part(BlanksItem.Part part) {
        ObjectNode node = JsonNodeFactory.instance
                .objectNode()
                .put("id", part.id())
                .put("kind", part.item().kind());
        if (!part.item().head().prompt().isEmpty()) {
            node.put("prompt", part.item().head().prompt());
        }
        part.item().read(new ItemWriter(node));
        number(node, "weight", part.weight(), Fraction.ONE);
        standards(node, part.item().head().standards());
        return node;
    }

    static void number(ObjectNode node, String name, Fraction value, @Nullable Fraction usual) {
        if (!value.equals(usual)) {
            node.put(name, value.toExact());
        }
    }

    static void standards(ObjectNode node, List<Alignment> standards) {
        if (!standards.isEmpty()) {
            ArrayNode list = node.putArray("standards");
            standards.forEach(a -> number(list.addObject().put("code", a.code()), "weight", a.weight(), Fraction.ONE));
        }
    }

    private void texts(String name, Collection<String> texts) {
        if (!texts.isEmpty()) {
            ArrayNode list = node.putArray(name);
            texts.forEach(list::add);
        }
    }

    private void oneOf(String name, Enum<?> value, Enum<?> usual) {
        if (value != usual) {
            node.put(name, Cursor.Names.of(value));
        }
    }

    private void named(String name, List<Named> things) {
        ArrayNode list = node.putArray(name);
        things.forEach(n -> text(list.addObject().put("id", n.id()), "text", n.text()));
    }

    private static void text(ObjectNode node, String name, @Nullable String text) {
        if (text != null && !text.isEmpty()) {
            node.put(name, text);
        }
    }

    @Override
    public ObjectNode choice(ChoiceItem item) {
        ArrayNode options = node.putArray("options");
        item.options().forEach(o -> text(options.addObject().put("id", o.id()), "text", o.text()));
        texts("key", item.key());
        if (item.max() != 1) {
            node.put("max", item.max());
        }
        oneOf("rule", item.rule(), ChoiceItem.Rule.EXACT);
        if (!item.credits().isEmpty()) {
            ObjectNode credits = node.putObject("credits");
            item.options().stream()
                    .filter(o -> item.credits().containsKey(o.id()))
                    .forEach(o -> number(credits, o.id(), item.credits().getOrDefault(o.id(), Fraction.ZERO), null));
        }
        number(node, "penalty", item.penalty(), Fraction.ZERO);
        wrong("several", item.severalWrong());
        if (item.negative()) {
            node.put("negative", true);
        }
        return node;
    }

    private void wrong(String name, boolean isWrong) {
        if (isWrong) {
            node.put(name, "wrong");
        }
    }

    @Override
    public ObjectNode text(TextItem item) {
        ArrayNode accept = node.putArray("accept");
        item.accept().forEach(a -> accepted(accept.addObject(), a));
        if (!item.reject().isEmpty()) {
            ArrayNode reject = node.putArray("reject");
            item.reject().forEach(r -> text(reject.addObject().put("text", r.text()), "note", r.note()));
        }
        number(node, "penalty", item.penalty(), Fraction.ZERO);
        if (!item.ignore().equals(TextItem.USUAL)) {
            ArrayNode ignore = node.putArray("ignore");
            item.ignore().stream().sorted().forEach(i -> ignore.add(Cursor.Names.of(i)));
        }
        oneOf("spelling", item.spelling(), TextItem.Spelling.NONE);
        number(node, "spellingCredit", item.spellingCredit(), Fraction.ONE);
        wrong("otherwise", item.otherwiseWrong());
        return node;
    }

    private static void accepted(ObjectNode entry, TextItem.Accepted accepted) {
        if (accepted instanceof TextItem.SameText same) {
            text(entry.put("text", same.text()), "note", same.note());
        } else if (accepted instanceof TextItem.Pattern pattern) {
            entry.put("pattern", pattern.pattern());
        } else if (accepted instanceof TextItem.Words words) {
            ItemWriter lists = new ItemWriter(entry.putObject("words"));
            lists.texts("all", words.all());
            lists.texts("any", words.any());
            lists.texts("none", words.none());
        }
        number(entry, "credit", accepted.credit(), Fraction.ONE);
    }

    @Override
    public ObjectNode number(NumberItem item) {
        ArrayNode accept = node.putArray("accept");
        for (NumberItem.Accepted entry : item.accept()) {
            ObjectNode band = accept.addObject();
            if (entry.around() != null) {
                text(
                        band.put("value", entry.around().value().toExact()),
                        "within",
                        entry.around().within());
            } else {
                band.put("from", entry.from().toExact()).put("to", entry.to().toExact());
            }
            number(band, "credit", entry.credit(), Fraction.ONE);
        }
        if (item.decimal() != '.') {
            node.put("decimal", String.valueOf(item.decimal()));
        }
        if (item.unit() != null) {
            ObjectNode unit = node.putObject("unit").put("expect", item.unit().expect());
            if (!item.unit().convert()) {
                unit.put("convert", false);
            }
            number(unit, "missing", item.unit().missing(), Fraction.ZERO);
            number(unit, "wrong", item.unit().wrong(), Fraction.ZERO);
        }
        if (item.figures() != null) {
            ObjectNode figures =
                    node.putObject("figures").put("count", item.figures().count());
            number(figures, "otherwise", item.figures().otherwise(), Fraction.ZERO);
        }
        number(node, "penalty", item.penalty(), Fraction.ZERO);
        wrong("otherwise", item.otherwiseWrong());
        return node;
    }

    @Override
    public ObjectNode blanks(BlanksItem item) {
        ArrayNode parts = node.putArray("parts");
        item.parts().forEach(p -> parts.add(part(p)));
        if (item.exact()) {
            node.put("rule", "exact");
        }
        if (!item.anyOrder().isEmpty()) {
            ArrayNode groups = node.putArray("anyOrder");
            item.anyOrder().forEach(g -> g.forEach(groups.addArray()::add));
        }
        return node;
    }

    @Override
    public ObjectNode pairs(PairsItem item) {
        named("left", item.left());
        named("right", item.right());
        ArrayNode key = node.putArray("key");
        item.key().forEach(p -> key.addArray().add(p.left()).add(p.right()));
        oneOf("rule", item.rule(), PairsItem.Rule.EACH);
        if (item.perLeft() != 1) {
            node.put("perLeft", item.perLeft());
        }
        if (item.perRight() != null) {
            node.put("perRight", item.perRight());
        }
        return node;
    }

    @Override
    public ObjectNode order(OrderItem item) {
        named("tokens", item.tokens());
        texts("key", item.key());
        oneOf("rule", item.rule(), OrderItem.Rule.EXACT);
        return node;
    }

    @Override
    public ObjectNode spot(SpotItem item) {
        ArrayNode regions = node.putArray("regions");
        item.regions().forEach(r -> shape(regions.addObject().put("id", r.id()), r.shape()));
        texts("key", item.key());
        oneOf("rule", item.rule(), SpotItem.Rule.HITS);
        number(node, "aspect", item.aspect(), Fraction.ONE);
        return node;
    }

    private static void shape(ObjectNode region, SpotItem.Shape shape) {
        if (shape instanceof SpotItem.Circle c) {
            numbers(region.putArray("circle"), c.centre().x(), c.centre().y(), c.radius());
        } else if (shape instanceof SpotItem.Rect r) {
            numbers(region.putArray("rect"), r.left(), r.top(), r.right(), r.bottom());
        } else if (shape instanceof SpotItem.Polygon p) {
            ArrayNode corners = region.putArray("polygon");
            p.corners().forEach(c -> numbers(corners.addArray(), c.x(), c.y()));
        }
    }

    private static void numbers(ArrayNode list, Fraction... values) {
        for (Fraction value : values) {
            list.add(value.toExact());
        }
    }

    @Override
    public ObjectNode correction(CorrectionItem item) {
        node.put("source", item.source());
        texts("accept", item.accept());
        return node;
    }

    @Override
    public ObjectNode formula(FormulaItem item) {
        texts("accept", item.accept());
        texts("variables", item.variables());
        texts("constants", item.constants());
        texts("functions", item.functions());
        oneOf("form", item.form(), FormulaItem.Form.ANY);
        number(node, "formCredit", item.formCredit(), Fraction.ZERO);
        return node;
    }

    @Override
    public ObjectNode working(WorkingItem item) {
        node.put("start", item.start());
        texts("accept", item.accept());
        texts("variables", item.variables());
        node.put("steps", item.steps().toExact()).put("result", item.result().toExact());
        if (item.followThrough()) {
            node.put("followThrough", true);
        }
        return node;
    }

    @Override
    public ObjectNode open(OpenItem item) {
        if (item.rubric() != null) {
            ArrayNode criteria = node.putObject("rubric").putArray("criteria");
            item.rubric().criteria().forEach(c -> criterion(criteria.addObject(), c));
        }
        if (item.minWords() != null || item.maxWords() != null) {
            ObjectNode words = node.putObject("words");
            if (item.minWords() != null) {
                words.put("min", item.minWords());
            }
            if (item.maxWords() != null) {
                words.put("max", item.maxWords());
            }
        }
        text(node, "mastery", item.mastery());
        if (item.attachments() > 0) {
            node.put("attachments", item.attachments());
        }
        return node;
    }

    private static void criterion(ObjectNode node, Rubric.Criterion c) {
        text(node.put("id", c.id()), "title", c.title());
        number(node, "weight", c.weight(), Fraction.ONE);
        ArrayNode levels = node.putArray("levels");
        c.levels()
                .forEach(l -> text(
                        levels.addObject()
                                .put("id", l.id())
                                .put("points", l.points().toExact()),
                        "text",
                        l.text()));
        standards(node, c.standards());
    }

    @Override
    public ObjectNode passage(PassageItem item) {
        return node;
    }
}
