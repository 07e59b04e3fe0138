/**
 * Letters to people by SMTP. A feature asks for a letter of its kind to somebody and says what stands in it at the moment
 * in which it is sent; a job sends it, and tries again for a day while the server does not take it. Knows only the
 * platform.
 */
@org.jspecify.annotations.NullMarked
package org.scholion.server.mail;
