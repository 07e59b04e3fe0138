/**
 * From item and answer to a mark: a scorer is compiled once, holds no lock and is safe for threads.
 * Mark and reason come from one computation. No totals here.
 */
@NullMarked
package org.scholion.core.score;

import org.jspecify.annotations.NullMarked;
