/** The running application under load, killed, without its database and on a full disk; over real HTTP. */
@NullMarked
package org.scholion.bench.load;

import org.jspecify.annotations.NullMarked;
