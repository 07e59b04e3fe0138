package org.scholion.server;

import java.lang.reflect.Constructor;
import org.springframework.boot.tomcat.servlet.TomcatServletWebServerFactory;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;

/** What the setting of trusted addresses makes of the server. */
final class Proxied {
    private Proxied() {}

    @SuppressWarnings("unchecked")
    static void customize(String addresses, TomcatServletWebServerFactory factory) {
        try {
            Constructor<?> constructor =
                    Class.forName("org.scholion.server.platform.Proxies").getDeclaredConstructor(String.class);
            constructor.setAccessible(true);
            ((WebServerFactoryCustomizer<TomcatServletWebServerFactory>) constructor.newInstance(addresses))
                    .customize(factory);
        } catch (ReflectiveOperationException e) {
            throw new IllegalStateException(e);
        }
    }
}
