package org.scholion.core.item;

import java.util.List;

/** A faulty sentence to be put right; {@code accept} holds the corrected sentences. */
public record CorrectionItem(Head head, String source, List<String> accept) implements Item {
    public CorrectionItem {
        accept = List.copyOf(accept);
        Faulty.unless(!source.isBlank(), "source", "the faulty sentence is empty");
        Faulty.unless(!accept.isEmpty(), "accept", "add at least one accepted answer");
    }

    @Override
    public String kind() {
        return "correction";
    }

    @Override
    public <R> R read(ByKind<R> reader) {
        return reader.correction(this);
    }
}
