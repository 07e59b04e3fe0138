/**
 * What the answers tell about items, tests and groups: pure functions on primitive arrays. Undefined
 * is explicit, with its reason; never NaN, never a stand-in zero.
 */
@NullMarked
package org.scholion.core.measure;

import org.jspecify.annotations.NullMarked;
