/**
 * People of the school: signing in and out, the list of people.
 */
@NullMarked
package org.scholion.server.person;

import org.jspecify.annotations.NullMarked;
