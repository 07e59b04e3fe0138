package org.scholion.server.person;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import java.util.UUID;
import org.hibernate.annotations.Formula;
import org.jspecify.annotations.Nullable;
import org.scholion.server.platform.Me;

@Entity
class Person {
    @Id
    UUID id;

    @Column(name = "school_id")
    UUID school;

    @Enumerated(EnumType.STRING)
    Me.Role role;

    String given;
    String family;

    /** As they are called everywhere. */
    @Formula("concat_ws(' ', given, `family`)")
    String name;

    @Nullable
    String number;

    @Nullable
    String email;

    String username;

    /** A hash; null while nobody can sign in as this person. */
    @Nullable
    String password;

    @SuppressWarnings("NullAway.Init")
    Person() {}

    Me me() {
        return new Me(id, school, role, given, family);
    }
}
