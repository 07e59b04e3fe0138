package org.scholion.formats.assessment;

import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.scholion.core.item.BlanksItem;
import org.scholion.core.item.ChoiceItem;
import org.scholion.core.item.CorrectionItem;
import org.scholion.core.item.Faulty;
import org.scholion.core.item.FormulaItem;
import org.scholion.core.item.Head;
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

/** Reads one item of an assessment file, by its kind. */
final class ItemReader {
    private ItemReader() {}

    /** An item with what stands beside its key. */
    record Read(Item item, Particulars particulars) {}

    static Read read(Cursor c, String language) {
        String kind = c.text("kind");
        Head head = new Head(
                c.text("id"),
                c.textOrNull("part"),
                kind.equals("passage") ? c.fraction("points", Fraction.ZERO) : c.fraction("points"),
                c.text("prompt", ""),
                AssessmentReader.alignments(c));
        Item item = switch (kind) {
            case "choice" -> choice(c, head);
            case "text" -> text(c, head, language);
            case "number" -> number(c, head);
            case "blanks" -> blanks(c, head, language);
            case "pairs" -> pairs(c, head);
            case "order" -> order(c, head);
            case "spot" -> spot(c, head);
            case "correction" -> new CorrectionItem(head, c.text("source"), texts(c, "accept"));
            case "formula" -> formula(c, head);
            case "working" -> working(c, head);
            case "open" -> open(c, head);
            case "passage" -> new PassageItem(head);
            default -> throw new Faulty("kind", "'" + kind + "' is not a kind of item that is known here");
        };
        Particulars particulars = ParticularsReader.read(c);
        c.textOrNull("draw");
        c.refuseUnknown();
        return new Read(item, particulars);
    }

    private static ChoiceItem choice(Cursor c, Head head) {
        List<ChoiceItem.Option> options = AssessmentReader.all(c.list("options"), o -> {
            ChoiceItem.Option option = new ChoiceItem.Option(o.text("id"), o.text("text", ""));
            o.refuseUnknown();
            return option;
        });
        Map<String, Fraction> credits = new LinkedHashMap<>();
        c.field("credits")
                .ifPresent(map -> map.names()
                        .forEach(id -> map.field(id).ifPresent(credit -> credits.put(id, credit.asFraction()))));
        return new ChoiceItem(
                head,
                options,
                texts(c, "key"),
                c.whole("max", 1),
                c.oneOf("rule", ChoiceItem.Rule.class, ChoiceItem.Rule.EXACT),
                credits,
                c.fraction("penalty", Fraction.ZERO),
                wrongInsteadOfDoubt(c, "several"),
                c.flag("negative", false));
    }

    private static TextItem text(Cursor c, Head head, String language) {
        Set<TextItem.Ignore> ignore = EnumSet.noneOf(TextItem.Ignore.class);
        if (c.field("ignore").isPresent()) {
            c.list("ignore").forEach(i -> ignore.add(i.asOneOf(TextItem.Ignore.class, TextItem.Ignore.CASE)));
        } else {
            ignore.addAll(TextItem.USUAL);
        }
        return new TextItem(
                head,
                AssessmentReader.all(c.list("accept"), ItemReader::accepted),
                AssessmentReader.all(c.list("reject"), ItemReader::rejected),
                c.fraction("penalty", Fraction.ZERO),
                ignore,
                c.oneOf("spelling", TextItem.Spelling.class, TextItem.Spelling.NONE),
                c.fraction("spellingCredit", Fraction.ONE),
                wrongInsteadOfDoubt(c, "otherwise"),
                language);
    }

    private static TextItem.Accepted accepted(Cursor c) {
        Fraction credit = c.fraction("credit", Fraction.ONE);
        TextItem.Accepted entry;
        if (c.field("pattern").isPresent()) {
            entry = new TextItem.Pattern(c.text("pattern"), credit);
        } else if (c.field("words").isPresent()) {
            entry = c.field("words").map(w -> words(w, credit)).orElseThrow();
        } else {
            entry = new TextItem.SameText(c.text("text"), credit, c.textOrNull("note"));
        }
        c.refuseUnknown();
        return entry;
    }

    private static TextItem.Words words(Cursor c, Fraction credit) {
        TextItem.Words words = new TextItem.Words(texts(c, "all"), texts(c, "any"), texts(c, "none"), credit);
        c.refuseUnknown();
        return words;
    }

    private static TextItem.Rejected rejected(Cursor c) {
        TextItem.Rejected entry = new TextItem.Rejected(c.text("text"), c.textOrNull("note"));
        c.refuseUnknown();
        return entry;
    }

