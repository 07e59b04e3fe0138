/**
 * Questions from elsewhere: a spreadsheet with its columns in any order, and plain text in our own simple layout. What
 * comes out are items as the assessment file has them, each with its place and with what is wrong with it.
 */
@NullMarked
package org.scholion.formats.questions;

import org.jspecify.annotations.NullMarked;
