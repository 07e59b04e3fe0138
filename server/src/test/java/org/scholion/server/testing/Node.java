package org.scholion.server.testing;

import java.io.IOException;
import java.net.ServerSocket;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;

/** A node: the application as a process of its own, which can be killed. */
public final class Node implements AutoCloseable {
    private final Process process;
    private final String address;

    private Node(Process process, String address) {
        this.process = process;
        this.address = address;
    }

    /** Starts with the demo on a database, and waits until it is ready. */
    public static Node on(TestDatabase database, String... settings) throws IOException, InterruptedException {
        int port = freePort();
        Path log = Files.createTempFile("scholion", ".log");
        List<String> command = new ArrayList<>(List.of(
                Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                "-XX:+UseSerialGC",
                "-XX:TieredStopAtLevel=1",
                "-cp",
                System.getProperty("java.class.path"),
                "org.scholion.server.ScholionApplication",
                "--server.port=" + port,
                "--spring.datasource.url=" + database.url(),
                "--spring.datasource.username=" + database.user(),
                "--spring.datasource.password=" + database.password(),
                "--scholion.demo=true"));
        command.addAll(List.of(settings));
        Process server = new ProcessBuilder(command)
                .redirectErrorStream(true)
                .redirectOutput(log.toFile())
                .start();
        Node node = new Node(server, "http://127.0.0.1:" + port);
        Instant until = Instant.now().plus(Duration.ofMinutes(5));
        while (Instant.now().isBefore(until)) {
            try {
                if (node.visitor().get("/api/ready").status() == 204) {
                    return node;
                }
            } catch (IllegalStateException notYet) {
                // Not listening yet.
            }
            if (!server.isAlive()) {
                throw new AssertionError(Files.readString(log));
            }
            Thread.sleep(200);
        }
        server.destroyForcibly();
        throw new AssertionError("not ready after five minutes: " + Files.readString(log));
    }

    private static int freePort() throws IOException {
        try (ServerSocket socket = new ServerSocket(0)) {
            return socket.getLocalPort();
        }
    }

    private Visitor visitor() {
        return new Visitor(address);
    }

    /** A new visitor who is signed in by a click on a name of the demo. */
    public Visitor as(String name) {
        return visitor().signIn(name);
    }

    /** As SIGKILL does it: no shutdown hook runs. */
    public void kill() throws InterruptedException {
        process.destroyForcibly().waitFor();
    }

    @Override
    public void close() {
        process.destroyForcibly();
    }
}