    private static NumberItem number(Cursor c, Head head) {
        String decimal = c.text("decimal", ".");
        NumberItem.UnitRule unit = c.field("unit")
                .map(u -> {
                    NumberItem.UnitRule rule = new NumberItem.UnitRule(
                            u.text("expect"),
                            u.flag("convert", true),
                            u.fraction("missing", Fraction.ZERO),
                            u.fraction("wrong", Fraction.ZERO));
                    u.refuseUnknown();
                    return rule;
                })
                .orElse(null);
        NumberItem.Figures figures = c.field("figures")
                .map(f -> {
                    NumberItem.Figures rule =
                            new NumberItem.Figures(f.whole("count", 0), f.fraction("otherwise", Fraction.ZERO));
                    f.refuseUnknown();
                    return rule;
                })
                .orElse(null);
        return new NumberItem(
                head,
                AssessmentReader.all(c.list("accept"), ItemReader::band),
                decimal.length() == 1 ? decimal.charAt(0) : '?',
                unit,
                figures,
                c.fraction("penalty", Fraction.ZERO),
                wrongInsteadOfDoubt(c, "otherwise"));
    }

    private static NumberItem.Accepted band(Cursor c) {
        Fraction credit = c.fraction("credit", Fraction.ONE);
        NumberItem.Accepted entry = c.field("value").isPresent()
                ? NumberItem.Accepted.around(c.fraction("value"), within(c), credit)
                : NumberItem.Accepted.between(c.fraction("from"), c.fraction("to"), credit);
        c.refuseUnknown();
        return entry;
    }

    private static @Nullable String within(Cursor c) {
        return c.field("within")
                .map(w ->
                        w.node().isIntegralNumber() ? w.node().bigIntegerValue().toString() : w.asText())
                .orElse(null);
    }

    private static BlanksItem blanks(Cursor c, Head head, String language) {
        List<BlanksItem.Part> parts = AssessmentReader.all(c.list("parts"), p -> blank(p, language));
        List<List<String>> anyOrder = c.list("anyOrder").stream()
                .map(group -> group.elements().stream().map(Cursor::asText).toList())
                .toList();
        return new BlanksItem(head, parts, isExact(c), anyOrder);
    }

    private static boolean isExact(Cursor c) {
        String rule = c.text("rule", "");
        if (!rule.isEmpty() && !rule.equals("exact")) {
            c.field("rule")
                    .ifPresent(f -> f.fault("“" + rule
                            + "” is not a scoring rule here; use exact, or leave it out to weight the blanks"));
        }
        return rule.equals("exact");
    }

    /** A part has its id, its weight and the key of its kind; points are the whole item's. */
    private static BlanksItem.Part blank(Cursor c, String language) {
        Head head = new Head(c.text("id"), null, Fraction.ONE, c.text("prompt", ""), AssessmentReader.alignments(c));
        Fraction weight = c.fraction("weight", Fraction.ONE);
        String kind = c.text("kind");
        Item item = switch (kind) {
            case "text" -> text(c, head, language);
            case "number" -> number(c, head);
            case "choice" -> choice(c, head);
            default -> throw new Faulty("kind", "a blank is a text, a number or a choice of one");
        };
        c.refuseUnknown();
        return new BlanksItem.Part(item, weight);
    }

    private static PairsItem pairs(Cursor c, Head head) {
        List<PairsItem.Pair> key = AssessmentReader.all(c.list("key"), ItemReader::pair);
        return new PairsItem(
                head,
                named(c, "left"),
                named(c, "right"),
                key,
                c.oneOf("rule", PairsItem.Rule.class, PairsItem.Rule.EACH),
                c.whole("perLeft", 1),
                c.wholeOrNull("perRight"));
    }

    static PairsItem.Pair pair(Cursor c) {
        List<Cursor> two = c.elements();
        if (two.size() != 2) {
            c.fault("a pair is a left and a right id, [\"l1\", \"r1\"]");
            return new PairsItem.Pair("?", "?");
        }
        return new PairsItem.Pair(two.get(0).asText(), two.get(1).asText());
    }

    private static List<Named> named(Cursor c, String name) {
        return AssessmentReader.all(c.list(name), n -> {
            Named named = new Named(n.text("id"), n.text("text", ""));
            n.refuseUnknown();
            return named;
        });
    }

    private static OrderItem order(Cursor c, Head head) {
        return new OrderItem(
                head, named(c, "tokens"), texts(c, "key"), c.oneOf("rule", OrderItem.Rule.class, OrderItem.Rule.EXACT));
    }

