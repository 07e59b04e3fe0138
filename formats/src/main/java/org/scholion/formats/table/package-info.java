/**
 * Tables as people have them: CSV with any of the usual separators, with or without a byte order mark.
 */
@NullMarked
package org.scholion.formats.table;

import org.jspecify.annotations.NullMarked;
