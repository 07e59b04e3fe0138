/**
 * Some of many: which items of a pool a paper asks, by standard and by expected difficulty, and how fair the
 * alternatives are. Chance comes in as a seed; nothing here knows students or clocks.
 */
@NullMarked
package org.scholion.core.draw;

import org.jspecify.annotations.NullMarked;
