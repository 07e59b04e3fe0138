package org.scholion.core.standard;

import org.scholion.core.number.Fraction;

/** What attainment from a percent on is called. */
public record Level(Fraction from, String label) {}
