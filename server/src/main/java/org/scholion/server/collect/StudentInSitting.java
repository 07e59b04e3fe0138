package org.scholion.server.collect;

import java.io.Serializable;
import java.util.UUID;

/** A student in a sitting: what is kept of the two has this for a key. */
record StudentInSitting(UUID sitting, UUID student) implements Serializable {}
