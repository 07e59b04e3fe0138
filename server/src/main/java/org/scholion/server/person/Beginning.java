package org.scholion.server.person;

import java.time.DateTimeException;
import java.time.ZoneId;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.server.platform.Deeds;
import org.scholion.server.platform.Ids;
import org.scholion.server.platform.Lengths;
import org.scholion.server.platform.Me;
import org.scholion.server.platform.Refused;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.core.annotation.Order;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The first start on an empty database: a link on the terminal, behind it the school and its first administrator. */
@Service
class Beginning {
    private static final Logger LOG = LoggerFactory.getLogger(Beginning.class);

    private final Schools schools;
    private final Register register;
    private final WaysIn waysIn;
    private final PasswordEncoder passwords;
    private final Deeds deeds;
    private final Ids ids;
    private final boolean offers;

    Beginning(
            Schools schools,
            Register register,
            WaysIn waysIn,
            PasswordEncoder passwords,
            Deeds deeds,
            Ids ids,
            @Value("${scholion.demo}") boolean demo,
            @Value("${scholion.check:false}") boolean checks,
            @Value("${scholion.person:}") String command) {
        this.schools = schools;
        this.register = register;
        this.waysIn = waysIn;
        this.passwords = passwords;
        this.deeds = deeds;
        this.ids = ids;
        this.offers = !demo && !checks && command.isEmpty();
    }

    /** What is needed to begin. */
    record FirstSchool(
            String word,
            String school,
            String zone,
            String language,
            String given,
            String family,
            @Nullable String email,
            String username,
            String password) {}

    @EventListener(ApplicationReadyEvent.class)
    @Order(1)
    void offer() {
        if (offers && !schools.isThereAny()) {
            LOG.info("There is no school here yet. Begin it, within 7 days: {}", link());
        }
    }

    /** A link to the page on which a school begins. */
    String link() {
        return waysIn.begin();
    }

    /** Makes the school and its first administrator, once, for whoever has the link. */
    @Transactional
    public Me begin(FirstSchool wanted) {
        schools.alone();
        if (!waysIn.canBegin(wanted.word())) {
            throw WaysIn.used();
        }
        String password = Passwords.checked(wanted.password(), wanted.username());
        People.NewPerson admin = new People.NewPerson(
                Me.Role.ADMIN, wanted.given(), wanted.family(), null, wanted.email(), wanted.username());
        Me me = make(wanted.school(), wanted.zone(), admin, passwords.encode(password), true);
        schools.setLanguage(me.school(), wanted.language());
        return me;
    }

    /** Makes the school where there is none; without a password its administrator needs a link. */
    @Transactional
    Me make(String name, String zone, People.NewPerson admin, @Nullable String passwordHash, boolean byThemselves) {
        schools.alone();
        if (schools.isThereAny()) {
            throw WaysIn.used();
        }
        UUID school = ids.next();
        String title = Lengths.name("school", name);
        schools.add(school, title, zone(zone), false);
        Me me = register.first(school, admin, passwordHash);
        waysIn.begun();
        deeds.note(school, byThemselves ? me.id() : null, Deeds.What.SCHOOL_BEGUN, school, title);
        return me;
    }

    static String zone(String zone) {
        try {
            return ZoneId.of(zone).getId();
        } catch (DateTimeException e) {
            throw Refused.invalid("zone", "“" + zone + "” is no time zone; choose one such as Europe/London");
        }
    }
}
