/**
 * The bank of items: kept, found, versioned, shared, and put into assessments. It knows keys, not answers; how an item
 * did in use it asks of examine.
 */
@NullMarked
package org.scholion.server.bank;

import org.jspecify.annotations.NullMarked;
