/**
 * What readers say of a whole paper.
 */
@NullMarked
package org.scholion.server.comment;

import org.jspecify.annotations.NullMarked;
