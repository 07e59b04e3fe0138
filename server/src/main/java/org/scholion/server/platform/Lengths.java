package org.scholion.server.platform;

import java.util.List;
import org.scholion.formats.json.Fault;
import org.scholion.formats.json.Texts;
import tools.jackson.databind.JsonNode;

/** How long texts of people may be. */
public final class Lengths {
    private Lengths() {}

    /** The text, if it is not too long; a space where a character cannot be printed. */
    public static String atMost(String place, String text, int most) {
        if (text.length() > most) {
            throw Refused.invalid(
                    place, "this has " + text.length() + " characters; at most " + most + " are kept. Shorten it.");
        }
        return Texts.printable(text);
    }

    /** A name that people read in lists: not empty, not long, in one line. */
    public static String name(String place, String text) {
        String name = Texts.printable(text).replaceAll("\\s+", " ").strip();
        if (name.isEmpty()) {
            throw Refused.invalid(place, "give it a name");
        }
        return atMost(place, name, Texts.LONGEST_NAME);
    }

    /** A document of which every text can be kept and printed, and every name is of a sensible length. */
    public static JsonNode document(JsonNode document) {
        List<Fault> faults = Texts.faults(document);
        if (!faults.isEmpty()) {
            throw Refused.invalid(faults);
        }
        return document;
    }
}
