package org.scholion.core.measure;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/** Why an item should be looked at; never acted on by itself. */
public enum Flag {
    NEGATIVE("sorts the wrong way"),
    WEAK("sorts weakly"),
    EASY("nearly all right"),
    HARD("few right"),
    BLANK("often blank");

    private final String shown;

    Flag(String shown) {
        this.shown = shown;
    }

    public String shown() {
        return shown;
    }

    public String word() {
        return name().toLowerCase(Locale.ROOT);
    }

    /**
     * The flags of an item.
     *
     * @param guess what guessing alone would score on a choice of one (1 / options); 0 for other kinds
     */
    public static List<Flag> of(ItemMeasures m, double guess) {
        List<Flag> flags = new ArrayList<>();
        Double r = m.itemRest().value();
        Double p = m.difficulty().value();
        Double blank = m.blank().value();
        if (r != null && r < 0.15) {
            flags.add(r < 0 ? NEGATIVE : WEAK);
        }
        if (p != null && p > 0.95) {
            flags.add(EASY);
        }
        if (p != null && (p < 0.25 || p < guess)) {
            flags.add(HARD);
        }
        if (blank != null && blank > 0.10) {
            flags.add(BLANK);
        }
        return flags;
    }
}
