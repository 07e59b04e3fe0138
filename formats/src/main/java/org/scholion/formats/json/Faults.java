package org.scholion.formats.json;

import java.util.List;
import java.util.stream.Collectors;

/** An input was refused; carries every fault that was found, not only the first. */
public final class Faults extends RuntimeException {
    private static final long serialVersionUID = 1;

    private final transient List<Fault> all;

    public Faults(List<Fault> all) {
        super(all.stream().map(Fault::toString).collect(Collectors.joining("\n")));
        this.all = List.copyOf(all);
    }

    public List<Fault> all() {
        return all;
    }
}
