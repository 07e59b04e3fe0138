package org.scholion.server.platform;

import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.HttpMethod;
import org.springframework.http.HttpStatus;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.crypto.factory.PasswordEncoderFactories;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.access.intercept.AuthorizationFilter;
import org.springframework.security.web.authentication.HttpStatusEntryPoint;
import org.springframework.security.web.context.HttpSessionSecurityContextRepository;
import org.springframework.security.web.context.SecurityContextRepository;

/**
 * Who is let in at all. What a signed-in person may do to which object is decided in the access package; here only
 * roles are kept apart, as a second wall: student paths for students, everything else for staff.
 */
@Configuration
class SecurityRules {
    private static final String CONTENT =
            "default-src 'self'; style-src 'self' 'unsafe-inline'; img-src 'self' data: blob:; media-src 'self'; "
                    + "frame-ancestors 'none'; base-uri 'self'; form-action 'self'";

    @Bean
    SecurityFilterChain chain(HttpSecurity http, SecurityContextRepository contexts, IdempotencyFilter idempotency)
            throws Exception {
        return http.securityContext(c -> c.securityContextRepository(contexts))
                .csrf(c -> c.spa())
                .authorizeHttpRequests(r -> r.requestMatchers(HttpMethod.POST, "/api/session", "/api/demo/session")
                        .permitAll()
                        .requestMatchers(HttpMethod.GET, "/api/session", "/api/demo/people", "/api/ready")
                        .permitAll()
                        .requestMatchers(HttpMethod.DELETE, "/api/session")
                        .permitAll()
                        .requestMatchers(HttpMethod.GET, "/api/files/*")
                        .authenticated()
                        .requestMatchers(HttpMethod.POST, "/api/maths")
                        .authenticated()
                        .requestMatchers("/api/student/**")
                        .hasRole("STUDENT")
                        .requestMatchers("/api/**")
                        .hasAnyRole("TEACHER", "ADMIN")
                        .requestMatchers("/v3/**")
                        .hasAnyRole("TEACHER", "ADMIN")
                        .requestMatchers("/actuator/health")
                        .permitAll()
                        .requestMatchers("/actuator/**")
                        .hasRole("ADMIN")
                        .anyRequest()
                        .permitAll())
                .exceptionHandling(e -> e.authenticationEntryPoint(new HttpStatusEntryPoint(HttpStatus.UNAUTHORIZED)))
                .headers(h -> h.contentSecurityPolicy(c -> c.policyDirectives(CONTENT)))
                .requestCache(c -> c.disable())
                .logout(l -> l.disable())
                .addFilterAfter(idempotency, AuthorizationFilter.class)
                .build();
    }

    @Bean
    SecurityContextRepository contexts() {
        return new HttpSessionSecurityContextRepository();
    }

    @Bean
    PasswordEncoder passwords() {
        return PasswordEncoderFactories.createDelegatingPasswordEncoder();
    }
}
