package org.scholion.server.platform;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.web.filter.OncePerRequestFilter;
import org.springframework.web.servlet.HandlerExceptionResolver;

/**
 * What goes wrong before a request has reached what answers it, such as a database that is away while the sign-in is
 * looked up, is told in the same words as anywhere else.
 */
class TroubleAtTheDoors extends OncePerRequestFilter {
    private final HandlerExceptionResolver words;

    TroubleAtTheDoors(HandlerExceptionResolver words) {
        this.words = words;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        try {
            chain.doFilter(request, response);
        } catch (RuntimeException e) {
            if (response.isCommitted() || words.resolveException(request, response, null, e) == null) {
                throw e;
            }
        }
    }
}
