package org.scholion.server.person;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Version;
import java.time.Instant;
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

    /** Since when nobody can sign in as this person, however right the password. */
    @Column(name = "disabled_at")
    @Nullable
    Instant disabledAt;

    /** The sitting to which alone they came as a guest; null for whoever is of the school. */
    @Column(name = "guest_of")
    @Nullable
    UUID guestOf;

    @Version
    int revision;

    @SuppressWarnings("NullAway.Init")
    Person() {}

    /** As they are called, also of one who was made just now. */
    String name() {
        return given + " " + family;
    }

    Me me() {
        return new Me(id, school, role, given, family);
    }
}
