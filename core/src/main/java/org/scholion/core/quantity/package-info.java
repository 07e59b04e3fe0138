/**
 * Numbers as people type them, units of measure and significant figures, all exact. Knows no item and
 * gives no mark.
 */
@NullMarked
package org.scholion.core.quantity;

import org.jspecify.annotations.NullMarked;
