package org.scholion.server.person;

import java.sql.Timestamp;
import java.time.Clock;
import java.time.Duration;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.scholion.server.platform.Me;
import org.scholion.server.platform.Refused;
import org.springframework.http.HttpStatus;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;

/** Checks names and passwords, and slows down whoever guesses. Failures are counted in the database, for all nodes. */
@Service
class SignIn {
    private static final Duration WINDOW = Duration.ofMinutes(15);
    private static final int MOST_BY_NAME = 8;
    private static final int MOST_BY_ADDRESS = 60;

    private final People people;
    private final JdbcClient db;
    private final Clock clock;

    SignIn(People people, JdbcClient db, Clock clock) {
        this.people = people;
        this.db = db;
        this.clock = clock;
    }

    Me check(String username, String password, String address) {
        String name = username.strip().toLowerCase(Locale.ROOT);
        if (failures("username", name) >= MOST_BY_NAME || failures("address", address) >= MOST_BY_ADDRESS) {
            throw new Refused(
                    HttpStatus.TOO_MANY_REQUESTS,
                    "too-many",
                    "Too many tries. Wait a quarter of an hour, or ask your school for a new password.",
                    List.of());
        }
        Optional<Me> me = people.check(name, password);
        if (me.isEmpty()) {
            db.sql("insert into sign_in_failure (username, address, at) values (?, ?, ?)")
                    .params(name, address, Timestamp.from(clock.instant()))
                    .update();
            throw new Refused(
                    HttpStatus.UNAUTHORIZED, "sign-in", "This name and password do not fit together.", List.of());
        }
        db.sql("delete from sign_in_failure where username = ? or at < ?")
                .params(name, Timestamp.from(clock.instant().minus(WINDOW)))
                .update();
        return me.get();
    }

    private int failures(String column, String value) {
        return db.sql("select count(*) from sign_in_failure where " + column + " = ? and at > ?")
                .params(value, Timestamp.from(clock.instant().minus(WINDOW)))
                .query(Integer.class)
                .single();
    }
}
