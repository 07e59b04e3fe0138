package org.scholion.server.platform;

import java.io.Serializable;
import java.util.UUID;

/** Who is asking: the signed-in person, kept in the session. */
public record Me(UUID id, UUID school, Role role, String given, String family) implements Serializable {
    /** What a person is in the school. */
    public enum Role {
        TEACHER,
        STUDENT,
        ADMIN
    }

    public String name() {
        return given + " " + family;
    }

    public boolean is(Role wanted) {
        return role == wanted;
    }
}
