package org.scholion.core.reason;

import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;
import org.scholion.core.number.Fraction;

/** Why a mark is what it is: a code with typed facts. {@link Words#english} renders it. */
public record Reason(Code code, Map<String, Fact> facts) {

    /** What decided. The second word is what stands as the rule in tables and files. */
    public enum Code {
        BLANK("blank"),
        EXCUSED("excused"),
        CHOICE_KEY("key"),
        CHOICE_CREDIT("credit"),
        CHOICE_OTHER("key"),
        CHOICE_SEVERAL("several"),
        CHOICE_SEVERAL_WRONG("several"),
        CHOICE_EXACT("exact"),
        CHOICE_EACH("each"),
        CHOICE_NET("net"),
        CHOICE_HITS("hits"),
        CHOICE_WEIGHTS("weights"),
        TEXT_SAME("same"),
        TEXT_PATTERN("pattern"),
        TEXT_WORDS("words"),
        TEXT_REJECTED("rejected"),
        TEXT_SLIP("spelling"),
        TEXT_SLIP_REJECTED("spelling"),
        TEXT_TORN("spelling"),
        TEXT_UNKNOWN("otherwise"),
        TEXT_OTHERWISE_WRONG("otherwise"),
        NUMBER_IN("number"),
        NUMBER_OUT("number"),
        NUMBER_UNREADABLE("unreadable"),
        NUMBER_UNREADABLE_WRONG("unreadable"),
        NUMBER_COULD_BE("reading"),
        NUMBER_UNIT_UNKNOWN("unit"),
        NUMBER_UNIT_UNKNOWN_WRONG("unit"),
        BLANKS_PARTS("parts"),
        BLANKS_EXACT("exact"),
        PAIRS_EACH("each"),
        PAIRS_NET("net"),
        PAIRS_EXACT("exact"),
        ORDER_EXACT("exact"),
        ORDER_PLACES("places"),
        ORDER_NEIGHBOURS("neighbours"),
        ORDER_COUPLES("couples"),
        ORDER_LONGEST("longest"),
        SPOT_HITS("hits"),
        SPOT_NET("net"),
        SPOT_EXACT("exact"),
        CORRECTION("correction"),
        OPEN_WAITS("open"),
        OPEN_POINTS("points"),
        /** Points that came from where the answer was scored. */
        ELSEWHERE("elsewhere"),
        OPEN_RUBRIC("rubric"),
        OPEN_MEAN("mean"),
        OPEN_APART("apart"),
        FORMULA_SAME("same"),
        FORMULA_FORM("form"),
        FORMULA_DIFFERENT("different"),
        FORMULA_UNREADABLE("unreadable"),
        FORMULA_UNDECIDED("undecided"),
        WORKING("steps"),
        WORKING_UNREADABLE("unreadable"),
        WORKING_UNDECIDED("undecided"),
        ATTAINED_SHARE("share"),
        ATTAINED_LATEST("latest"),
        ATTAINED_DECAY("decay"),
        ATTAINED_BEST("best"),
        ATTAINED_COUNT("count"),
        ATTAINED_NOTHING("none"),
        TOTAL("total"),
        PERSON("person"),
        RULING("ruling"),
        /** The answer names what the question no longer has. */
        OUTGROWN("outgrown");

        private final String rule;

        Code(String rule) {
            this.rule = rule;
        }

        public String rule() {
            return rule;
        }
    }

    /** A typed argument of a reason. */
    public sealed interface Fact {
        /** Words as someone wrote them. */
        record Word(String text) implements Fact {}

        /** Several of them. */
        record Wordlist(List<String> texts) implements Fact {
            public Wordlist {
                texts = List.copyOf(texts);
            }
        }

        /** An exact number. */
        record Amount(Fraction value) implements Fact {}

        /** Several of them. */
        record Amounts(List<Fraction> values) implements Fact {
            public Amounts {
                values = List.copyOf(values);
            }
        }
    }

    public Reason {
        facts = Collections.unmodifiableMap(new TreeMap<>(facts));
    }

    public static Reason of(Code code) {
        return new Reason(code, Map.of());
    }

    /** The same reason with one more fact. */
    public Reason with(String name, String text) {
        return with(name, new Fact.Word(text));
    }

    public Reason with(String name, List<String> texts) {
        return with(name, new Fact.Wordlist(texts));
    }

    public Reason with(String name, Fraction value) {
        return with(name, new Fact.Amount(value));
    }

    public Reason with(String name, long value) {
        return with(name, Fraction.of(value));
    }

    public Reason withAmounts(String name, List<Fraction> values) {
        return with(name, new Fact.Amounts(values));
    }

    private Reason with(String name, Fact fact) {
        Map<String, Fact> more = new TreeMap<>(facts);
        more.put(name, fact);
        return new Reason(code, more);
    }

    /** The same reason with one fact less. */
    public Reason without(String name) {
        Map<String, Fact> fewer = new TreeMap<>(facts);
        fewer.remove(name);
        return new Reason(code, fewer);
    }

    public boolean has(String name) {
        return facts.containsKey(name);
    }

    /** The fact as a person reads it; empty when it is not there. */
    public String word(String name) {
        Fact fact = facts.get(name);
        if (fact instanceof Fact.Word word) {
            return word.text();
        }
        if (fact instanceof Fact.Wordlist list) {
            return String.join(", ", list.texts());
        }
        if (fact instanceof Fact.Amounts list) {
            return String.join(
                    ", ", list.values().stream().map(Fraction::toPoints).toList());
        }
        return fact instanceof Fact.Amount amount ? amount.value().toPoints() : "";
    }

    /** A percentage as a person reads it: always a decimal, without its sign. */
    public String percentage(String name) {
        return fact(name) instanceof Fact.Amount amount ? amount.value().toReadable() : word(name);
    }

    public List<String> words(String name) {
        return facts.get(name) instanceof Fact.Wordlist list ? list.texts() : List.of();
    }

    public Fraction amount(String name) {
        return facts.get(name) instanceof Fact.Amount amount ? amount.value() : Fraction.ZERO;
    }

    public List<Fraction> amounts(String name) {
        return facts.get(name) instanceof Fact.Amounts list ? list.values() : List.of();
    }

    public @Nullable Fact fact(String name) {
        return facts.get(name);
    }
}
