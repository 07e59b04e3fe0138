/**
 * The piles that wait, computed from the data each time, and the finder.
 */
@NullMarked
package org.scholion.server.desk;

import org.jspecify.annotations.NullMarked;
