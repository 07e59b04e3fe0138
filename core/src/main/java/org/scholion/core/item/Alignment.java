package org.scholion.core.item;

import org.scholion.core.number.Fraction;

/** That something is evidence for a standard, and with which weight (above 0). */
public record Alignment(String code, Fraction weight) {
    public Alignment {
        Faulty.unless(!code.isBlank(), "code", "a standard is named by its code");
        Faulty.unless(weight.signum() > 0, "weight", "weight " + weight + " must be above 0");
    }
}
