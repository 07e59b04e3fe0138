package org.scholion.bench.load;

import java.io.File;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.jspecify.annotations.Nullable;

/** A database and a server of the measurement's own, which it may stop and kill. */
final class Place implements AutoCloseable {
    final int port;
    private final Path root;
    private final Path folder;
    private final Map<String, String> settings = new HashMap<>();
    private final String databaseOptions;
    private @Nullable Process server;

    Place(Path root, Path folder, int port, String databaseOptions) {
        this.root = root;
        this.folder = folder;
        this.port = port;
        this.databaseOptions = databaseOptions;
    }

    void startDatabase() throws IOException, InterruptedException {
        // A killed server's memory is given back a moment later.
        for (int trial = 0; ; trial++) {
            String told = run(List.of(root.resolve("bin/database").toString(), "start", folder.toString()));
            told.lines().filter(l -> l.startsWith("SCHOLION_DB_")).forEach(l -> {
                int at = l.indexOf('=');
                settings.put(l.substring(0, at), l.substring(at + 1));
            });
            if (told.contains("SCHOLION_DB_PASSWORD=")) {
                return;
            }
            if (trial == 60) {
                throw new IOException("the database does not start: " + told);
            }
            Thread.sleep(500);
        }
    }

    void stopDatabase() throws IOException, InterruptedException {
        run(List.of(root.resolve("bin/database").toString(), "stop", folder.toString()));
    }

    void removeDatabase() throws IOException, InterruptedException {
        run(List.of(root.resolve("bin/database").toString(), "remove", folder.toString()));
    }

    /** SIGKILL to the database's first process; the others end as they notice. */
    void killDatabase() throws IOException, InterruptedException {
        String pid = Files.readAllLines(folder.resolve("cluster/postmaster.pid"))
                .get(0)
                .strip();
        run(List.of("kill", "-9", pid));
    }

    void startServer() throws IOException, InterruptedException {
        List<String> command = new ArrayList<>();
        command.add("java");
        command.addAll(
                List.of(Objects.requireNonNull(System.getenv("SCHOLION_JVM")).split(" ")));
        command.addAll(List.of("-jar", root.resolve(".data/app/scholion.jar").toString()));
        ProcessBuilder builder = new ProcessBuilder(command);
        builder.environment().putAll(settings);
        builder.environment().put("PORT", String.valueOf(port));
        builder.environment().put("SCHOLION_DEMO", "true");
        server = builder.redirectErrorStream(true)
                .redirectOutput(ProcessBuilder.Redirect.appendTo(log()))
                .start();
        Instant until = Instant.now().plus(Duration.ofSeconds(120));
        while (Instant.now().isBefore(until)) {
            try (Wire wire = new Wire(port)) {
                if (wire.send("GET", "/api/ready", "", new byte[0]).status() == 204) {
                    return;
                }
            } catch (IOException e) {
                // Not listening yet.
            }
            Thread.sleep(50);
        }
        throw new IOException("the server is not ready after two minutes; see " + log());
    }

    private File log() {
        return folder.resolveSibling(folder.getFileName() + ".log").toFile();
    }

    void killServer() throws InterruptedException {
        if (server != null) {
            server.destroyForcibly().waitFor();
        }
    }

    /** What the database answers, a row a line, cells separated by tabs. */
    List<String> rows(String sql) throws IOException, InterruptedException {
        ProcessBuilder psql =
                new ProcessBuilder(program("psql"), "-qAt", "-F", "\t", "-v", "ON_ERROR_STOP=1", "-c", sql);
        String told = ask(psql);
        return told.isEmpty() ? List.of() : told.lines().toList();
    }

    /** A program of PostgreSQL's that measures, with a script of its own; what it says. */
    String pgbench(Path script, int clients, int seconds) throws IOException, InterruptedException {
        return ask(new ProcessBuilder(
                program("pgbench"),
                "-n",
                "-M",
                "prepared",
                "-f",
                script.toString(),
                "-c",
                String.valueOf(clients),
                "-j",
                "2",
                "-T",
                String.valueOf(seconds)));
    }

    /** The standings, recomputed from answers and marks. */
    int check() throws IOException, InterruptedException {
        List<String> command = new ArrayList<>(List.of("java"));
        command.addAll(
                List.of(Objects.requireNonNull(System.getenv("SCHOLION_JVM")).split(" ")));
        command.addAll(List.of(
                "-jar",
                root.resolve(".data/app/scholion.jar").toString(),
                "--scholion.check=true",
                "--server.port=0",
                "--db-scheduler.enabled=false",
                "--logging.level.root=error",
                "--logging.level.org.scholion=error"));
        ProcessBuilder builder = new ProcessBuilder(command);
        builder.environment().putAll(settings);
        builder.environment().put("SCHOLION_DEMO", "false");
        return builder.inheritIO().start().waitFor();
    }

    private static String program(String name) throws IOException {
        try (var versions = Files.list(Path.of("/usr/lib/postgresql"))) {
            return versions.map(v -> v.resolve("bin").resolve(name))
                    .filter(Files::isExecutable)
                    .max(Path::compareTo)
                    .orElseThrow(() -> new IOException("PostgreSQL's " + name + " is not installed"))
                    .toString();
        }
    }

    private String run(List<String> command) throws IOException, InterruptedException {
        ProcessBuilder builder = new ProcessBuilder(command);
        builder.environment().put("SCHOLION_PG_OPTIONS", databaseOptions);
        return run(builder);
    }

    /** Runs a program of PostgreSQL's on this database. */
    private String ask(ProcessBuilder builder) throws IOException, InterruptedException {
        String url = settings.getOrDefault("SCHOLION_DB_URL", "jdbc:postgresql://127.0.0.1:0/scholion");
        String place = url.substring(url.indexOf("//") + 2);
        builder.environment().put("PGHOST", "127.0.0.1");
        builder.environment().put("PGPORT", place.substring(place.indexOf(':') + 1, place.indexOf('/')));
        builder.environment().put("PGDATABASE", "scholion");
        builder.environment().put("PGUSER", settings.getOrDefault("SCHOLION_DB_USER", ""));
        builder.environment().put("PGPASSWORD", settings.getOrDefault("SCHOLION_DB_PASSWORD", ""));
        return run(builder);
    }

    private static String run(ProcessBuilder builder) throws IOException, InterruptedException {
        Path out = Files.createTempFile("scholion-load", ".txt");
        try {
            // A database that is started keeps what it was given to write to.
            Process process = builder.redirectErrorStream(true)
                    .redirectOutput(out.toFile())
                    .redirectInput(new File("/dev/null"))
                    .start();
            process.waitFor();
            return Files.readString(out, StandardCharsets.UTF_8);
        } finally {
            Files.delete(out);
        }
    }

    @Override
    public void close() throws IOException, InterruptedException {
        killServer();
        stopDatabase();
    }
}
