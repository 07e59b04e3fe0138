/**
 * What readers draw and note on the pictures and PDFs of an answer.
 */
@NullMarked
package org.scholion.server.drawn;

import org.jspecify.annotations.NullMarked;
