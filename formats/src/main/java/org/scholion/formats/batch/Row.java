package org.scholion.formats.batch;

import org.jspecify.annotations.Nullable;
import org.scholion.core.standard.Evidence;
import org.scholion.core.total.AttemptTotal;

/**
 * One attempt as read and scored.
 *
 * @param line where it begins, counted from the begin of its chunk
 * @param kinds for each item the code of its response in the statistics
 * @param undecided how many of its marks wait
 * @param evidence by standard, null where there is none
 */
record Row(
        int line,
        Head head,
        AttemptTotal total,
        int[] kinds,
        int undecided,
        @Nullable Evidence[] evidence) {}
