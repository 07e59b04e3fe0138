/**
 * Formulas and lines of working. Nothing lives here yet: the kinds formula and working come next.
 */
@NullMarked
package org.scholion.core.maths;

import org.jspecify.annotations.NullMarked;
