/** Rubrics that are kept for many papers: versions, uses, sharing. A paper has its own copy and knows which one. */
@NullMarked
package org.scholion.server.rubric;

import org.jspecify.annotations.NullMarked;
