package org.scholion.server.collect;

import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.scholion.core.item.BlanksItem;
import org.scholion.core.item.ChoiceItem;
import org.scholion.core.item.CorrectionItem;
import org.scholion.core.item.Item;
import org.scholion.core.item.Named;
import org.scholion.core.item.NumberItem;
import org.scholion.core.item.OpenItem;
import org.scholion.core.item.OrderItem;
import org.scholion.core.item.PairsItem;
import org.scholion.core.item.PassageItem;
import org.scholion.core.item.Rubric;
import org.scholion.core.item.WorkingItem;
import org.scholion.formats.assessment.AssessmentFile;
import org.scholion.formats.assessment.Particulars;
import org.scholion.formats.rich.RichText;

/**
 * An item as a student sees it: what is asked and how to answer, and nothing of the key.
 *
 * @param number its number on the paper; 0 for a passage
 * @param part the part of the paper that it stands in; null where there are none
 * @param max how many options may be chosen; 0 where there are none
 * @param withUnit whether a number is asked for with its unit
 * @param given the line to start from, or the sentence to put right; empty where there is none
 * @param left what is to be matched, {@code right} with what; {@code options} of an order are its steps, mixed
 * @param perLeft how many a left thing may be matched with; 0 where nothing is matched
 * @param parts the blanks
 * @param body what is asked with its formatting; empty where the prompt says it all
 * @param picture the picture that places are shown on; empty where there is none
 * @param stem the reading passage that belongs to it
 * @param reasonFor the choice whose reason is asked for
 * @param criteria the criteria with their levels, where the teacher shows them beforehand
 * @param attachments how many pictures and PDFs an answer may have
 */
public record PaperItem(
        String id,
        int number,
        @Nullable String part,
        String kind,
        String prompt,
        String points,
        List<PaperOption> options,
        int max,
        boolean withUnit,
        @Nullable Integer maxWords,
        String given,
        List<PaperOption> left,
        List<PaperOption> right,
        int perLeft,
        List<PaperItem> parts,
        String body,
        String picture,
        String alt,
        String hint,
        @Nullable String stem,
        @Nullable String reasonFor,
        @Nullable Integer minWords,
        List<PaperCriterion> criteria,
        int attachments) {

    public record PaperOption(String id, String text) {}

    /** What a good answer does, level by level. */
    public record PaperCriterion(String title, List<String> levels) {}

    /** These items of a file in this order and under these ids, numbered as they come. */
    static List<PaperItem> of(AssessmentFile file, OwnOrder order, OwnIds ids) {
        List<PaperItem> all = new ArrayList<>();
        int number = 0;
        for (Item item : order.items()) {
            number += item instanceof PassageItem ? 0 : 1;
            Particulars particulars = file.particulars(item.id());
            all.add(of(item.id(), item, item instanceof PassageItem ? 0 : number, particulars, order, ids));
        }
        return all;
    }

    private static PaperItem of(String place, Item item, int number, Particulars p, OwnOrder order, OwnIds ids) {
        return new PaperItem(
                item.id(),
                number,
                item.head().part(),
                item.kind(),
                item.head().prompt(),
                item.points().toExact(),
                options(place, item, order, ids),
                item instanceof ChoiceItem c ? c.max() : 0,
                item instanceof NumberItem n && n.unit() != null,
                item instanceof OpenItem o ? o.maxWords() : null,
                item instanceof WorkingItem w ? w.start() : item instanceof CorrectionItem c ? c.source() : "",
                item instanceof PairsItem x ? named(OwnIds.left(place), x.left(), ids) : List.of(),
                item instanceof PairsItem x ? named(OwnIds.right(place), order.rights(x), ids) : List.of(),
                item instanceof PairsItem x ? x.perLeft() : 0,
                item instanceof BlanksItem b ? parts(b, order, ids) : List.of(),
                p.body() == null ? "" : RichText.clean(p.body()),
                p.picture() == null ? "" : p.picture().file(),
                p.picture() == null ? "" : p.picture().alt(),
                p.hint() == null ? "" : p.hint(),
                p.stem(),
                p.reasonFor(),
                item instanceof OpenItem o ? o.minWords() : null,
                item instanceof OpenItem o && p.rubricShown() ? criteria(o) : List.of(),
                item instanceof OpenItem o ? o.attachments() : 0);
    }

    private static List<PaperItem> parts(BlanksItem item, OwnOrder order, OwnIds ids) {
        return item.parts().stream()
                .map(p -> of(OwnIds.part(item.id(), p.id()), p.item(), 0, Particulars.NONE, order, ids))
                .toList();
    }

    private static List<PaperCriterion> criteria(OpenItem item) {
        return item.criteria().stream()
                .map(c -> new PaperCriterion(
                        c.title(), c.levels().stream().map(Rubric.Level::text).toList()))
                .toList();
    }

    /** What can be chosen, or the steps of an order. */
    private static List<PaperOption> options(String place, Item item, OwnOrder order, OwnIds ids) {
        if (item instanceof ChoiceItem c) {
            return order.options(c).stream()
                    .map(o -> new PaperOption(ids.of(place, o.id()), o.text()))
                    .toList();
        }
        return item instanceof OrderItem o ? named(place, order.steps(o), ids) : List.of();
    }

    /** A thing without words is called by its id, as on paper. */
    private static List<PaperOption> named(String place, List<Named> things, OwnIds ids) {
        return things.stream()
                .map(n -> new PaperOption(ids.of(place, n.id()), n.text().isBlank() ? n.id() : n.text()))
                .toList();
    }
}
