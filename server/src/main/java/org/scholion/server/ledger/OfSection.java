package org.scholion.server.ledger;

import jakarta.persistence.TypedQuery;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** Queries about attempts {@code x}, of one section where one is named. */
final class OfSection {
    private OfSection() {}

    /** What follows the other conditions. */
    static String where(@Nullable UUID section) {
        return section == null ? " " : " and x.section = :section ";
    }

    static <T> TypedQuery<T> set(TypedQuery<T> query, @Nullable UUID section) {
        return section == null ? query : query.setParameter("section", section);
    }
}
