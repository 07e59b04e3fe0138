/**
 * The made-up school, written through the same services that people use.
 */
@NullMarked
package org.scholion.server.demo;

import org.jspecify.annotations.NullMarked;
