/**
 * What was said: an answer for each kind of item, exactly as given. Nothing here judges.
 */
@NullMarked
package org.scholion.core.answer;

import org.jspecify.annotations.NullMarked;
