package org.scholion.server.platform;

import jakarta.servlet.http.HttpServletRequest;
import java.util.Collection;
import java.util.Set;

/** What streams have to know of signing in: they end when it ends. */
public interface SignIns {
    /** A name for the request's being signed in; it is no secret. */
    String key(HttpServletRequest request);

    /** Those of these that are still signed in. */
    Set<String> alive(Collection<String> keys);
}
