package org.scholion.core.maths;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.scholion.core.maths.Statement.Relation;
import org.scholion.core.maths.Statement.Value;
import org.scholion.core.number.Fraction;

/** A point that a statement singles out, by which most others are seen to differ from it before they are compared. */
final class Edge {
    private final Optional<Map<String, Fraction>> point;
    private final Optional<Quick.Value> value;

    private Edge(Optional<Map<String, Fraction>> point, Optional<Quick.Value> value) {
        this.point = point;
        this.value = value;
    }

    static Edge of(Statement s, Budget budget) {
        if (s instanceof Value v) {
            Map<String, Fraction> somewhere = somewhere(s);
            return new Edge(Optional.of(somewhere), Optional.of(Quick.at(v.term(), somewhere)));
        }
        return new Edge(solution(s, budget), Optional.empty());
    }

    /** Where the sides of a relation in one letter are equal, if that is at a rational number. */
    Optional<Map<String, Fraction>> point() {
        return point;
    }

    /** Whether another statement may be the same as this one, as far as the point tells. */
    boolean allows(Statement other) {
        if (point.isEmpty()) {
            return true;
        }
        if (other instanceof Value v && value.isPresent()) {
            Quick.Value here = Quick.at(v.term(), point.get());
            return here.known() != Quick.Known.YES || !here.differs(value.get());
        }
        if (!(other instanceof Relation r) || value.isPresent()) {
            return true;
        }
        Quick.Value difference = Quick.at(r.difference(), point.get());
        return difference.known() != Quick.Known.YES || difference.sign() == 0;
    }

    private static Map<String, Fraction> somewhere(Statement s) {
        TreeMap<String, Fraction> point = new TreeMap<>();
        s.variables().forEach(v -> point.put(v, Fraction.of(3 + 2L * point.size())));
        return point;
    }

    private static Optional<Map<String, Fraction>> solution(Statement s, Budget budget) {
        List<String> variables = s.variables().toList();
        if (variables.size() != 1 || !(s instanceof Relation r) || !Solutions.isRational(s)) {
            return Optional.empty();
        }
        Relation edge = new Relation(r.left(), Statement.Sign.EQUAL, r.right());
        return Cells.of(List.of(edge), variables.get(0), budget).points(edge).stream()
                .flatMap(List::stream)
                .filter(Root::isRational)
                .map(root -> Map.of(variables.get(0), root.low()))
                .findFirst();
    }
}
