package org.scholion.server;

import org.scholion.server.platform.SchoolClock;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.context.annotation.Bean;

/** The application. Without arguments it serves; {@code bin/check} runs it once to recompute every standing. */
@SpringBootApplication
public class ScholionApplication {
    public static void main(String[] args) {
        SpringApplication.run(ScholionApplication.class, args);
    }

    @Bean
    SchoolClock clock() {
        return new SchoolClock();
    }
}
