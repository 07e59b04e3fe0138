package org.scholion.core.item;

import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.scholion.core.number.Fraction;

/**
 * A short text, matched against what the key foresees.
 *
 * @param ignore what does not matter
 * @param spelling how many typing slips are forgiven
 * @param otherwiseWrong whether an answer that meets nothing in the key is wrong, instead of a doubt
 * @param language whose articles are left aside, an ISO 639 code
 */
public record TextItem(
        Head head,
        List<Accepted> accept,
        List<Rejected> reject,
        Fraction penalty,
        Set<Ignore> ignore,
        Spelling spelling,
        Fraction spellingCredit,
        boolean otherwiseWrong,
        String language)
        implements Item {

    /** What does not matter when two texts are compared. */
    public enum Ignore {
        CASE,
        SPACE,
        MARKS,
        ACCENTS,
        ARTICLES
    }

    /** How many typing slips are forgiven. */
    public enum Spelling {
        NONE,
        ONE,
        TWO,
        LENGTH
    }

    public static final Set<Ignore> USUAL = Set.of(Ignore.CASE, Ignore.SPACE);

    /** An answer that the key accepts. */
    public sealed interface Accepted permits SameText, Pattern, Words {
        Fraction credit();

        /** The entry as a person wrote it. */
        String shown();
    }

    public record SameText(
            String text, Fraction credit, @Nullable String note) implements Accepted {
        public SameText {
            Faulty.unless(!text.isBlank(), "text", "an accepted text has no letters");
            Bounds.credit("credit", credit);
        }

        @Override
        public String shown() {
            return text;
        }
    }

    public record Pattern(String pattern, Fraction credit) implements Accepted {
        public Pattern {
            Faulty.unless(!pattern.isEmpty(), "pattern", "the pattern is empty");
            Bounds.credit("credit", credit);
        }

        @Override
        public String shown() {
            return pattern;
        }
    }

    public record Words(List<String> all, List<String> any, List<String> none, Fraction credit) implements Accepted {
        public Words {
            all = List.copyOf(all);
            any = List.copyOf(any);
            none = List.copyOf(none);
            Faulty.unless(!all.isEmpty() || !any.isEmpty(), "words", "name at least one word in 'all' or 'any'");
            Bounds.credit("credit", credit);
        }

        @Override
        public String shown() {
            return String.join(", ", all.isEmpty() ? any : all);
        }
    }

    /** A known wrong answer, with a note for whoever gives it. */
    public record Rejected(String text, @Nullable String note) {
        public Rejected {
            Faulty.unless(!text.isBlank(), "text", "a rejected text has no letters");
        }
    }

    public TextItem {
        accept = List.copyOf(accept);
        reject = List.copyOf(reject);
        ignore = ignore.isEmpty() ? Set.of() : Set.copyOf(EnumSet.copyOf(ignore));
        Bounds.share("penalty", penalty);
        Bounds.share("spellingCredit", spellingCredit);
        Faulty.unless(!accept.isEmpty(), "accept", "add at least one accepted answer");
    }

    @Override
    public String kind() {
        return "text";
    }

    @Override
    public <R> R read(ByKind<R> reader) {
        return reader.text(this);
    }
}
