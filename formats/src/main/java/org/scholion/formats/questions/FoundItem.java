package org.scholion.formats.questions;

import java.util.List;
import org.scholion.formats.json.Fault;
import tools.jackson.databind.node.ObjectNode;

/**
 * One question that was found.
 *
 * @param line where it begins, counted from 1
 * @param item as the assessment file has it
 * @param faults what has to be put right; their places are inside the item
 */
public record FoundItem(int line, ObjectNode item, List<Fault> faults) {
    public FoundItem {
        faults = List.copyOf(faults);
    }
}
