package org.scholion.server.person;

import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.server.platform.Me;

/** The way into one sitting with a code from a slip: whoever has sittings answers. */
public interface SittingEntry {
    /**
     * Whom a code lets in.
     *
     * @param way the short word of the sitting
     * @param who the student's number or sign-in name
     * @return who it is, for that sitting only; empty where the three do not belong together
     */
    Optional<Me> enter(String way, String who, String code);

    /**
     * What somebody says who is on no roster.
     *
     * @param once a word of their browser's own: a repeated request with it is the same guest
     * @param group the class that they say they are of; may be empty
     * @param own by the labels of the teacher's own fields
     */
    record GuestGiven(
            String way, UUID once, String given, String family, String group, String email, Map<String, String> own) {}

    /**
     * What came of it.
     *
     * @param me who is let in; null where the code goes to the address that was given
     * @param who the name with which to come back
     * @param code with which to come back; null where it goes to the address
     */
    record LetIn(@Nullable Me me, String who, @Nullable String code) {}

    /** Lets in somebody who is on no roster, where that is allowed. */
    LetIn guest(GuestGiven given);

    /** The short word of a sitting; empty where it is no more. */
    Optional<String> wayOf(UUID sitting);
}
