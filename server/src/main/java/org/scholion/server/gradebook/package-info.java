/**
 * Students by assessments, and the trace from a figure down to the answer and the rule.
 */
@NullMarked
package org.scholion.server.gradebook;

import org.jspecify.annotations.NullMarked;
