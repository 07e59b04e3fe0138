/**
 * Attempts, responses, the ledger of marks and the standings that follow from it; scoring and regrading.
 */
@NullMarked
package org.scholion.server.ledger;

import org.jspecify.annotations.NullMarked;
