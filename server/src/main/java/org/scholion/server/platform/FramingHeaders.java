package org.scholion.server.platform;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.List;
import org.springframework.security.web.header.HeaderWriter;

/**
 * What a page may load and who may show it within theirs: nobody, but for the pages of a sitting, which an administrator
 * can let the school's own pages show.
 */
class FramingHeaders implements HeaderWriter {
    private static final String POLICY = "Content-Security-Policy";
    private static final String CONTENT =
            "default-src 'self'; style-src 'self' 'unsafe-inline'; img-src 'self' data: blob:; media-src 'self'; "
                    + "base-uri 'self'; form-action 'self'; object-src 'none'; frame-ancestors ";
    private static final List<String> OF_A_SITTING = List.of("/s/", "/todo/", "/sit/");

    private final Framing framing;

    FramingHeaders(Framing framing) {
        this.framing = framing;
    }

    @Override
    public void writeHeaders(HttpServletRequest request, HttpServletResponse response) {
        boolean isOfSitting = OF_A_SITTING.stream().anyMatch(request.getRequestURI()::startsWith);
        List<String> pages = isOfSitting ? framing.framedBy() : List.of();
        // A file has rules of its own, which are stricter.
        if (response.containsHeader(POLICY)) {
            response.setHeader("X-Frame-Options", "DENY");
            return;
        }
        response.setHeader(POLICY, CONTENT + (pages.isEmpty() ? "'none'" : String.join(" ", pages)));
        if (pages.isEmpty()) {
            response.setHeader("X-Frame-Options", "DENY");
        }
    }
}
