package org.scholion.server.platform;

import jakarta.servlet.http.HttpServletRequest;
import java.util.Collection;
import java.util.Set;
import java.util.UUID;

/** What others have to know of signing in: streams end when it ends, and a sitting can end it. */
public interface SignIns {
    /** A name for the request's being signed in; it is no secret. */
    String key(HttpServletRequest request);

    /** Those of these that are still signed in. */
    Set<String> alive(Collection<String> keys);

    /** Signs out whoever came in to this sitting only by a slip; its guests stay. */
    void endOf(UUID sitting);
}
