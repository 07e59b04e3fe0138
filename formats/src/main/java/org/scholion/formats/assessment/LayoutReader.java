package org.scholion.formats.assessment;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.scholion.core.draw.Draw;
import org.scholion.core.item.Alignment;
import org.scholion.core.item.Item;
import org.scholion.core.item.OpenItem;
import org.scholion.core.number.Fraction;
import org.scholion.core.standard.Framework;
import org.scholion.core.total.Award;
import org.scholion.formats.json.Cursor;
import tools.jackson.databind.JsonNode;

/** Reads the layout of a paper; what only makes sense beside its items is looked at last. */
public final class LayoutReader {
    private LayoutReader() {}

    static Layout read(Cursor root) {
        boolean[] shuffle = root.field("shuffle")
                .map(c -> {
                    boolean[] both = {c.flag("items", false), c.flag("options", false)};
                    c.refuseUnknown();
                    return both;
                })
                .orElse(new boolean[2]);
        Map<String, String> instructions = new HashMap<>();
        for (Cursor part : root.list("parts")) {
            part.field("instructions").ifPresent(i -> instructions.put(part.text("id"), i.asText()));
        }
        Map<String, String> drawn = new HashMap<>();
        for (Cursor item : root.list("items")) {
            item.field("draw").ifPresent(d -> drawn.put(item.text("id", ""), d.asText()));
        }
        return new Layout(
                shuffle[0],
                shuffle[1],
                instructions,
                AssessmentReader.all(root.list("draws"), LayoutReader::draw),
                drawn,
                AssessmentReader.all(root.list("trials"), LayoutReader::trial),
                AssessmentReader.all(root.list("awards"), LayoutReader::award),
                AssessmentReader.all(root.list("questions"), LayoutReader::sheet));
    }

    /** The draws of a draft that can be read; the others are named as faults when the whole is read. */
    public static List<Draw> draws(JsonNode whole) {
        return AssessmentReader.all(Cursor.at(whole).list("draws"), LayoutReader::draw);
    }

    private static Draw draw(Cursor c) {
        List<Draw.Quota> quotas = AssessmentReader.all(c.list("quotas"), q -> {
            Draw.Quota quota = new Draw.Quota(q.text("code"), q.whole("take", 1));
            q.refuseUnknown();
            return quota;
        });
        Draw draw = new Draw(
                c.text("id"),
                c.whole("take", 1),
                quotas,
                c.fractionOrNull("difficulty"),
                c.oneOf("each", Draw.Each.class, Draw.Each.SITTING));
        c.refuseUnknown();
        return draw;
    }

    private static Layout.Sheet sheet(Cursor c) {
        Layout.Sheet sheet = new Layout.Sheet(c.text("file"), c.text("name", ""), c.text("type"));
        c.refuseUnknown();
        return sheet;
    }

    private static Award award(Cursor c) {
        Award award = new Award(c.text("id"), c.text("title"), c.fraction("from"), c.textOrNull("words"));
        c.refuseUnknown();
        return award;
    }

    private static Layout.Trial trial(Cursor c) {
        Map<String, JsonNode> answers = new LinkedHashMap<>();
        c.field("answers")
                .ifPresent(a -> a.names().forEach(id -> a.field(id).ifPresent(f -> answers.put(id, f.node()))));
        Layout.Trial trial = new Layout.Trial(c.text("name"), answers);
        c.refuseUnknown();
        return trial;
    }

    /** An item names a draw that is there, a draw finds what it asks for, and what it draws from is worth the same. */
    static void refuseUndrawable(Cursor root, AssessmentFile file) {
        List<Cursor> items = root.list("items");
        for (int i = 0; i < items.size(); i++) {
            Cursor at = items.get(i);
            at.field("draw")
                    .filter(d -> file.layout().draw(d.asText()).isEmpty())
                    .ifPresent(d -> d.fault("no draw is called '" + d.asText() + "'"));
        }
        List<Cursor> draws = root.list("draws");
        Set<String> ids = new HashSet<>();
        for (int i = 0; i < draws.size(); i++) {
            Draw draw = file.layout().draws().get(i);
            if (!ids.add(draw.id())) {
                draws.get(i).fault("the draw '" + draw.id() + "' is there twice");
            }
            draw.lacks(pool(file, draw)).forEach(draws.get(i)::fault);
            refuseUnequal(draws.get(i), file, draw);
        }
    }

    private static void refuseUnequal(Cursor at, AssessmentFile file, Draw draw) {
        if (drawn(file, draw).stream().map(Item::points).distinct().count() > 1) {
            at.fault("the items of a draw must have the same points, or the draws are worth different totals");
        }
    }

    static List<Item> drawn(AssessmentFile file, Draw draw) {
        return file.assessment().scorable().stream()
                .filter(i -> draw.id().equals(file.layout().drawnItems().get(i.id())))
                .toList();
    }

    /** The candidates of a draw: an item counts for its standards and for those above them. */
    public static List<Draw.Candidate> pool(AssessmentFile file, Draw draw) {
        List<Draw.Candidate> pool = new ArrayList<>();
        for (Item item : drawn(file, draw)) {
            Fraction difficulty = file.particulars(item.id()).difficulty();
            pool.add(new Draw.Candidate(item.id(), codes(item, file.frameworks()), difficulty));
        }
        return pool;
    }

    private static Set<String> codes(Item item, List<Framework> frameworks) {
        Set<String> own = new HashSet<>();
        item.standards().stream().map(Alignment::code).forEach(own::add);
        if (item instanceof OpenItem open) {
            own.addAll(open.allCodes());
        }
        Set<String> all = new HashSet<>(own);
        frameworks.forEach(f -> own.forEach(code -> all.addAll(f.withAbove(code))));
        return all;
    }
}
