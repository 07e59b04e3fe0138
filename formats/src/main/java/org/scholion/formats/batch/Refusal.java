package org.scholion.formats.batch;

import java.util.List;

/** The input is refused, with every fault that was found. */
final class Refusal extends RuntimeException {
    private static final long serialVersionUID = 1;

    private final transient List<String> faults;

    Refusal(List<String> faults) {
        super(String.join("\n", faults));
        this.faults = List.copyOf(faults);
    }

    List<String> faults() {
        return faults;
    }
}
