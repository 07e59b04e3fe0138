package org.scholion.core.item;

import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;

/** A thing with an id and what people read: a side of a match, a step to be put in order. */
public record Named(String id, String text) {
    public Named {
        Faulty.unless(!id.isBlank(), "id", "an id is needed");
    }

    /** The ids, refusing one that is there twice. */
    static Set<String> unique(String place, List<Named> things) {
        Set<String> ids = new LinkedHashSet<>();
        for (int i = 0; i < things.size(); i++) {
            String id = things.get(i).id();
            Faulty.unless(ids.add(id), place + "[" + i + "].id", "'" + id + "' is there twice");
        }
        return ids;
    }
}
