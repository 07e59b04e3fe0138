package org.scholion.core.measure;

/**
 * How the upper, middle and lower third by total did on an item: the mean share of its points, those tied at a border
 * sharing the places left.
 */
public record Thirds(Figure upper, Figure middle, Figure lower) {
    static Thirds missing(String why) {
        Figure none = Figure.undefined(why);
        return new Thirds(none, none, none);
    }
}
