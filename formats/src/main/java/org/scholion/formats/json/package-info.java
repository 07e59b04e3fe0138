/**
 * Reading JSON strictly: every fault with its path, all of them at once, unknown fields refused.
 */
@NullMarked
package org.scholion.formats.json;

import org.jspecify.annotations.NullMarked;
