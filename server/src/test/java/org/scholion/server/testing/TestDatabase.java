package org.scholion.server.testing;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.HashMap;
import java.util.Map;
import java.util.concurrent.locks.LockSupport;

/** A database of its own in the tests' private cluster, dropped when it is closed. */
public final class TestDatabase implements AutoCloseable {
    private final Map<String, String> settings;
    private final String name = "test_" + ProcessHandle.current().pid() + "_" + System.nanoTime();

    public TestDatabase() {
        settings = start();
        statement("create database " + name);
    }

    public String url() {
        return settings.get("SCHOLION_DB_URL").replaceFirst("[^/]+$", name);
    }

    public String user() {
        return settings.get("SCHOLION_DB_USER");
    }

    public String password() {
        return settings.get("SCHOLION_DB_PASSWORD");
    }

    public static Path root() {
        return Path.of(System.getProperty("scholion.root", ".."));
    }

    private static Map<String, String> start() {
        try {
            Path script = root().resolve("bin/database");
            Process process = new ProcessBuilder(
                            script.toString(),
                            "start",
                            root().resolve(".data/test").toString())
                    .redirectError(ProcessBuilder.Redirect.INHERIT)
                    .start();
            String said = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
            if (process.waitFor() != 0) {
                throw new IllegalStateException("the tests' database did not start");
            }
            Map<String, String> settings = new HashMap<>();
            said.lines().forEach(line -> settings.put(line.split("=", 2)[0], line.split("=", 2)[1]));
            return settings;
        } catch (IOException e) {
            throw new IllegalStateException(e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        }
    }

    private void statement(String sql) {
        try (Connection connection = DriverManager.getConnection(settings.get("SCHOLION_DB_URL"), user(), password());
                Statement statement = connection.createStatement()) {
            statement.execute(sql);
        } catch (SQLException e) {
            throw new IllegalStateException(e);
        }
    }

    @Override
    public void close() {
        // PostgreSQL's own vacuum may be at it, which only its owner could end: it is soon done.
        for (int attempt = 1; ; attempt++) {
            try {
                statement("drop database if exists " + name + " with (force)");
                return;
            } catch (IllegalStateException e) {
                if (attempt == 50) {
                    throw e;
                }
                LockSupport.parkNanos(200_000_000);
            }
        }
    }
}
