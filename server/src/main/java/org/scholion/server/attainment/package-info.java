/**
 * What students have shown on standards, over all assessments of a course.
 */
@NullMarked
package org.scholion.server.attainment;

import org.jspecify.annotations.NullMarked;
