package org.scholion.server;

import org.scholion.server.platform.SchoolClock;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.context.annotation.Bean;
import org.springframework.data.jpa.repository.config.EnableJpaRepositories;

/** The application. Without arguments it serves; {@code bin/check} runs it once to recompute every standing. */
@SpringBootApplication
// A feature keeps its repository inside its service.
@EnableJpaRepositories(considerNestedRepositories = true)
public class ScholionApplication {
    public static void main(String[] args) {
        SpringApplication.run(ScholionApplication.class, args);
    }

    @Bean
    SchoolClock clock() {
        return new SchoolClock();
    }
}
