/**
 * Pictures, recordings and papers: each kept once, and seen by whoever may see what it belongs to. What belongs where is
 * told by those who keep it.
 */
@NullMarked
package org.scholion.server.file;

import org.jspecify.annotations.NullMarked;
