/**
 * Printable answer sheets, and reading their scans. Nothing lives here yet; the room stands so that the arrows
 * core ← formats ← sheets ← server hold from the beginning.
 */
package org.scholion.sheets;
