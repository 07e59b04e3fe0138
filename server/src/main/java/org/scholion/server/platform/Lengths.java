package org.scholion.server.platform;

/** How long texts of people may be. */
public final class Lengths {
    private Lengths() {}

    /** The text, if it is not too long. */
    public static String atMost(String place, String text, int most) {
        if (text.length() > most) {
            throw Refused.invalid(
                    place, "this has " + text.length() + " characters; at most " + most + " are kept. Shorten it.");
        }
        return text;
    }
}
