package org.scholion.server.person;

import java.util.List;
import java.util.UUID;
import org.scholion.server.platform.Me;
import org.scholion.server.platform.Refused;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.context.ApplicationContext;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/** Run once by {@code bin/person}: begins a school or lets somebody choose a new password, from a shell. */
@Component
@ConditionalOnProperty("scholion.person")
class PersonCommand implements ApplicationRunner {
    private final Schools schools;
    private final Beginning beginning;
    private final People people;
    private final WaysIn waysIn;
    private final TransactionTemplate transaction;
    private final ApplicationContext context;
    private final String command;

    PersonCommand(
            Schools schools,
            Beginning beginning,
            People people,
            WaysIn waysIn,
            TransactionTemplate transaction,
            ApplicationContext context,
            @Value("${scholion.person}") String command) {
        this.schools = schools;
        this.beginning = beginning;
        this.people = people;
        this.waysIn = waysIn;
        this.transaction = transaction;
        this.context = context;
        this.command = command;
    }

    @Override
    public void run(ApplicationArguments arguments) {
        int code = 0;
        try {
            System.out.println(said(arguments.getNonOptionArgs()));
        } catch (Refused e) {
            System.out.println(e.getMessage());
            code = 1;
        }
        int ends = code;
        System.exit(SpringApplication.exit(context, () -> ends));
    }

    String said(List<String> words) {
        return switch (command) {
            case "begin" -> begin();
            case "school" -> java.util.Objects.requireNonNull(transaction.execute(t -> school(words)));
            case "link" -> link(words);
            default -> throw Refused.invalid("", "say begin, school or link");
        };
    }

    private String begin() {
        if (schools.isThereAny()) {
            throw Refused.conflict("there", "There is a school here already. A new password: bin/person link NAME");
        }
        return "Begin the school, within 7 days: " + beginning.link();
    }

    private String school(List<String> words) {
        if (words.size() != 5) {
            throw Refused.invalid(
                    "",
                    "give the school's name, its zone, and the administrator's first name, surname and"
                            + " sign-in name");
        }
        if (schools.isThereAny()) {
            throw Refused.conflict("there", "There is a school here already.");
        }
        People.NewPerson admin =
                new People.NewPerson(Me.Role.ADMIN, words.get(2), words.get(3), null, null, words.get(4));
        Me me = beginning.make(words.get(0), words.get(1), admin, null, false);
        return "The school has begun. " + me.name() + " chooses a password: " + link(List.of(words.get(4)));
    }

    private String link(List<String> words) {
        if (words.size() != 1) {
            throw Refused.invalid("", "give one sign-in name");
        }
        UUID person = people.idOf(words.get(0))
                .orElseThrow(() -> Refused.invalid("", "nobody signs in as “" + words.get(0) + "”"));
        return waysIn.link(null, person);
    }
}
