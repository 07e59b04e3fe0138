/**
 * Formulas for print: an allow-list of LaTeX is read into a tree, and the tree is set as outlines. Nothing is defined,
 * loaded or remembered on the way, so one formula can neither see another nor any file.
 */
@NullMarked
package org.scholion.sheets.formula;

import org.jspecify.annotations.NullMarked;
