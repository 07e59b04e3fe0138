package org.scholion.core.text;

/**
 * A stretch of a text, in UTF-16 units.
 *
 * @param from where it begins, from 0
 * @param to where it ends, after its last unit
 */
public record Stretch(int from, int to) {
    public String of(String text) {
        return text.substring(from, to);
    }
}
