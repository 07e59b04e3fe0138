package org.scholion.core.maths;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.scholion.core.maths.Statement.Relation;
import org.scholion.core.maths.Statement.Sign;
import org.scholion.core.maths.Statement.Value;

/** How the parts of a line belong together: values of the variable that is looked for, cases, and equations of a system. */
final class Solved {
    private final List<Term> subjects;

    Solved(MathNames names) {
        this.subjects = names.subjects().stream().<Term>map(Term.Sym::new).toList();
    }

    Term subject() {
        return subjects.get(0);
    }

    List<Term> subjects() {
        return subjects;
    }

    /** x = 2 or 3: a value behind an equation is of the same variable. */
    Statement after(Statement before, Statement next) {
        Statement last = before instanceof Statement.And and && !and.all().isEmpty()
                ? and.all().get(and.all().size() - 1)
                : before instanceof Statement.Or or && !or.any().isEmpty()
                        ? or.any().get(or.any().size() - 1)
                        : before;
        return next instanceof Value value && last instanceof Relation r && r.sign() == Sign.EQUAL
                ? new Relation(r.left(), Sign.EQUAL, value.term())
                : next;
    }

    /** A value by itself is one of the variable. */
    Statement statement(Statement s) {
        return s instanceof Value value ? new Relation(subject(), Sign.EQUAL, value.term()) : s;
    }

    private List<Statement> statements(List<Statement> all) throws Unreadable {
        if (all.stream()
                .anyMatch(s ->
                        s instanceof Value v && v.term().variables().findAny().isPresent())) {
            throw new Unreadable("an equation is missing");
        }
        return all.stream().map(this::statement).toList();
    }

    Statement any(List<Statement> all) throws Unreadable {
        List<Statement> flat = new ArrayList<>();
        for (Statement s : statements(all)) {
            if (s instanceof Statement.Or or) {
                flat.addAll(or.any());
            } else {
                flat.add(s);
            }
        }
        return new Statement.Or(flat);
    }

    /** Behind commas or on lines of their own: cases of one variable, or equations that hold together. */
    Statement list(List<Statement> all, boolean or) throws Unreadable {
        List<Statement> parts = statements(all);
        if (or || areCases(parts)) {
            return any(parts);
        }
        boolean equations = parts.stream().allMatch(s -> s instanceof Relation r && r.sign() == Sign.EQUAL);
        if (!equations) {
            throw new Unreadable("put “and” or “or” between the statements");
        }
        return new Statement.And(parts);
    }

    /** x = 2 and x = 3 names two solutions; everything else holds together. */
    Statement both(List<Statement> all) throws Unreadable {
        List<Statement> parts = statements(all);
        boolean flat = parts.stream().allMatch(s -> s instanceof Relation r && r.sign() == Sign.EQUAL);
        return flat && areCases(parts) ? any(parts) : new Statement.And(parts);
    }

    /** Whether all of them give the same variable a value, or each of them a value to the same several ones. */
    private static boolean areCases(List<Statement> parts) {
        Set<Set<String>> given =
                parts.stream().map(s -> given(s).orElse(Set.of())).collect(Collectors.toSet());
        return given.size() == 1 && !given.iterator().next().isEmpty();
    }

    private static Optional<Set<String>> given(Statement s) {
        if (s instanceof Relation r
                && r.sign() == Sign.EQUAL
                && r.left() instanceof Term.Sym sym
                && !sym.isConstant()) {
            return Optional.of(Set.of(sym.name()));
        }
        if (s instanceof Statement.And and && and.all().size() > 1) {
            List<Optional<Set<String>>> each =
                    and.all().stream().map(Solved::given).toList();
            return each.stream().allMatch(Optional::isPresent)
                    ? Optional.of(each.stream()
                            .flatMap(e -> e.orElse(Set.of()).stream())
                            .collect(Collectors.toSet()))
                    : Optional.empty();
        }
        return s instanceof Statement.Or or && !or.any().isEmpty()
                ? given(or.any().get(0))
                : Optional.empty();
    }
}
