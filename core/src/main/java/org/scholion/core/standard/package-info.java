/**
 * What was learned: frameworks of standards, and the evidence that items give for them.
 */
@NullMarked
package org.scholion.core.standard;

import org.jspecify.annotations.NullMarked;
