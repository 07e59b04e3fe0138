/**
 * Handing back: snapshots, the student's result page, queries about marks.
 */
@NullMarked
package org.scholion.server.handback;

import org.jspecify.annotations.NullMarked;
