package org.scholion.formats.bringin;

import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;
import org.scholion.core.text.Normaliser;

/** A student of the roster, with everything a file may call them by. */
public record Known(String id, String given, String family, String number, String email, String section) {
    public String name() {
        return given + " " + family;
    }

    /** The forms in which a cell may name this student. */
    List<String> calledBy() {
        return Stream.of(number, email, given + " " + family, family + ", " + given, family + " " + given)
                .filter(s -> !s.isBlank())
                .map(Known::form)
                .toList();
    }

    static String form(String cell) {
        return Normaliser.singleSpaced(cell).toLowerCase(Locale.ROOT);
    }
}
