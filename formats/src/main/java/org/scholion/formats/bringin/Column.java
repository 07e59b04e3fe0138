package org.scholion.formats.bringin;

import org.jspecify.annotations.Nullable;

/**
 * What a column of a brought-in table is taken for, and why.
 *
 * @param item the item it answers, when it is one
 */
public record Column(
        int index, String name, Use use, @Nullable String item, String because) {
    /** What a column can be. */
    public enum Use {
        STUDENT,
        ITEM,
        LEFT_OUT
    }
}
