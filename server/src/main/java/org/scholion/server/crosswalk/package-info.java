/**
 * From an older version of a framework to a newer one: which standards became which, and the tags of items that are
 * outdated by it, carried over in papers and in the bank.
 */
@NullMarked
package org.scholion.server.crosswalk;

import org.jspecify.annotations.NullMarked;
