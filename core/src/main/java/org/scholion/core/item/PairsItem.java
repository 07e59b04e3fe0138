package org.scholion.core.item;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * Matching: pairs of a left and a right thing.
 *
 * @param perLeft the most pairs that a left thing may stand in
 * @param perRight the same of a right thing; null means no limit
 */
public record PairsItem(
        Head head,
        List<Named> left,
        List<Named> right,
        List<Pair> key,
        Rule rule,
        int perLeft,
        @Nullable Integer perRight)
        implements Item {

    /** How pairs are scored. */
    public enum Rule {
        EACH,
        NET,
        EXACT
    }

    public record Pair(String left, String right) {
        @Override
        public String toString() {
            return left + "=" + right;
        }
    }

    public PairsItem {
        left = List.copyOf(left);
        right = List.copyOf(right);
        key = List.copyOf(key);
        Set<String> lefts = Named.unique("left", left);
        Set<String> rights = Named.unique("right", right);
        Faulty.unless(!key.isEmpty(), "key", "match at least one pair");
        for (int i = 0; i < key.size(); i++) {
            Pair pair = key.get(i);
            Faulty.unless(
                    lefts.contains(pair.left()),
                    "key[" + i + "][0]",
                    "nothing on the left is called '" + pair.left() + "'");
            Faulty.unless(
                    rights.contains(pair.right()),
                    "key[" + i + "][1]",
                    "nothing on the right is called '" + pair.right() + "'");
            Faulty.unless(key.indexOf(pair) == i, "key[" + i + "]", "the pair " + pair + " is keyed twice");
        }
        Faulty.unless(perLeft >= 1, "perLeft", "perLeft " + perLeft + " is below 1");
        Faulty.unless(perRight == null || perRight >= 1, "perRight", "perRight " + perRight + " is below 1");
        Set<Pair> keyed = new HashSet<>(key);
        over(keyed, perLeft, perRight).ifPresent(what -> {
            throw new Faulty("key", what);
        });
    }

    /** What stands in more pairs than it may, in words; empty when nothing does. */
    public java.util.Optional<String> over(Set<Pair> pairs) {
        return over(pairs, perLeft, perRight);
    }

    private static java.util.Optional<String> over(Set<Pair> pairs, int perLeft, @Nullable Integer perRight) {
        for (Pair pair : pairs) {
            long lefts =
                    pairs.stream().filter(p -> p.left().equals(pair.left())).count();
            long rights =
                    pairs.stream().filter(p -> p.right().equals(pair.right())).count();
            if (lefts > perLeft) {
                return java.util.Optional.of(
                        "'" + pair.left() + "' stands in " + lefts + " pairs, at most " + perLeft + " are allowed");
            }
            if (perRight != null && rights > perRight) {
                return java.util.Optional.of(
                        "'" + pair.right() + "' stands in " + rights + " pairs, at most " + perRight + " are allowed");
            }
        }
        return java.util.Optional.empty();
    }

    @Override
    public String kind() {
        return "pairs";
    }

    @Override
    public <R> R read(ByKind<R> reader) {
        return reader.pairs(this);
    }
}
