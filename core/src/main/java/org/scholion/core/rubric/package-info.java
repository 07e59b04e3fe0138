/**
 * A person's mark: a reading of an open answer against its rubric, and what it is worth.
 */
@NullMarked
package org.scholion.core.rubric;

import org.jspecify.annotations.NullMarked;
