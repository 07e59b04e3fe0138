/**
 * The assessment file: assessments, answers and reasons to and from JSON.
 */
@NullMarked
package org.scholion.formats.assessment;

import org.jspecify.annotations.NullMarked;
