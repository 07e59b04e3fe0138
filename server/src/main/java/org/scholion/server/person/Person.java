package org.scholion.server.person;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.server.platform.Me;

@Entity
class Person {
    @Id
    UUID id = new UUID(0, 0);

    @Column(name = "school_id")
    UUID school = new UUID(0, 0);

    @Enumerated(EnumType.STRING)
    Me.Role role = Me.Role.STUDENT;

    String given = "";
    String family = "";

    @Nullable
    String number;

    @Nullable
    String email;

    String username = "";

    /** A hash; null while nobody can sign in as this person. */
    @Nullable
    String password;

    Me me() {
        return new Me(id, school, role, given, family);
    }
}
