/** Benchmarks: each thing that is fast beside the plain thing that it is compared with. */
@NullMarked
package org.scholion.bench;

import org.jspecify.annotations.NullMarked;
