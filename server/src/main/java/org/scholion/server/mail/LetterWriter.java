package org.scholion.server.mail;

import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** Writes the letters of one kind, each at the moment in which it is sent. */
public interface LetterWriter {
    /** The word by which a feature asks for its letters. */
    String kind();

    /**
     * The letter to a person; empty when there is no cause for it any more.
     *
     * @param by who asked for it; null when nobody in particular did
     */
    Optional<Letter> write(UUID person, @Nullable UUID by);

    /**
     * A letter in plain text.
     *
     * @param from whom it comes from, beside the school's address
     */
    record Letter(String address, String from, String subject, String text) {}
}
