package org.scholion.server.person;

import java.util.List;
import java.util.UUID;
import tools.jackson.databind.node.ObjectNode;

/** What a feature keeps of a student: for whoever makes two people one, or gives out all that is known of somebody. */
public interface KeptOfStudent {
    /** What stands in the way of making two one, such as a paper that both have answered, as it is called. */
    default List<String> clashes(UUID from, UUID to) {
        return List.of();
    }

    /** All of one student is another's from now on. */
    void move(UUID from, UUID to);

    /** What a student said of themselves goes; what their figures rest on stays. */
    default void forget(UUID student) {}

    /** Writes all that is kept of a student into their file. */
    void tell(UUID student, ObjectNode file);
}
