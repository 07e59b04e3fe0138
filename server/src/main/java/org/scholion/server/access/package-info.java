/**
 * Who may do what to which object, decided here and nowhere else. Every service asks before it acts.
 */
@NullMarked
package org.scholion.server.access;

import org.jspecify.annotations.NullMarked;
