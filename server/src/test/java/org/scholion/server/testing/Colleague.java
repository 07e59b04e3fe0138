package org.scholion.server.testing;

import java.util.UUID;
import org.scholion.server.person.People;
import org.scholion.server.platform.Me;
import org.springframework.jdbc.core.simple.JdbcClient;

/** A teacher of our school who teaches none of our courses. */
public record Colleague(String id, String name, Visitor visitor) {
    public static Colleague called(Scholion.Running school, String given) {
        UUID ours = school.bean(JdbcClient.class)
                .sql("select id from school order by id limit 1")
                .query(UUID.class)
                .single();
        String family = "Elsewhere" + System.nanoTime();
        Me made = school.bean(People.class)
                .add(ours, new People.NewPerson(Me.Role.TEACHER, given, family, null, null, family), null);
        return new Colleague(made.id().toString(), made.name(), school.as(made.name()));
    }
}
