package org.scholion.server.handback;

import org.jspecify.annotations.Nullable;

/**
 * What students see of their result. What they do not see is cut on the server and is not in the snapshot.
 *
 * @param score score, percent and band
 * @param marks the mark of each question with its reason
 * @param answers their own answers
 * @param notes what a reader said
 * @param keys the right answers
 * @param standards what was shown of each standard; null for not
 * @param classFigures how the class did; null for not
 */
public record Sees(
        boolean score,
        boolean marks,
        boolean answers,
        boolean notes,
        boolean keys,
        @Nullable Boolean standards,
        @Nullable Boolean classFigures) {
    boolean showsStandards() {
        return Boolean.TRUE.equals(standards);
    }

    boolean showsClass() {
        return Boolean.TRUE.equals(classFigures);
    }
}
