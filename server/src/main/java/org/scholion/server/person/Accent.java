package org.scholion.server.person;

import java.util.regex.Pattern;
import org.scholion.server.platform.Refused;

/** A school's one colour: it stands as text and lines on white, and white stands on it. */
final class Accent {
    private static final Pattern COLOUR = Pattern.compile("#[0-9a-fA-F]{6}");

    /** WCAG 2.2, 1.4.3: text against its background. */
    private static final double LEAST_CONTRAST = 4.5;

    private Accent() {}

    static String checked(String colour) {
        if (colour.isEmpty()) {
            return colour;
        }
        if (!COLOUR.matcher(colour).matches()) {
            throw Refused.invalid("accent", "write a colour as # and six signs, such as #1f4e5f");
        }
        if (1.05 / (luminance(colour) + 0.05) < LEAST_CONTRAST) {
            throw Refused.invalid("accent", "this colour is too light to be read on white; choose a darker one");
        }
        return colour.toLowerCase(java.util.Locale.ROOT);
    }

    /** WCAG 2.2, relative luminance. */
    private static double luminance(String colour) {
        return 0.2126 * channel(colour, 1) + 0.7152 * channel(colour, 3) + 0.0722 * channel(colour, 5);
    }

    private static double channel(String colour, int at) {
        double c = Integer.parseInt(colour.substring(at, at + 2), 16) / 255.0;
        return c <= 0.04045 ? c / 12.92 : Math.pow((c + 0.055) / 1.055, 2.4);
    }
}
