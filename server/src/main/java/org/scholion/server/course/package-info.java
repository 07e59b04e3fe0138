/**
 * Courses, their sections, teachers and rosters.
 */
@NullMarked
package org.scholion.server.course;

import org.jspecify.annotations.NullMarked;
