package org.scholion.formats.bringin;

import java.util.List;
import java.util.Locale;
import org.jspecify.annotations.Nullable;
import org.scholion.core.item.Item;
import org.scholion.core.text.Normaliser;

/** The names by which a column may mean an item: its number in the paper, its id, or its text. */
final class ItemNames {
    private static final Normaliser LOOSE = new Normaliser(true, true, true, true, List.of());

    private ItemNames() {}

    static @Nullable String because(String column, Item item, int number) {
        String name = LOOSE.apply(column);
        String lower = column.strip().toLowerCase(Locale.ROOT);
        if (lower.equals(item.id().toLowerCase(Locale.ROOT))) {
            return "its name is the id of question " + number;
        }
        if (name.equals("" + number) || name.equals("q" + number) || name.equals("question " + number)) {
            return "its name is the number of the question";
        }
        return !item.head().prompt().isBlank()
                        && name.equals(LOOSE.apply(item.head().prompt()))
                ? "its name is the text of question " + number
                : null;
    }
}
