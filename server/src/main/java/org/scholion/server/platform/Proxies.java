package org.scholion.server.platform;

import java.util.Arrays;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.apache.catalina.valves.RemoteIpValve;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.tomcat.servlet.TomcatServletWebServerFactory;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.stereotype.Component;

/**
 * What stands before the server and speaks TLS for it. Only what these addresses say about where a request came from is
 * believed; without any, nobody's.
 */
@Component
class Proxies implements WebServerFactoryCustomizer<TomcatServletWebServerFactory> {
    private final String addresses;

    Proxies(@Value("${scholion.proxies:}") String addresses) {
        this.addresses = addresses;
    }

    @Override
    public void customize(TomcatServletWebServerFactory factory) {
        if (addresses.isBlank()) {
            return;
        }
        String trusted = Arrays.stream(addresses.split("[,\\s]+"))
                .filter(a -> !a.isBlank())
                .map(Pattern::quote)
                .collect(Collectors.joining("|"));
        RemoteIpValve valve = new RemoteIpValve();
        valve.setInternalProxies(trusted);
        valve.setRemoteIpHeader("X-Forwarded-For");
        valve.setProtocolHeader("X-Forwarded-Proto");
        factory.addEngineValves(valve);
    }
}
