package org.scholion.core.item;

/** Something to read, see or hear; no response, no score. */
public record PassageItem(Head head) implements Item {
    @Override
    public String kind() {
        return "passage";
    }

    @Override
    public <R> R read(ByKind<R> reader) {
        return reader.passage(this);
    }
}
