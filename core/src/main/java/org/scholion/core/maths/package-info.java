/**
 * Mathematics as students write it: reading expressions and statements, deciding whether two are equal or have the
 * same solutions, and in which form an expression stands. Bounded in length, depth and work; knows no item and gives
 * no mark.
 */
@NullMarked
package org.scholion.core.maths;

import org.jspecify.annotations.NullMarked;
