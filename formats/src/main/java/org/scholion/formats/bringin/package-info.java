/**
 * Answers and rosters from a table: which column is what, which row is whom, and what does not fit, by row and
 * column. Decides nothing and stores nothing.
 */
@NullMarked
package org.scholion.formats.bringin;

import org.jspecify.annotations.NullMarked;
