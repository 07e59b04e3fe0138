/**
 * What the answers tell about the items and the paper.
 */
@NullMarked
package org.scholion.server.examine;

import org.jspecify.annotations.NullMarked;
