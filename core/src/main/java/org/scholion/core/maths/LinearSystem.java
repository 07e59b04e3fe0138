package org.scholion.core.maths;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeSet;
import org.scholion.core.maths.Statement.Relation;
import org.scholion.core.maths.Statement.Sign;
import org.scholion.core.number.Fraction;

/** Systems of linear equations, brought to their reduced form: equal forms have the same solutions, others have not. */
final class LinearSystem {
    private static final int MOST = 8;

    private LinearSystem() {}

    /** Empty when one of the two is no such system. */
    static Optional<Verdict> compare(Statement a, Statement b, Budget budget) {
        TreeSet<String> letters = new TreeSet<>();
        a.variables().forEach(letters::add);
        b.variables().forEach(letters::add);
        if (letters.size() > MOST) {
            return Optional.empty();
        }
        Optional<List<Fraction[]>> first = rows(a, List.copyOf(letters), budget);
        Optional<List<Fraction[]>> second = rows(b, List.copyOf(letters), budget);
        if (first.isEmpty() || second.isEmpty()) {
            return Optional.empty();
        }
        return Optional.of(
                shown(reduced(first.get(), letters.size())).equals(shown(reduced(second.get(), letters.size())))
                        ? Verdict.SAME
                        : Verdict.DIFFERENT);
    }

    private static Optional<List<Fraction[]>> rows(Statement s, List<String> letters, Budget budget) {
        List<Statement> all = s instanceof Statement.And and ? and.all() : List.of(s);
        List<Fraction[]> rows = new ArrayList<>();
        for (Statement one : all) {
            if (!(one instanceof Relation r) || r.sign() != Sign.EQUAL) {
                return Optional.empty();
            }
            Rational value = new Normal(budget).of(r.difference());
            if (!value.isPlain() || !value.den().isConstant() || value.num().degree() > 1) {
                return Optional.empty();
            }
            Fraction[] row = new Fraction[letters.size() + 1];
            java.util.Arrays.fill(row, Fraction.ZERO);
            for (Map.Entry<Monomial, Fraction> term : value.num().terms().entrySet()) {
                String letter = term.getKey().powers().isEmpty()
                        ? ""
                        : term.getKey().powers().firstKey();
                int column = letter.isEmpty() ? letters.size() : letters.indexOf(letter);
                if (column < 0) {
                    return Optional.empty();
                }
                row[column] = term.getValue();
            }
            rows.add(row);
        }
        return Optional.of(rows);
    }

    /** Reduced row echelon form; one row 0 = 1 where there is no solution. */
    private static List<Fraction[]> reduced(List<Fraction[]> rows, int letters) {
        int rank = 0;
        for (int column = 0; column <= letters && rank < rows.size(); column++) {
            int pivot = rank;
            while (pivot < rows.size() && rows.get(pivot)[column].isZero()) {
                pivot++;
            }
            if (pivot == rows.size()) {
                continue;
            }
            Fraction[] row = rows.get(pivot);
            rows.set(pivot, rows.get(rank));
            Fraction lead = row[column];
            for (int i = 0; i <= letters; i++) {
                row[i] = row[i].over(lead);
            }
            rows.set(rank, row);
            for (int other = 0; other < rows.size(); other++) {
                Fraction factor = rows.get(other)[column];
                for (int i = 0; other != rank && i <= letters; i++) {
                    rows.get(other)[i] = rows.get(other)[i].minus(factor.times(row[i]));
                }
            }
            if (column == letters) {
                return List.<Fraction[]>of(row);
            }
            rank++;
        }
        return rows.subList(0, rank);
    }

    private static String shown(List<Fraction[]> rows) {
        return String.join("; ", rows.stream().map(java.util.Arrays::toString).toList());
    }
}
