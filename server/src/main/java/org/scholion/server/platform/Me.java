package org.scholion.server.platform;

import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.AuthenticatedPrincipal;

/**
 * Who is asking: the signed-in person, read at each request.
 *
 * @param only the sitting to which somebody came in by a slip, beside which there is nothing for them; null for all that
 *     is theirs
 */
public record Me(
        UUID id,
        UUID school,
        Role role,
        String given,
        String family,
        @Nullable UUID only) implements AuthenticatedPrincipal {
    public Me(UUID id, UUID school, Role role, String given, String family) {
        this(id, school, role, given, family, null);
    }

    /** What a person is in the school. */
    public enum Role {
        TEACHER,
        STUDENT,
        ADMIN
    }

    /** The same for one sitting only. */
    public Me within(UUID sitting) {
        return new Me(id, school, role, given, family, sitting);
    }

    public String name() {
        return given + " " + family;
    }

    /** What sessions are listed under. */
    @Override
    public String getName() {
        return id.toString();
    }

    public boolean is(Role wanted) {
        return role == wanted;
    }
}
