package org.scholion.server.platform;

import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** What a school has to be able to look up about its doors: who did what, by ids only, in a log of its own name. */
public final class Watched {
    private static final Logger LOG = LoggerFactory.getLogger("scholion.doors");

    private Watched() {}

    /** What happened at the doors. */
    public enum What {
        SIGNED_IN("signed in"),
        WRONG_PASSWORD("wrong password"),
        SLOWED_DOWN("slowed down after wrong passwords"),
        SIGNED_OUT("signed out"),
        SIGNED_OUT_EVERYWHERE("signed out everywhere"),
        NEW_PASSWORD("new password"),
        NEW_ROLE("new role"),
        RELEASED("released from waiting"),
        REFUSED("refused");

        private final String words;

        What(String words) {
            this.words = words;
        }
    }

    /**
     * Notes it.
     *
     * @param person who did it; null for somebody whose name is not known
     * @param about whom or what it was about, when that is another
     */
    public static void note(What what, @Nullable UUID person, @Nullable Object about) {
        LOG.info(
                "{}: {}{}",
                what.words,
                person == null ? "somebody unknown" : person,
                about == null ? "" : ", about " + about);
    }
}
