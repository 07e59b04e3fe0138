/**
 * Reports to print and to share: words, tables and shares drawn as lines, set as PDF.
 */
@NullMarked
package org.scholion.sheets.report;

import org.jspecify.annotations.NullMarked;
