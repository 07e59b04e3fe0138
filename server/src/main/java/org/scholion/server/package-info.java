/** The application: HTTP, security, PostgreSQL and jobs around the core, a package for each feature. */
@NullMarked
package org.scholion.server;

import org.jspecify.annotations.NullMarked;
