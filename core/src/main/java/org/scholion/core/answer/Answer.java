package org.scholion.core.answer;

import java.util.LinkedHashSet;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.scholion.core.item.PairsItem;
import org.scholion.core.item.SpotItem;
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

    /** An answer for each part of blanks, by the part's id; a part that is missing is blank. */
    record Parts(Map<String, Answer> parts) implements Answer {
        public Parts {
            parts = java.util.Collections.unmodifiableMap(new java.util.LinkedHashMap<>(parts));
        }

        @Override
        public boolean isBlank() {
            return parts.values().stream().allMatch(Answer::isBlank);
        }

        @Override
        public String shown() {
            return String.join(" · ", parts.values().stream().map(Answer::shown).toList());
        }
    }

    /** Pairs of a left and a right id. */
    record Paired(Set<PairsItem.Pair> pairs) implements Answer {
        public Paired {
            pairs = java.util.Collections.unmodifiableSet(new LinkedHashSet<>(pairs));
        }

        @Override
        public boolean isBlank() {
            return pairs.isEmpty();
        }

        @Override
        public String shown() {
            return String.join(
                    "; ", pairs.stream().map(PairsItem.Pair::toString).toList());
        }
    }

    /** Ids in the order given; some may be left out, none stands twice. */
    record Ordered(java.util.List<String> ids) implements Answer {
        public Ordered {
            ids = java.util.List.copyOf(ids);
        }

        @Override
        public boolean isBlank() {
            return ids.isEmpty();
        }

        @Override
        public String shown() {
            return String.join("; ", ids);
        }
    }

    /** Points on a picture, in the order given. */
    record Pointed(java.util.List<SpotItem.Point> points) implements Answer {
        public Pointed {
            points = java.util.List.copyOf(points);
        }

        @Override
        public boolean isBlank() {
            return points.isEmpty();
        }

        @Override
        public String shown() {
            return String.join(
                    "; ", points.stream().map(p -> p.x() + "," + p.y()).toList());
        }
    }

    /** Lines of working, in the order given. */
    record Lines(java.util.List<String> lines) implements Answer {
        public Lines {
            lines = java.util.List.copyOf(lines);
        }

        @Override
        public boolean isBlank() {
            return lines.stream().allMatch(Spaces::only);
        }

        @Override
        public String shown() {
            return String.join("\n", lines);
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
     * @param levels level ids by criterion id; none are no reading
     * @param points points given directly
     * @param attachments names of the pictures and PDFs that belong to it, in the order given
     */
    record Written(
            String text,
            @Nullable Map<String, String> levels,
            @Nullable Fraction points,
            java.util.List<String> attachments)
            implements Answer {
        public Written {
            levels = levels == null || levels.isEmpty() ? null : Map.copyOf(levels);
            attachments = java.util.List.copyOf(attachments);
        }

        public Written(String text, @Nullable Map<String, String> levels, @Nullable Fraction points) {
            this(text, levels, points, java.util.List.of());
        }

        public static Written of(String text) {
            return new Written(text, null, null);
        }

        @Override
        public boolean isBlank() {
            return Spaces.only(text) && attachments.isEmpty();
        }

        @Override
        public String shown() {
            return text;
        }
    }
}
