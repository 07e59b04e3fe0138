/**
 * Exact numbers: fractions, their writing in files, percents and their rounding. Nothing here knows
 * what is being scored; nothing here is binary floating point.
 */
@NullMarked
package org.scholion.core.number;

import org.jspecify.annotations.NullMarked;
