package org.scholion.core.maths;

import java.util.Collections;
import java.util.Map;
import java.util.SortedMap;
import java.util.TreeMap;

/** A product of powers of atoms, exponents above 0. Atoms are variables, constants, roots and functions by their text. */
record Monomial(SortedMap<String, Integer> powers) implements Comparable<Monomial> {
    static final Monomial ONE = new Monomial(new TreeMap<>());

    Monomial {
        powers = Collections.unmodifiableSortedMap(powers);
    }

    static Monomial of(String atom) {
        return new Monomial(new TreeMap<>(Map.of(atom, 1)));
    }

    Monomial times(Monomial other) {
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
        rest.remove(atom);
        return new Monomial(rest);
    }

    @Override
    public int compareTo(Monomial other) {
        return powers.toString().compareTo(other.powers.toString());
    }

    String shown() {
        StringBuilder shown = new StringBuilder();
        powers.forEach((atom, power) ->
                shown.append(shown.isEmpty() ? "" : "*").append(atom).append(power == 1 ? "" : "^" + power));
        return shown.toString();
    }
}
