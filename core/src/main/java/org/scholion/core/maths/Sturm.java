package org.scholion.core.maths;

import java.math.BigInteger;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.scholion.core.number.Fraction;

/** Counts and isolates the real roots of a square-free polynomial (Sturm 1829). */
final class Sturm {
    private final Uni polynomial;
    private final List<Uni> chain = new ArrayList<>();
    private final Budget budget;

    private Sturm(Uni squareFree, Budget budget) {
        this.polynomial = squareFree;
        this.budget = budget;
        chain.add(squareFree);
        if (squareFree.degree() >= 1) {
            chain.add(squareFree.derivative());
            while (true) {
                Uni rest = chain.get(chain.size() - 2).divide(chain.get(chain.size() - 1), budget)[1];
                if (rest.isZero()) {
                    break;
                }
                chain.add(rest.negate());
            }
        }
    }

    static Sturm of(Uni squareFree, Budget budget) {
        return new Sturm(squareFree, budget);
    }

    /** The roots above low and up to high. */
    int count(Fraction low, Fraction high) {
        return changes(low) - changes(high);
    }

    private int changes(Fraction x) {
        int changes = 0;
        int before = 0;
        for (Uni p : chain) {
            int sign = p.signAt(x, budget);
            changes += sign != 0 && before != 0 && sign != before ? 1 : 0;
            before = sign == 0 ? before : sign;
        }
        return changes;
    }

    /** All real roots from the least to the greatest, their intervals apart from one another. */
    List<Root> roots() {
        List<Root> roots = new ArrayList<>();
        if (polynomial.degree() < 1) {
            return roots;
        }
        // A power of two above the bound of Cauchy keeps every middle a short number.
        int bits = 1;
        for (int i = 0; i < polynomial.degree(); i++) {
            bits = Math.max(
                    bits,
                    polynomial.coefficient(i).bitLength() - polynomial.lead().bitLength() + 3);
        }
        Fraction bound = Fraction.of(BigInteger.ONE.shiftLeft(bits), BigInteger.ONE);
        isolate(bound.negate(), bound, roots);
        roots.sort(Comparator.comparing(Root::low));
        return roots;
    }

    private void isolate(Fraction low, Fraction high, List<Root> roots) {
        int count = count(low, high);
        if (count == 0) {
            return;
        }
        Fraction middle = low.plus(high).over(2);
        if (count == 1 && polynomial.signAt(high, budget) != 0 && polynomial.signAt(low, budget) != 0) {
            roots.add(new Root(polynomial, low, high, budget));
        } else if (polynomial.signAt(middle, budget) == 0) {
            roots.add(new Root(polynomial, middle, middle, budget));
            Fraction beside = high.minus(low).over(4);
            while (count(middle.minus(beside), middle.plus(beside)) > 1
                    || polynomial.signAt(middle.plus(beside), budget) == 0
                    || polynomial.signAt(middle.minus(beside), budget) == 0) {
                beside = beside.over(2);
            }
            isolate(low, middle.minus(beside), roots);
            isolate(middle.plus(beside), high, roots);
        } else {
            isolate(low, middle, roots);
            isolate(middle, high, roots);
        }
    }
}
