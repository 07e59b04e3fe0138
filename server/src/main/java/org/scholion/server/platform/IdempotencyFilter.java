package org.scholion.server.platform;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.sql.Timestamp;
import java.time.Clock;
import java.time.Duration;
import java.util.Map;
import java.util.UUID;
import org.springframework.http.MediaType;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.web.filter.OncePerRequestFilter;
import org.springframework.web.util.ContentCachingResponseWrapper;

/** A request that creates something and carries an Idempotency-Key is done once; a repeat gets the first answer. */
class IdempotencyFilter extends OncePerRequestFilter {
    private static final Duration KEPT = Duration.ofDays(1);

    private final JdbcClient db;
    private final Clock clock;

    IdempotencyFilter(JdbcClient db, Clock clock) {
        this.db = db;
        this.clock = clock;
    }

    @Override
    protected boolean shouldNotFilter(HttpServletRequest request) {
        return !request.getMethod().equals("POST")
                || request.getHeader("Idempotency-Key") == null
                // Handing in twice is handing in once by itself, and its answer comes later than this filter ends.
                || request.getRequestURI().endsWith("/hand-in");
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        Authentication who = SecurityContextHolder.getContext().getAuthentication();
        if (who == null || !(who.getPrincipal() instanceof Me me)) {
            chain.doFilter(request, response);
            return;
        }
        String key = request.getRequestURI() + " " + request.getHeader("Idempotency-Key");
        if (claim(me.id(), key)) {
            perform(request, response, chain, me.id(), key);
        } else {
            repeat(response, me.id(), key);
        }
    }

    private boolean claim(UUID person, String key) {
        db.sql("delete from idempotent_request where at < ?")
                .param(Timestamp.from(clock.instant().minus(KEPT)))
                .update();
        return db.sql("insert into idempotent_request (person_id, key, at) values (?, ?, ?) on conflict do nothing")
                        .params(person, key, Timestamp.from(clock.instant()))
                        .update()
                == 1;
    }

    private void perform(
            HttpServletRequest request, HttpServletResponse response, FilterChain chain, UUID person, String key)
            throws ServletException, IOException {
        ContentCachingResponseWrapper kept = new ContentCachingResponseWrapper(response);
        boolean done = false;
        try {
            chain.doFilter(request, kept);
            done = kept.getStatus() < 400;
        } finally {
            if (done) {
                db.sql("update idempotent_request set status = ?, body = ? where person_id = ? and key = ?")
                        .params(
                                kept.getStatus(),
                                new String(kept.getContentAsByteArray(), StandardCharsets.UTF_8),
                                person,
                                key)
                        .update();
            } else {
                // What failed may be tried again with the same key.
                db.sql("delete from idempotent_request where person_id = ? and key = ?")
                        .params(person, key)
                        .update();
            }
        }
        kept.copyBodyToResponse();
    }

    private void repeat(HttpServletResponse response, UUID person, String key) throws IOException {
        Map<String, Object> row = db
                .sql("select status, body from idempotent_request where person_id = ? and key = ?")
                .params(person, key)
                .query()
                .listOfRows()
                .stream()
                .findFirst()
                .orElse(Map.of());
        if (row.get("status") instanceof Integer status) {
            response.setStatus(status);
            response.setContentType(MediaType.APPLICATION_JSON_VALUE);
            response.getOutputStream().write(String.valueOf(row.get("body")).getBytes(StandardCharsets.UTF_8));
        } else {
            response.setStatus(HttpServletResponse.SC_CONFLICT);
        }
    }
}
