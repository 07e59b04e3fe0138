package org.scholion.core.answer;

import java.util.LinkedHashSet;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.scholion.core.number.Fraction;

/** What a student said for one item, exactly as given. */
public sealed interface Answer {
    /** Nothing was said: it scores 0 and never a penalty. */
    boolean isBlank();

    /** As a person reads it. */
    String shown();

    Answer NONE = new Typed("");

    /** Options chosen, in the order given. */
    record Chosen(Set<String> options) implements Answer {
        public Chosen {
            options = java.util.Collections.unmodifiableSet(new LinkedHashSet<>(options));
        }

        public static Chosen of(String... ids) {
            return new Chosen(new LinkedHashSet<>(java.util.List.of(ids)));
        }

        @Override
        public boolean isBlank() {
            return options.isEmpty();
        }

        @Override
        public String shown() {
            return String.join(", ", options);
        }
    }

    /** A text or a number as typed. */
    record Typed(String text) implements Answer {
        @Override
        public boolean isBlank() {
            return Spaces.only(text);
        }

        @Override
        public String shown() {
            return text;
        }
    }

    /**
     * An open answer, with its reading when there is one already.
     *
     * @param levels level ids by criterion id
     * @param points points given directly
     */
    record Written(
            String text,
            @Nullable Map<String, String> levels,
            @Nullable Fraction points) implements Answer {
        public Written {
            levels = levels == null ? null : Map.copyOf(levels);
        }

        public static Written of(String text) {
            return new Written(text, null, null);
        }

        @Override
        public boolean isBlank() {
            return Spaces.only(text);
        }

        @Override
        public String shown() {
            return text;
        }
    }
}
