package org.scholion.server.platform;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import org.hibernate.annotations.Immutable;

/** Random bytes that were made with the database and never leave the server. */
@Entity
@Immutable
@Table(name = "secret")
class SecretRow {
    @Id
    String name = "";

    byte[] bytes = {};
}
