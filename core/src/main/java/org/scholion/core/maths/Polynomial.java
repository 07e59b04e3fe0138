package org.scholion.core.maths;

import java.util.Collections;
import java.util.HashMap;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import org.scholion.core.number.Fraction;

/** An exact polynomial in atoms, in normal form: no coefficient is 0, and a square root of a prime stands at most once. */
record Polynomial(Map<Monomial, Fraction> terms) {
    static final Polynomial ZERO = new Polynomial(Map.of());
    static final Polynomial ONE = constant(Fraction.ONE);
    private static final String ROOT = "√";
    private static final int MOST_TERMS = 600;
    private static final int HIGHEST = 80;

    Polynomial {
        terms = Collections.unmodifiableMap(terms);
    }

    static Polynomial constant(Fraction value) {
        return value.isZero() ? ZERO : new Polynomial(Map.of(Monomial.ONE, value));
    }

    static Polynomial atom(String name) {
        return new Polynomial(Map.of(Monomial.of(name), Fraction.ONE));
    }

    /** The square root of a prime number. */
    static Polynomial rootOfPrime(long prime) {
        return atom(ROOT + prime);
    }

    boolean isZero() {
        return terms.isEmpty();
    }

    boolean isConstant() {
        return terms.isEmpty() || terms.size() == 1 && terms.containsKey(Monomial.ONE);
    }

    Fraction constant() {
        return terms.getOrDefault(Monomial.ONE, Fraction.ZERO);
    }

    Polynomial plus(Polynomial other) {
        Map<Monomial, Fraction> sum = new HashMap<>(terms);
        other.terms.forEach((m, c) -> add(sum, m, c));
        return new Polynomial(sum);
    }

    Polynomial negate() {
        return times(Fraction.of(-1));
    }

    Polynomial times(Fraction factor) {
        if (factor.isZero()) {
            return ZERO;
        }
        Map<Monomial, Fraction> product = new HashMap<>();
        terms.forEach((m, c) -> product.put(m, c.times(factor)));
        return new Polynomial(product);
    }

    Polynomial times(Polynomial other, Budget budget) {
        Map<Monomial, Fraction> product = new HashMap<>();
        for (Map.Entry<Monomial, Fraction> a : terms.entrySet()) {
            // A product makes a few hundred bytes, and more where there are many atoms or numbers are long.
            budget.spend(other.terms.size() * (4L + 5L * a.getKey().powers().size() + cost(bits(a.getValue()))));
            for (Map.Entry<Monomial, Fraction> b : other.terms.entrySet()) {
                addReduced(product, a.getKey().times(b.getKey()), a.getValue().times(b.getValue()));
            }
            if (product.size() > MOST_TERMS) {
                throw new Undecided("it has too many terms");
            }
        }
        return new Polynomial(product);
    }

    private static long cost(int bits) {
        return bits / 16 + (long) bits * bits / 20_000;
    }

    private static int bits(Fraction value) {
        return value.numerator().bitLength() + value.denominator().bitLength();
    }

    /** √p · √p is p. */
    private static void addReduced(Map<Monomial, Fraction> sum, Monomial monomial, Fraction coefficient) {
        Monomial m = monomial;
        Fraction c = coefficient;
        for (Map.Entry<String, Integer> power : monomial.powers().entrySet()) {
            if (power.getKey().startsWith(ROOT) && power.getValue() > 1) {
                long prime = Long.parseLong(power.getKey().substring(1));
                m = m.without(power.getKey());
                m = power.getValue() % 2 == 1 ? m.times(Monomial.of(power.getKey())) : m;
                for (int i = 0; i < power.getValue() / 2; i++) {
                    c = c.times(prime);
                }
            }
        }
        if (m.degree() > HIGHEST) {
            throw new Undecided("its degree is too high");
        }
        add(sum, m, c);
    }

    private static void add(Map<Monomial, Fraction> sum, Monomial m, Fraction c) {
        Fraction now = Exact.bounded(sum.getOrDefault(m, Fraction.ZERO).plus(c));
        if (now.isZero()) {
            sum.remove(m);
        } else {
            sum.put(m, now);
        }
    }

    Polynomial power(int n, Budget budget) {
        Polynomial result = ONE;
        for (int i = 0; i < n; i++) {
            result = result.times(this, budget);
        }
        return result;
    }

    Set<String> atoms() {
        Set<String> atoms = new TreeSet<>();
        terms.keySet().forEach(m -> atoms.addAll(m.powers().keySet()));
        return atoms;
    }

    int degree() {
        return terms.keySet().stream().mapToInt(Monomial::degree).max().orElse(0);
    }

    int degree(String atom) {
        return terms.keySet().stream().mapToInt(m -> m.power(atom)).max().orElse(0);
    }

    /** The factor by which this is the other; zero where it is no multiple. */
    Fraction multipleOf(Polynomial other) {
        if (terms.size() != other.terms.size() || isZero() || !terms.keySet().equals(other.terms.keySet())) {
            return Fraction.ZERO;
        }
        Monomial any = terms.keySet().iterator().next();
        Fraction factor = coefficient(any).over(other.coefficient(any));
        return other.times(factor).equals(this) ? factor : Fraction.ZERO;
    }

    Fraction coefficient(Monomial m) {
        return terms.getOrDefault(m, Fraction.ZERO);
    }

    /** Text that is the same for equal polynomials. */
    String shown() {
        if (isZero()) {
            return "0";
        }
        StringBuilder shown = new StringBuilder();
        new TreeMap<>(terms)
                .forEach((m, c) -> shown.append(shown.isEmpty() ? "" : "+")
                        .append(c.toExact())
                        .append(m.powers().isEmpty() ? "" : "*" + m.shown()));
        return shown.toString();
    }

    @Override
    public boolean equals(@org.jspecify.annotations.Nullable Object o) {
        return o instanceof Polynomial p && terms.equals(p.terms);
    }

    @Override
    public int hashCode() {
        return terms.hashCode();
    }
}
