package org.scholion.server.platform;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.web.filter.OncePerRequestFilter;
import org.springframework.web.util.ContentCachingResponseWrapper;

/**
 * A request that creates something and carries an Idempotency-Key is done once: a repeat gets the first answer, and waits
 * for it while it is being done, on whichever node. The same key with something else in it is refused.
 */
class IdempotencyFilter extends OncePerRequestFilter {
    private static final Duration WAITS = Duration.ofSeconds(20);
    private static final int PAUSE_MILLIS = 100;
    private static final List<String> SECRET = List.of(
            "/password",
            "/session",
            "/session/code",
            "/session/guest",
            "/way-in",
            "/way-in/look",
            "/beginning",
            "/link",
            "/codes",
            "/slips");

    private final IdempotentRequests requests;

    IdempotencyFilter(IdempotentRequests requests) {
        this.requests = requests;
    }

    @Override
    protected boolean shouldNotFilter(HttpServletRequest request) {
        return !request.getMethod().equals("POST")
                || request.getHeader("Idempotency-Key") == null
                // Handing in twice is handing in once by itself, and its answer comes later than this filter ends.
                || request.getRequestURI().endsWith("/hand-in")
                || isSecret(request.getRequestURI());
    }

    /** Nothing of a password is kept, not even a digest of it, nor of a word or code that lets somebody choose one. */
    private static boolean isSecret(String path) {
        return SECRET.stream().anyMatch(path::endsWith);
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
        String query = Objects.requireNonNullElse(request.getQueryString(), "");
        String said = query + " " + request.getAttribute(Bodies.DIGEST);
        long end = System.nanoTime() + WAITS.toNanos();
        do {
            if (requests.claim(me.id(), key, said)) {
                perform(request, response, chain, me.id(), key);
                return;
            }
            Optional<IdempotentRequests.Known> known = requests.find(me.id(), key);
            if (known.isPresent() && !known.get().said().equals(said)) {
                Bodies.refuse(
                        response,
                        HttpStatus.UNPROCESSABLE_ENTITY,
                        "key-reused",
                        "This Idempotency-Key came with another request before. Nothing was changed; send this one with a"
                                + " key of its own.");
                return;
            }
            if (known.isPresent() && known.get().status() != null) {
                repeat(response, known.get());
                return;
            }
            // It is being done, or it has just failed and is tried again here.
        } while (System.nanoTime() < end && pause());
        Bodies.refuse(
                response,
                HttpStatus.CONFLICT,
                "still-going",
                "The same request is still being done. Look again in a moment.");
    }

    private static boolean pause() {
        try {
            Thread.sleep(PAUSE_MILLIS);
            return true;
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            return false;
        }
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
                requests.answered(
                        person,
                        key,
                        kept.getStatus(),
                        new String(kept.getContentAsByteArray(), StandardCharsets.UTF_8));
            } else {
                requests.forget(person, key);
            }
        }
        kept.copyBodyToResponse();
    }

    private static void repeat(HttpServletResponse response, IdempotentRequests.Known known) throws IOException {
        response.setStatus(Objects.requireNonNull(known.status()));
        response.setContentType(MediaType.APPLICATION_JSON_VALUE);
        String body = Objects.requireNonNullElse(known.body(), "");
        response.getOutputStream().write(body.getBytes(StandardCharsets.UTF_8));
    }
}
