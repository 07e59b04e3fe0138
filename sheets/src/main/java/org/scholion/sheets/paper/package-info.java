/**
 * A paper and its key as PDF: from the assessment file to XHTML, from there to pages. Pictures come in through a
 * function; nothing is ever fetched.
 */
@NullMarked
package org.scholion.sheets.paper;

import org.jspecify.annotations.NullMarked;
