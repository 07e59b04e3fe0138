package org.scholion.core.item;

import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.scholion.core.number.Fraction;

/**
 * Options, of which one or several are keyed.
 *
 * @param max how many may be chosen
 * @param rule how several choices are scored; with {@code max} 1 only {@link Rule#EXACT} means anything
 * @param credits credits of options outside the key
 * @param penalty what a wrong choice costs, as a share of the points
 * @param severalWrong with {@code max} 1: whether two choices are wrong, instead of a doubt
 * @param negative with {@link Rule#WEIGHTS}: whether the sum may go below 0
 */
public record ChoiceItem(
        Head head,
        List<Option> options,
        List<String> key,
        int max,
        Rule rule,
        Map<String, Fraction> credits,
        Fraction penalty,
        boolean severalWrong,
        boolean negative)
        implements Item {

    /** How a set of choices is scored. */
    public enum Rule {
        EXACT,
        EACH,
        NET,
        HITS,
        WEIGHTS
    }

    /** What can be chosen. */
    public record Option(String id, String text) {
        public Option {
            Faulty.unless(!id.isBlank(), "id", "an option needs an id");
        }
    }

    public ChoiceItem {
        options = List.copyOf(options);
        key = List.copyOf(key);
        credits = Map.copyOf(credits);
        Set<String> ids = new LinkedHashSet<>();
        for (int i = 0; i < options.size(); i++) {
            Faulty.unless(
                    ids.add(options.get(i).id()),
                    "options[" + i + "].id",
                    "option '" + options.get(i).id() + "' is there twice");
        }
        Faulty.unless(!key.isEmpty(), "key", "choose at least one right option");
        for (int i = 0; i < key.size(); i++) {
            Faulty.unless(ids.contains(key.get(i)), "key[" + i + "]", "no option is called '" + key.get(i) + "'");
            Faulty.unless(key.indexOf(key.get(i)) == i, "key[" + i + "]", "option '" + key.get(i) + "' is keyed twice");
        }
        for (Map.Entry<String, Fraction> credit : credits.entrySet()) {
            Faulty.unless(
                    ids.contains(credit.getKey()),
                    "credits." + credit.getKey(),
                    "no option is called '" + credit.getKey() + "'");
            Bounds.credit("credits." + credit.getKey(), credit.getValue());
        }
        Faulty.unless(max >= 1, "max", "at least one choice must be allowed");
        Bounds.share("penalty", penalty);
    }

    @Override
    public String kind() {
        return "choice";
    }

    @Override
    public <R> R read(ByKind<R> reader) {
        return reader.choice(this);
    }
}
