/**
 * Formatted text: what may stand in it, what must not, and what it says in plain words.
 */
@NullMarked
package org.scholion.formats.rich;

import org.jspecify.annotations.NullMarked;
