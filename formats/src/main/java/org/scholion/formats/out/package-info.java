/**
 * Tables that leave: rows of typed cells as CSV or as a workbook, with what a spreadsheet would compute made harmless.
 */
@NullMarked
package org.scholion.formats.out;

import org.jspecify.annotations.NullMarked;
