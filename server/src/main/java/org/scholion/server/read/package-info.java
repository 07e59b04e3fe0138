/**
 * Reading open answers by hand.
 */
@NullMarked
package org.scholion.server.read;

import org.jspecify.annotations.NullMarked;
