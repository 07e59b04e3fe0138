package org.scholion.server.platform;

import java.util.UUID;
import java.util.function.IntConsumer;
import tools.jackson.databind.JsonNode;

/** Work of a kind that takes too long for one request. It is done in steps, and goes on where it was after a crash. */
public interface LongWork {
    String kind();

    /**
     * Does the next step.
     *
     * @param done how much was done by the steps before
     * @param progress hears how far this step is, where it takes long; a step that tells it begins anew after a crash,
     *     whatever it is told was done
     * @return how much is done now; the whole of it ends the work
     * @throws Refused when it cannot go on; its words are what is told
     */
    int step(Order order, int done, IntConsumer progress);

    /** What is to be done to what, by whom. */
    record Order(UUID person, UUID object, int total, JsonNode input) {}

    /** What is said once everything is done. */
    String said(Order order);
}
