package org.scholion.server.testing;

import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.extension.ExtensionContext;
import org.junit.jupiter.api.extension.ParameterContext;
import org.junit.jupiter.api.extension.ParameterResolver;
import org.scholion.server.ScholionApplication;
import org.springframework.boot.builder.SpringApplicationBuilder;
import org.springframework.boot.web.server.context.WebServerApplicationContext;
import org.springframework.context.ConfigurableApplicationContext;

/**
 * The real application with the demo, started once for all tests of a JVM on a free port against the real PostgreSQL.
 * Hands in the {@link Running} application, or a bean of it.
 */
public final class Scholion implements ParameterResolver {
    private static @Nullable Running shared;

    /** The running application. */
    public static final class Running implements AutoCloseable {
        private final TestDatabase database = new TestDatabase();
        private final ConfigurableApplicationContext context;

        Running() {
            this(true);
        }

        /** A school with nobody in it: as the first start without the demo leaves it. */
        public static Running empty() {
            return new Running(false);
        }

        private Running(boolean demo) {
            context = new SpringApplicationBuilder(ScholionApplication.class, Counting.class)
                    .registerShutdownHook(false)
                    .run(
                            "--server.port=0",
                            "--server.address=127.0.0.1",
                            "--spring.datasource.url=" + database.url(),
                            "--spring.datasource.username=" + database.user(),
                            "--spring.datasource.password=" + database.password(),
                            "--scholion.demo=" + demo,
                            // Tests play the part of what speaks TLS for the server.
                            "--scholion.proxies=127.0.0.1");
        }

        public String address() {
            int port = ((WebServerApplicationContext) context).getWebServer().getPort();
            return "http://127.0.0.1:" + port;
        }

        public <T> T bean(Class<T> type) {
            return context.getBean(type);
        }

        /** A new visitor who is signed in by a click on a name of the demo. */
        public Visitor as(String name) {
            return new Visitor(address()).signIn(name);
        }

        /** The word of a link that begins a school, as the first start prints one. */
        public String wordToBegin() {
            String word = "begin-" + System.nanoTime();
            bean(org.springframework.jdbc.core.simple.JdbcClient.class)
                    .sql(
                            "insert into way_in (word, kind, made_at, until) values (sha256(convert_to(?, 'UTF8')), 'BEGIN',"
                                    + " now(), now() + interval '1 day')")
                    .param(word)
                    .update();
            return word;
        }

        public Visitor anybody() {
            return new Visitor(address());
        }

        @Override
        public void close() {
            context.close();
            database.close();
        }
    }

    /** Where tests run in several forks each class is a run of its own, and only the JVM outlives it. */
    private static synchronized Running running() {
        Running running = shared;
        if (running == null) {
            running = new Running();
            shared = running;
            Runtime.getRuntime().addShutdownHook(new Thread(running::close));
        }
        return running;
    }

    @Override
    public boolean supportsParameter(ParameterContext parameter, ExtensionContext extension) {
        return true;
    }

    @Override
    public Object resolveParameter(ParameterContext parameter, ExtensionContext extension) {
        Running running = running();
        Class<?> type = parameter.getParameter().getType();
        return type == Running.class ? running : running.bean(type);
    }
}
