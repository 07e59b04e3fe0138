package org.scholion.server.person;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.server.mail.LetterWriter;
import org.springframework.stereotype.Component;

/** The letter with the link by which somebody chooses a password; the link is made when the letter is sent. */
@Component
class InvitationWriter implements LetterWriter {
    static final String KIND = "INVITATION";

    private final EntityManager entities;
    private final WaysIn waysIn;
    private final Clock clock;

    InvitationWriter(EntityManager entities, WaysIn waysIn, Clock clock) {
        this.entities = entities;
        this.waysIn = waysIn;
        this.clock = clock;
    }

    @Override
    public String kind() {
        return KIND;
    }

    @Override
    public Optional<Letter> write(UUID person, @Nullable UUID by) {
        Person row = entities.find(Person.class, person);
        if (row == null || row.disabledAt != null || row.email == null || row.email.isBlank()) {
            return Optional.empty();
        }
        School school = entities.find(School.class, row.school);
        Person inviting = by == null ? null : entities.find(Person.class, by);
        String until = DateTimeFormatter.ofPattern("d MMMM yyyy, HH:mm", Locale.ENGLISH)
                .format(clock.instant().plus(WaysIn.LINK_HOLDS).atZone(ZoneId.of(school.zone)));
        String text = """
                Dear %s,

                %s invites you to choose a password for Scholion at %s. You sign in as %s.

                %s

                The link works once, until %s (%s). Give it to nobody else.
                If you do not know what this is about, you need not do anything.
                """.formatted(
                        row.name(),
                        inviting == null ? school.name : inviting.name(),
                        school.name,
                        row.username,
                        waysIn.link(by, person),
                        until,
                        school.zone);
        return Optional.of(new Letter(row.email, school.name, "Your password for Scholion at " + school.name, text));
    }
}
