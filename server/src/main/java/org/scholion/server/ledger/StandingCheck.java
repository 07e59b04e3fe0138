package org.scholion.server.ledger;

import java.util.List;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.context.ApplicationContext;
import org.springframework.stereotype.Component;

/** Run once by {@code bin/check}: says every difference and ends with 1 when there is one. */
@Component
@ConditionalOnProperty("scholion.check")
class StandingCheck implements ApplicationRunner {
    private final Standings standings;
    private final ApplicationContext context;

    StandingCheck(Standings standings, ApplicationContext context) {
        this.standings = standings;
        this.context = context;
    }

    @Override
    public void run(ApplicationArguments arguments) {
        List<String> differences = standings.differences();
        differences.forEach(System.out::println);
        System.out.println(
                differences.isEmpty()
                        ? "Every standing is what responses and ledger say."
                        : differences.size() + " differences");
        System.exit(SpringApplication.exit(context, () -> differences.isEmpty() ? 0 : 1));
    }
}
