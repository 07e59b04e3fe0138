/**
 * The whole computation from a shell: response files in, result files out, streamed. Reads rows side by side,
 * writes them in the order of the input. No rule of scoring lives here.
 */
@NullMarked
package org.scholion.formats.batch;

import org.jspecify.annotations.NullMarked;
