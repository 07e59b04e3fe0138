package org.scholion.core.maths;

import java.util.Collections;
import java.util.Map;
import java.util.SortedMap;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;

/** A product of powers of atoms, exponents above 0. Atoms are variables, constants, roots and functions by their text. */
final class Monomial implements Comparable<Monomial> {
    static final Monomial ONE = new Monomial(new TreeMap<>());

    private final SortedMap<String, Integer> powers;
    /** The same for equal ones; comparing it is comparing them. */
    private final String key;

    private Monomial(SortedMap<String, Integer> powers) {
        this.powers = Collections.unmodifiableSortedMap(powers);
        StringBuilder text = new StringBuilder();
        powers.forEach((atom, power) ->
                text.append(text.isEmpty() ? "" : "*").append(atom).append(power == 1 ? "" : "^" + power));
        this.key = text.toString();
    }

    static Monomial of(String atom) {
        return new Monomial(new TreeMap<>(Map.of(atom, 1)));
    }

    SortedMap<String, Integer> powers() {
        return powers;
    }

    Monomial times(Monomial other) {
        if (powers.isEmpty()) {
            return other;
        }
        if (other.powers.isEmpty()) {
            return this;
        }
        TreeMap<String, Integer> product = new TreeMap<>(powers);
        other.powers.forEach((atom, power) -> product.merge(atom, power, Integer::sum));
        return new Monomial(product);
    }

    int degree() {
        return powers.values().stream().mapToInt(Integer::intValue).sum();
    }

    int power(String atom) {
        return powers.getOrDefault(atom, 0);
    }

    Monomial without(String atom) {
        TreeMap<String, Integer> rest = new TreeMap<>(powers);
        return rest.remove(atom) == null ? this : new Monomial(rest);
    }

    String shown() {
        return key;
    }

    @Override
    public int compareTo(Monomial other) {
        return key.compareTo(other.key);
    }

    @Override
    public boolean equals(@Nullable Object o) {
        return o instanceof Monomial m && key.equals(m.key);
    }

    @Override
    public int hashCode() {
        return key.hashCode();
    }

    @Override
    public String toString() {
        return key;
    }
}
