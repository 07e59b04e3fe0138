package org.scholion.core.maths;

import java.util.Map;
import org.scholion.core.number.Fraction;

/** Where terms end: what they leave undefined on whole stretches. */
final class Domain {
    private Domain() {}

    /** Whether the term is undefined at a point since it takes the logarithm of what is below 0 there. */
    static boolean endsAt(Term term, Map<String, Fraction> point, Budget budget) {
        return term.all()
                .filter(t -> t instanceof Term.Fn fn && fn.name().equals("ln"))
                .map(t -> ((Term.Fn) t).argument())
                .anyMatch(argument -> Numeric.at(argument, point, Numeric.DIGITS, budget)
                        .filter(x -> x.sign() < 0)
                        .isPresent());
    }
}
