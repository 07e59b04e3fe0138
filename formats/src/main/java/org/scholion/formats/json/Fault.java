package org.scholion.formats.json;

/** One thing that is wrong with an input, and where. */
public record Fault(String path, String message) {
    @Override
    public String toString() {
        return path.isEmpty() ? message : path + ": " + message;
    }
}
