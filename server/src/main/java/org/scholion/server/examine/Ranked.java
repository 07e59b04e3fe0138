package org.scholion.server.examine;

import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.scholion.core.measure.Standing;
import org.scholion.server.key.Edition;
import org.scholion.server.ledger.Marked;

/**
 * What is examined, and where each attempt stands among the others.
 *
 * @param attempts each student once, by section and family name
 * @param standings one for each of them
 * @param sections what their sections are called
 */
public record Ranked(Edition edition, List<Marked> attempts, List<Standing> standings, Map<UUID, String> sections) {}
