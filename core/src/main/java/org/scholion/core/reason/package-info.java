/**
 * Why a mark is what it is: a code with typed facts, and its rendering in plain words. The same object
 * is stored, shown, translated and exported; nobody parses the words.
 */
@NullMarked
package org.scholion.core.reason;

import org.jspecify.annotations.NullMarked;
