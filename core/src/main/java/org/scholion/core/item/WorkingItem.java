package org.scholion.core.item;

import java.util.HashSet;
import java.util.List;
import org.scholion.core.number.Fraction;

/**
 * Lines of mathematics from a start to an accepted end.
 *
 * @param start the line that is given
 * @param accept accepted ends
 * @param variables names of variables and constants
 * @param steps what the share of right lines earns
 * @param result what reaching the end earns
 * @param followThrough whether lines after a wrong one are judged against it
 */
public record WorkingItem(
        Head head,
        String start,
        List<String> accept,
        List<String> variables,
        Fraction steps,
        Fraction result,
        boolean followThrough)
        implements Item {

    public WorkingItem {
        accept = List.copyOf(accept);
        variables = List.copyOf(variables);
        Faulty.unless(!start.isBlank(), "start", "the line to start from is missing");
        Faulty.unless(!accept.isEmpty(), "accept", "add at least one accepted final line");
        Bounds.share("steps", steps);
        Bounds.share("result", result);
        Faulty.unless(
                steps.plus(result).compareTo(Fraction.ONE) <= 0,
                "steps",
                "steps " + steps + " and result " + result + " are more than 1 together");
        FormulaItem.refuseNames("variables", variables, new HashSet<>());
    }

    @Override
    public String kind() {
        return "working";
    }

    @Override
    public <R> R read(ByKind<R> reader) {
        return reader.working(this);
    }
}
