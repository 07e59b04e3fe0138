package org.scholion.core.item;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.scholion.core.number.Fraction;

/**
 * What items of every kind have.
 *
 * @param id unique in its assessment
 * @param part the part of the paper it stands in, when the paper has parts
 * @param points what full credit is worth, not negative
 * @param prompt what the student is asked; may be empty when the questions are on paper
 * @param standards what it is evidence for
 */
public record Head(String id, @Nullable String part, Fraction points, String prompt, List<Alignment> standards) {
    public Head {
        Faulty.unless(!id.isBlank(), "id", "an item needs an id");
        Faulty.unless(points.signum() >= 0, "points", "points " + points + " are below 0");
        standards = List.copyOf(standards);
    }

    public static Head of(String id, Fraction points) {
        return new Head(id, null, points, "", List.of());
    }
}
