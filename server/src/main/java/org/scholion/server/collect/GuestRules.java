package org.scholion.server.collect;

import jakarta.persistence.Column;
import jakarta.persistence.Embeddable;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

/** Who beside those of the roster comes to a sitting by its short link, and what they are asked before. */
@Embeddable
public record GuestRules(
        @Enumerated(EnumType.STRING) @Column(name = "guests")
        Who who,

        @JdbcTypeCode(SqlTypes.JSON) @Column(name = "guest_form")
        GuestForm form) {
    /** Who may come beside the roster. */
    public enum Who {
        NOBODY,
        /** Whoever gets letters at one of the school's own addresses, where the code is sent. */
        ADDRESSES,
        /** Whoever has the link. */
        ANYBODY
    }

    public static final GuestRules USUAL = new GuestRules(Who.NOBODY, GuestForm.USUAL);

    GuestRules checked() {
        GuestForm checked = form.checked();
        return new GuestRules(who, who == Who.ADDRESSES ? checked.withEmail() : checked);
    }
}
