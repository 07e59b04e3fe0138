/**
 * Frameworks of standards as the school keeps them.
 */
@NullMarked
package org.scholion.server.standard;

import org.jspecify.annotations.NullMarked;
