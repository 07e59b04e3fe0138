package org.scholion.formats.bringin;

import java.util.Locale;
import org.scholion.core.text.Normaliser;

/** A student of the roster, with everything a file may call them by. */
public record Known(String id, String given, String family, String number, String email, String section) {
    public String name() {
        return given + " " + family;
    }

    static String form(String cell) {
        return Normaliser.singleSpaced(cell).toLowerCase(Locale.ROOT);
    }
}
