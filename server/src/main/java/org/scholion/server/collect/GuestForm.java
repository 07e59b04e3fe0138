package org.scholion.server.collect;

import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import org.scholion.server.platform.Lengths;
import org.scholion.server.platform.Refused;

/**
 * What a guest is asked before the first question, beside the name.
 *
 * @param groupAsked whether they are asked for their class
 * @param own fields of the teacher's
 */
public record GuestForm(Ask groupAsked, Ask email, List<OwnField> own) {
    /** Whether something is asked, and has to be said. */
    public enum Ask {
        NO,
        MAY,
        MUST
    }

    /** A field with a name of the teacher's. */
    public record OwnField(String label, boolean required) {}

    static final GuestForm USUAL = new GuestForm(Ask.NO, Ask.NO, List.of());
    private static final int MOST_FIELDS = 6;
    private static final int LONGEST_LABEL = 80;

    GuestForm checked() {
        if (own.size() > MOST_FIELDS) {
            throw Refused.invalid("guests.form.own", "A form has at most " + MOST_FIELDS + " fields of your own.");
        }
        Set<String> labels = new HashSet<>();
        List<OwnField> fields = own.stream()
                .map(f -> new OwnField(
                        Lengths.atMost("guests.form.own", f.label(), LONGEST_LABEL)
                                .strip(),
                        f.required()))
                .toList();
        for (OwnField field : fields) {
            if (field.label().isEmpty()) {
                throw Refused.invalid("guests.form.own", "Give each field of your own a name, or remove it.");
            }
            if (!labels.add(field.label().toLowerCase(Locale.ROOT))) {
                throw Refused.invalid("guests.form.own", "The field “" + field.label() + "” is there twice.");
            }
        }
        return new GuestForm(groupAsked, email, fields);
    }

    /** The same where an address is needed. */
    GuestForm withEmail() {
        return new GuestForm(groupAsked, Ask.MUST, own);
    }
}
