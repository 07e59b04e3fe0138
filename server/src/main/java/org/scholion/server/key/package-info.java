/**
 * Assessments while they are written, and their editions once they are given out. Nothing here knows answers.
 */
@NullMarked
package org.scholion.server.key;

import org.jspecify.annotations.NullMarked;
