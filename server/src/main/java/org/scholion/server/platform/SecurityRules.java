package org.scholion.server.platform;

import jakarta.servlet.DispatcherType;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.HttpMethod;
import org.springframework.http.HttpStatus;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.config.http.SessionCreationPolicy;
import org.springframework.security.crypto.factory.PasswordEncoderFactories;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.access.intercept.AuthorizationFilter;
import org.springframework.security.web.authentication.HttpStatusEntryPoint;
import org.springframework.security.web.context.SecurityContextHolderFilter;
import org.springframework.security.web.context.SecurityContextRepository;
import org.springframework.security.web.header.writers.CrossOriginOpenerPolicyHeaderWriter.CrossOriginOpenerPolicy;
import org.springframework.security.web.header.writers.CrossOriginResourcePolicyHeaderWriter.CrossOriginResourcePolicy;
import org.springframework.security.web.header.writers.ReferrerPolicyHeaderWriter.ReferrerPolicy;
import org.springframework.web.servlet.HandlerExceptionResolver;

/**
 * Who is let in at all. What a signed-in person may do to which object is decided in the access package; here only
 * roles are kept apart, as a second wall: student paths for students, everything else for staff.
 */
@Configuration
class SecurityRules {
    private static final String PERMISSIONS =
            "camera=(), geolocation=(), microphone=(self), payment=(), usb=(), display-capture=()";

    @Bean
    SecurityFilterChain chain(
            HttpSecurity http,
            SecurityContextRepository contexts,
            @Qualifier("handlerExceptionResolver") HandlerExceptionResolver words,
            IdempotentRequests requests,
            Framing framing)
            throws Exception {
        return http.securityContext(c -> c.securityContextRepository(contexts))
                .sessionManagement(m -> m.sessionCreationPolicy(SessionCreationPolicy.STATELESS))
                .csrf(c -> c.spa())
                .authorizeHttpRequests(r -> r.dispatcherTypeMatchers(DispatcherType.ASYNC)
                        // The end of a request that was let in.
                        .permitAll()
                        .requestMatchers(
                                HttpMethod.POST,
                                "/api/session",
                                "/api/session/code",
                                "/api/session/slip",
                                "/api/session/guest",
                                "/api/demo/session")
                        .permitAll()
                        .requestMatchers(HttpMethod.POST, "/api/beginning", "/api/way-in", "/api/way-in/look")
                        .permitAll()
                        .requestMatchers(
                                HttpMethod.GET, "/api/session", "/api/demo/people", "/api/demo/mail", "/api/ready")
                        .permitAll()
                        .requestMatchers(HttpMethod.GET, "/api/ways/*")
                        .permitAll()
                        .requestMatchers(HttpMethod.DELETE, "/api/session")
                        .permitAll()
                        .requestMatchers(HttpMethod.GET, "/api/files/*")
                        .authenticated()
                        .requestMatchers(HttpMethod.POST, "/api/maths")
                        .authenticated()
                        .requestMatchers(HttpMethod.POST, "/api/account/password")
                        .hasAnyRole("STUDENT", "TEACHER", "ADMIN")
                        // Who came in by a slip has one sitting; what is theirs of it is asked at each.
                        .requestMatchers(
                                "/api/student/todo",
                                "/api/student/sittings/*/attempt",
                                "/api/student/attempts/**",
                                "/api/student/receipts/*")
                        .hasAnyRole("STUDENT", "SITTING")
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
                .headers(h -> h.frameOptions(f -> f.disable())
                        .addHeaderWriter(new FramingHeaders(framing))
                        .referrerPolicy(r -> r.policy(ReferrerPolicy.NO_REFERRER))
                        .permissionsPolicyHeader(p -> p.policy(PERMISSIONS))
                        .crossOriginOpenerPolicy(c -> c.policy(CrossOriginOpenerPolicy.SAME_ORIGIN))
                        .crossOriginResourcePolicy(c -> c.policy(CrossOriginResourcePolicy.SAME_ORIGIN)))
                .requestCache(c -> c.disable())
                .logout(l -> l.disable())
                // No beans of their own: as such they would stand before every request a second time.
                .addFilterBefore(new TroubleAtTheDoors(words), SecurityContextHolderFilter.class)
                .addFilterAfter(new Bodies(), AuthorizationFilter.class)
                .addFilterAfter(new IdempotencyFilter(requests), Bodies.class)
                .build();
    }

    @Bean
    PasswordEncoder passwords() {
        return PasswordEncoderFactories.createDelegatingPasswordEncoder();
    }
}
