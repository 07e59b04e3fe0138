package org.scholion.server.platform;

import java.util.Arrays;
import java.util.Objects;
import org.flywaydb.core.Flyway;
import org.flywaydb.core.api.MigrationInfo;
import org.springframework.boot.diagnostics.AbstractFailureAnalyzer;
import org.springframework.boot.diagnostics.FailureAnalysis;
import org.springframework.boot.flyway.autoconfigure.FlywayMigrationStrategy;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** A database that a newer version has changed is left alone: this one would not know what its tables mean. */
final class NewerSchema extends RuntimeException {
    private static final long serialVersionUID = 1L;

    NewerSchema(String theirs, String ours) {
        super("The database was last used by a newer version of Scholion: its schema is " + theirs
                + ", this version knows " + ours + ".");
    }

    /** Changes the schema at the start, forward only. */
    @Configuration
    static class Migrating {
        @Bean
        FlywayMigrationStrategy migrate() {
            return flyway -> {
                refuseNewer(flyway);
                flyway.migrate();
            };
        }
    }

    static void refuseNewer(Flyway flyway) {
        MigrationInfo[] all = flyway.info().all();
        Arrays.stream(all)
                .filter(m -> m.getState().isApplied() && !m.getState().isResolved())
                .reduce((first, last) -> last)
                .ifPresent(last -> {
                    String ours = Arrays.stream(all)
                            .filter(m -> m.getState().isResolved())
                            .map(m -> String.valueOf(m.getVersion()))
                            .reduce((first, newest) -> newest)
                            .orElse("none");
                    throw new NewerSchema(String.valueOf(last.getVersion()), ours);
                });
    }

    /** Says it at the start in place of a stack trace. */
    static final class Told extends AbstractFailureAnalyzer<NewerSchema> {
        @Override
        protected FailureAnalysis analyze(Throwable root, NewerSchema cause) {
            return new FailureAnalysis(
                    Objects.requireNonNull(cause.getMessage()),
                    "Nothing was changed. Start the newer version, or bring a backup from before into an empty database.",
                    cause);
        }
    }
}
