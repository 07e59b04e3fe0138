package org.scholion.server.platform;

import java.util.UUID;
import org.springframework.security.core.AuthenticatedPrincipal;

/** Who is asking: the signed-in person, read at each request. */
public record Me(UUID id, UUID school, Role role, String given, String family) implements AuthenticatedPrincipal {
    /** What a person is in the school. */
    public enum Role {
        TEACHER,
        STUDENT,
        ADMIN
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
