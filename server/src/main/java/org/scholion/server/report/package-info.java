/**
 * How figures leave: tables and reports that say the same as the screens.
 */
@NullMarked
package org.scholion.server.report;

import org.jspecify.annotations.NullMarked;
