/**
 * Frameworks of standards from elsewhere: a table with columns in any order, and the JSON of the open standard
 * "Competencies and Academic Standards Exchange" (1EdTech CASE 1.0).
 */
@NullMarked
package org.scholion.formats.standards;

import org.jspecify.annotations.NullMarked;