    private static SpotItem spot(Cursor c, Head head) {
        return new SpotItem(
                head,
                AssessmentReader.all(c.list("regions"), ItemReader::region),
                texts(c, "key"),
                c.oneOf("rule", SpotItem.Rule.class, SpotItem.Rule.HITS),
                c.fraction("aspect", Fraction.ONE));
    }

    private static SpotItem.Region region(Cursor c) {
        SpotItem.Shape shape = c.field("circle")
                .<SpotItem.Shape>map(f -> {
                    List<Fraction> n = numbers(f, 3);
                    return new SpotItem.Circle(new SpotItem.Point(n.get(0), n.get(1)), n.get(2));
                })
                .or(() -> c.field("rect").map(f -> {
                    List<Fraction> n = numbers(f, 4);
                    return new SpotItem.Rect(n.get(0), n.get(1), n.get(2), n.get(3));
                }))
                .or(() -> c.field("polygon")
                        .map(f -> new SpotItem.Polygon(
                                f.elements().stream().map(ItemReader::point).toList())))
                .orElseThrow(() -> new Faulty("", "a region is a circle, a rect or a polygon"));
        SpotItem.Region region = new SpotItem.Region(c.text("id"), shape);
        c.refuseUnknown();
        return region;
    }

    static SpotItem.Point point(Cursor c) {
        List<Fraction> n = numbers(c, 2);
        return new SpotItem.Point(n.get(0), n.get(1));
    }

    /** So many exact numbers; ones stand in for what could not be read. */
    private static List<Fraction> numbers(Cursor c, int count) {
        List<Cursor> elements = c.elements();
        if (elements.size() != count) {
            c.fault(count + " numbers are expected here");
            return java.util.Collections.nCopies(count, Fraction.ONE);
        }
        return elements.stream().map(Cursor::asFraction).toList();
    }

    private static FormulaItem formula(Cursor c, Head head) {
        return new FormulaItem(
                head,
                texts(c, "accept"),
                texts(c, "variables"),
                texts(c, "constants"),
                texts(c, "functions"),
                c.oneOf("form", FormulaItem.Form.class, FormulaItem.Form.ANY),
                c.fraction("formCredit", Fraction.ZERO));
    }

    /** Where one of the two shares is missing it is what the other leaves; where both are, each is a half. */
    private static WorkingItem working(Cursor c, Head head) {
        Fraction steps = c.fractionOrNull("steps");
        Fraction result = c.fractionOrNull("result");
        if (steps == null) {
            steps = result == null ? Fraction.HALF : Fraction.ONE.minus(result);
        }
        return new WorkingItem(
                head,
                c.text("start"),
                texts(c, "accept"),
                texts(c, "variables"),
                steps,
                result == null ? Fraction.ONE.minus(steps) : result,
                c.flag("followThrough", false));
    }

    private static OpenItem open(Cursor c, Head head) {
        Rubric rubric = c.field("rubric").map(ItemReader::rubric).orElse(null);
        Integer[] words = c.field("words")
                .map(w -> {
                    Integer[] bounds = {w.wholeOrNull("min"), w.wholeOrNull("max")};
                    w.refuseUnknown();
                    return bounds;
                })
                .orElse(new Integer[2]);
        Integer attachments = c.wholeOrNull("attachments");
        return new OpenItem(
                head, rubric, words[0], words[1], c.textOrNull("mastery"), attachments == null ? 0 : attachments);
    }

    private static Rubric rubric(Cursor c) {
        Rubric rubric = new Rubric(AssessmentReader.all(c.list("criteria"), ItemReader::criterion));
        c.refuseUnknown();
        return rubric;
    }

    private static Rubric.Criterion criterion(Cursor c) {
        Rubric.Criterion criterion = new Rubric.Criterion(
                c.text("id"),
                c.text("title", ""),
                c.fraction("weight", Fraction.ONE),
                AssessmentReader.all(c.list("levels"), l -> {
                    Rubric.Level level = new Rubric.Level(l.text("id"), l.fraction("points"), l.text("text", ""));
                    l.refuseUnknown();
                    return level;
                }),
                AssessmentReader.alignments(c));
        c.refuseUnknown();
        return criterion;
    }

    private static boolean wrongInsteadOfDoubt(Cursor c, String name) {
        String written = c.text(name, "settle");
        if (!written.equals("settle") && !written.equals("wrong")) {
            c.field(name).ifPresent(f -> f.fault("'" + written + "' is not one of settle, wrong"));
        }
        return written.equals("wrong");
    }

    private static List<String> texts(Cursor c, String name) {
        return c.list(name).stream().map(Cursor::asText).toList();
    }
}
