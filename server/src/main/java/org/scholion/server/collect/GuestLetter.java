package org.scholion.server.collect;

import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.server.mail.LetterWriter;
import org.scholion.server.person.Schools;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/** Brings a guest the code that lets them in, to the address that they gave: who can read it there, has it. */
@Component
class GuestLetter implements LetterWriter {
    static final String KIND = "GUEST";

    private final Guests guests;
    private final Schools schools;
    private final String address;

    GuestLetter(Guests guests, Schools schools, @Value("${scholion.url}") String address) {
        this.guests = guests;
        this.schools = schools;
        this.address = address;
    }

    @Override
    public String kind() {
        return KIND;
    }

    @Override
    public Optional<Letter> write(UUID person, @Nullable UUID by) {
        return guests.proof(person)
                .map(p -> new Letter(p.email(), schools.name(p.school()), "Your code for " + p.title(), """
                                Come in to %s here: %s/s/%s#%s,%s

                                Or type there

                                Name: %s
                                Code: %s

                                The code is for you alone. A new one ends this one. If you did not ask for it, you can \
                                leave this letter as it is.
                                """.formatted(
                                p.title(), address, p.way(), p.name(), p.code(), p.name(), p.code())));
    }
}
