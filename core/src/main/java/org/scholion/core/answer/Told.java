package org.scholion.core.answer;

import java.util.List;
import java.util.stream.Collectors;
import org.scholion.core.item.BlanksItem;
import org.scholion.core.item.ChoiceItem;
import org.scholion.core.item.Item;
import org.scholion.core.item.Named;
import org.scholion.core.item.OrderItem;
import org.scholion.core.item.PairsItem;
import org.scholion.core.item.SpotItem;
import org.scholion.core.number.Fraction;

/** An answer as a person reads it: in the item's own words instead of its ids. */
public final class Told {
    private static final Fraction HUNDRED = Fraction.of(100);

    private Told() {}

    /** Ids that the item does not know stand as they are. */
    public static String in(Item item, Answer answer) {
        if (item instanceof ChoiceItem choice && answer instanceof Answer.Chosen chosen) {
            return choice.options().stream()
                    .filter(o -> chosen.options().contains(o.id()))
                    .map(o -> o.text().isBlank() ? o.id() : o.text())
                    .collect(Collectors.joining(" + "));
        }
        if (item instanceof PairsItem pairs && answer instanceof Answer.Paired paired) {
            return paired.pairs().stream()
                    .map(p -> name(pairs.left(), p.left()) + " → " + name(pairs.right(), p.right()))
                    .collect(Collectors.joining("; "));
        }
        if (item instanceof OrderItem order && answer instanceof Answer.Ordered ordered) {
            return ordered.ids().stream().map(id -> name(order.tokens(), id)).collect(Collectors.joining(" › "));
        }
        if (item instanceof BlanksItem blanks && answer instanceof Answer.Parts parts) {
            return blanks.parts().stream()
                    .map(p -> in(p.item(), parts.parts().getOrDefault(p.id(), Answer.NONE)))
                    .filter(said -> !said.isBlank())
                    .collect(Collectors.joining(" · "));
        }
        if (answer instanceof Answer.Pointed pointed) {
            return pointed.points().stream().map(Told::place).collect(Collectors.joining("; "));
        }
        if (answer instanceof Answer.Written written && Spaces.only(written.text())) {
            int attachments = written.attachments().size();
            return attachments == 0 ? written.text() : attachments == 1 ? "1 attachment" : attachments + " attachments";
        }
        return answer.shown();
    }

    /** From the left and from the top, in hundredths of the picture. */
    private static String place(SpotItem.Point p) {
        return p.x().times(HUNDRED).toDecimal(0) + "%, " + p.y().times(HUNDRED).toDecimal(0) + "%";
    }

    /** What something with this id is called; the id where it has no words. */
    static String name(List<Named> all, String id) {
        return all.stream()
                .filter(n -> n.id().equals(id) && !n.text().isBlank())
                .map(Named::text)
                .findFirst()
                .orElse(id);
    }
}
