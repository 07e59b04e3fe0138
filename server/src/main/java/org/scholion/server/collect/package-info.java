/**
 * Sittings: giving out, taking on screen, bringing in from a file, watching.
 */
@NullMarked
package org.scholion.server.collect;

import org.jspecify.annotations.NullMarked;
