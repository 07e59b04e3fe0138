package org.scholion.server.handback;

import java.util.UUID;

/** Said in the same transaction in which results of an assessment are handed back. */
public record ResultsOut(UUID assessment) {}
