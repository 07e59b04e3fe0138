package org.scholion.server.bank;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.IdClass;
import jakarta.persistence.Table;
import java.io.Serializable;
import java.math.BigDecimal;
import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** Which item of which assessment is which item of the bank, and how it did there when it was last handed back. */
@Entity
@Table(name = "bank_use")
@IdClass(BankUse.Key.class)
class BankUse {
    record Key(UUID assessment, String item) implements Serializable {}

    @Id
    @Column(name = "assessment_id")
    UUID assessment;

    @Id
    String item;

    @Column(name = "item_id")
    UUID bankItem;

    int version;
    Instant at;
    int students;

    @Column(name = "mean_score")
    @Nullable
    BigDecimal meanScore;

    /** Something was handed back since. */
    boolean outdated;

    @SuppressWarnings("NullAway.Init")
    protected BankUse() {}
}
