package org.scholion.core.standard;

import java.util.List;
import org.scholion.core.item.Alignment;
import org.scholion.core.number.Fraction;

/** One item, criterion or part that is evidence: what was reached of what, and for which standards. */
record Piece(Fraction score, Fraction points, List<Alignment> alignments) {}
