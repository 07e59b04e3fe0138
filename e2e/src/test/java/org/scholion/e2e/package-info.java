/** The real application driven in Chromium, as its users drive it. Knows the application only by what it shows. */
package org.scholion.e2e;
