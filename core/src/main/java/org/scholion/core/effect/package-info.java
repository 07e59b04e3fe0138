/**
 * See it before it happens: two ways of scoring the same answers compared: who moves, from what to
 * what, and who crosses a bound.
 */
@NullMarked
package org.scholion.core.effect;

import org.jspecify.annotations.NullMarked;
