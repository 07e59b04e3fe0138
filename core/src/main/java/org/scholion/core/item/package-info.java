/**
 * What is asked: a record for each kind of item with its key and its rule, rubrics, and what an item
 * is aligned to. A constructor refuses what the rules forbid and names the place. Nothing here scores.
 */
@NullMarked
package org.scholion.core.item;

import org.jspecify.annotations.NullMarked;
