package org.scholion.core.item;

import java.util.List;
import java.util.Set;

/** Things to be put in order; {@code key} holds two ids or more in the right order. */
public record OrderItem(Head head, List<Named> tokens, List<String> key, Rule rule) implements Item {

    /** How an order is scored. */
    public enum Rule {
        EXACT,
        PLACES,
        NEIGHBOURS,
        COUPLES,
        LONGEST
    }

    public OrderItem {
        tokens = List.copyOf(tokens);
        key = List.copyOf(key);
        Set<String> ids = Named.unique("tokens", tokens);
        Faulty.unless(key.size() >= 2, "key", "an order needs at least two things");
        for (int i = 0; i < key.size(); i++) {
            Faulty.unless(ids.contains(key.get(i)), "key[" + i + "]", "nothing is called '" + key.get(i) + "'");
            Faulty.unless(key.indexOf(key.get(i)) == i, "key[" + i + "]", "'" + key.get(i) + "' is in the order twice");
        }
    }

    @Override
    public String kind() {
        return "order";
    }

    @Override
    public <R> R read(ByKind<R> reader) {
        return reader.order(this);
    }
}
