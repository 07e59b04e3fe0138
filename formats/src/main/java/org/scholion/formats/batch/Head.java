package org.scholion.formats.batch;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.scholion.core.number.Fraction;

/** What a row says beside its answers. */
record Head(String student, int attempt, @Nullable String section, Fraction daysLate, List<String> excused) {}
