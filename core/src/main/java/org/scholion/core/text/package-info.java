/**
 * How texts meet: normalising, words, patterns in linear time, spelling distance. Knows no item and
 * gives no mark.
 */
@NullMarked
package org.scholion.core.text;

import org.jspecify.annotations.NullMarked;
