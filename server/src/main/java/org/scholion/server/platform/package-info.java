/**
 * What every feature stands on: security, problem details, ids, events, JSON columns. Knows no feature.
 */
@NullMarked
package org.scholion.server.platform;

import org.jspecify.annotations.NullMarked;
