package org.scholion.server.ledger;

import java.util.List;
import org.scholion.server.key.Edition;

/**
 * An assessment that was answered: the attempts that are in, by family name, with their standings and their marks in
 * brief. What is only told of some of them (answers, reasons, comments) is asked for those that are shown.
 *
 * @param edition the latest edition; the marks are in its order
 */
public record MarkedPaper(Edition edition, List<Marked> attempts) {}
