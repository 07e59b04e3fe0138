package org.scholion.formats.batch;

import org.scholion.core.score.Mark;

/**
 * One answer to one item with everything that its row needs, made once for all equal answers.
 *
 * @param kind its code in the item's statistics
 * @param before the row between the attempt and what counted: item, state, credit, points
 * @param counted what counts after adjustments, before best-of
 * @param after rule and reason, with the end of the line
 */
record Scored(Mark mark, int kind, byte[] before, byte[] counted, byte[] after) {}
