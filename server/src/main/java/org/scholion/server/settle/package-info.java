/**
 * Doubts: grouping them, deciding on one for all equal answers, teaching the key.
 */
@NullMarked
package org.scholion.server.settle;

import org.jspecify.annotations.NullMarked;
