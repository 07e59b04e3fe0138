package org.scholion.core.item;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.scholion.core.number.Fraction;

/**
 * A mathematical expression that is equivalent to an accepted one.
 *
 * @param accept accepted expressions, as a person writes them
 * @param variables names of variables and of the item's own constants
 * @param functions names of functions of the item's own
 * @param form the form in which it is asked for
 * @param formCredit what the right value in another form earns
 */
public record FormulaItem(
        Head head,
        List<String> accept,
        List<String> variables,
        List<String> constants,
        List<String> functions,
        Form form,
        Fraction formCredit)
        implements Item {

    /** In which form an expression is asked for. */
    public enum Form {
        ANY,
        EXPANDED,
        FACTORED,
        LOWEST
    }

    public FormulaItem {
        accept = List.copyOf(accept);
        variables = List.copyOf(variables);
        constants = List.copyOf(constants);
        functions = List.copyOf(functions);
        Faulty.unless(!accept.isEmpty(), "accept", "add at least one accepted answer");
        Bounds.share("formCredit", formCredit);
        Set<String> names = new HashSet<>();
        refuseNames("variables", variables, names);
        refuseNames("constants", constants, names);
        refuseNames("functions", functions, names);
    }

    static void refuseNames(String place, List<String> given, Set<String> names) {
        for (int i = 0; i < given.size(); i++) {
            String name = given.get(i);
            Faulty.unless(
                    name.matches("\\p{L}[\\p{L}\\p{Nd}]*(_\\{?[\\p{L}\\p{Nd}]+}?)?"),
                    place + "[" + i + "]",
                    "'" + name + "' is no name: a letter, then letters and digits");
            Faulty.unless(names.add(name), place + "[" + i + "]", "'" + name + "' is there twice");
        }
    }

    @Override
    public String kind() {
        return "formula";
    }

    @Override
    public <R> R read(ByKind<R> reader) {
        return reader.formula(this);
    }
}
