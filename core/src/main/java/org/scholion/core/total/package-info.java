/**
 * From marks to a result: adjustments, parts, lateness, curve, rounding, bands and attempts.
 */
@NullMarked
package org.scholion.core.total;

import org.jspecify.annotations.NullMarked;
