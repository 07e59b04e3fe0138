package org.scholion.formats.assessment;

import java.util.List;
import org.scholion.core.answer.Answer;
import org.scholion.core.item.ChoiceItem;
import org.scholion.core.item.Item;
import org.scholion.core.item.OpenItem;
import org.scholion.core.item.PassageItem;
import org.scholion.formats.json.Cursor;

/** Ties between the items of a paper: each has to lead to an item of the right kind. */
record Ties(AssessmentFile file) {

    void refuseLost(List<Cursor> places) {
        List<Item> items = file.assessment().items();
        for (int i = 0; i < items.size(); i++) {
            refuseLost(
                    places.get(i), items.get(i), file.particulars(items.get(i).id()));
        }
    }

    private void refuseLost(Cursor at, Item item, Particulars p) {
        if (p.stem() != null && !is(p.stem(), PassageItem.class)) {
            fault(at, "stem", "no reading passage of this paper is called '" + p.stem() + "'");
        }
        if (p.reasonFor() != null && !(item instanceof OpenItem && is(p.reasonFor(), ChoiceItem.class))) {
            fault(at, "reasonFor", "an open item asks for the reason of a choice; '" + p.reasonFor() + "' is none");
        }
        for (String id : p.last()) {
            if (!(item instanceof ChoiceItem c) || c.options().stream().noneMatch(o -> o.id().equals(id))) {
                fault(at, "last", "no option is called '" + id + "'");
            }
        }
        refuseUnreadable(at, item);
    }

    private static void refuseUnreadable(Cursor at, Item item) {
        for (Cursor example : at.list("examples")) {
            example.field("answer").ifPresent(answer -> {
                Answer ignored = AnswerJson.read(item, answer);
            });
        }
    }

    private boolean is(String id, Class<? extends Item> kind) {
        return file.assessment().item(id).filter(kind::isInstance).isPresent();
    }

    private static void fault(Cursor at, String field, String message) {
        at.field(field).ifPresent(f -> f.fault(message));
    }
}
