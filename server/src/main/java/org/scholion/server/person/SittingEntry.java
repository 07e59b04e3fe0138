package org.scholion.server.person;

import java.util.Optional;
import java.util.UUID;
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

    /** The short word of a sitting; empty where it is no more. */
    Optional<String> wayOf(UUID sitting);
}
