package org.scholion.core.score;

import java.util.Collection;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import org.scholion.core.item.ChoiceItem;

/** How options are named to people: by their text, or by their id where they have none. */
record Labels(ChoiceItem item) {
    String of(String id) {
        return item.options().stream()
                .filter(o -> o.id().equals(id))
                .map(o -> o.text().isBlank() ? o.id() : o.text())
                .findFirst()
                .orElse(id);
    }

    List<String> of(Collection<String> ids) {
        return ids.stream().map(this::of).toList();
    }

    /** The chosen options in the order of the paper, so that equal choices have equal reasons. */
    List<String> inOrder(Set<String> chosen) {
        return of(item.options().stream()
                .map(ChoiceItem.Option::id)
                .filter(chosen::contains)
                .toList());
    }

    void refuseUnknown(Set<String> chosen) {
        for (String id : chosen) {
            if (item.options().stream().noneMatch(o -> o.id().equals(id))) {
                throw new IllegalArgumentException("item " + item.id() + ": no option is called '" + id + "'");
            }
        }
    }

    static String form(Set<String> chosen) {
        return String.join(";", new TreeSet<>(chosen));
    }
}
