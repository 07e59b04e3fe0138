package org.scholion.server.person;

import jakarta.persistence.Column;
import jakarta.persistence.Embeddable;
import jakarta.persistence.EmbeddedId;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.time.Instant;

/** Failed tries to sign in under a name from an address. */
@Entity
@Table(name = "sign_in_try")
class SignInTry {
    /** What is counted together. */
    @Embeddable
    record Key(String name, String address) {}

    @EmbeddedId
    Key key;

    int fails;

    @Column(name = "until")
    Instant until;

    /** For Hibernate. */
    @SuppressWarnings("NullAway.Init")
    protected SignInTry() {}
}
