package org.scholion.server.platform;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.ServletInputStream;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;
import java.util.Locale;
import java.util.Optional;
import org.scholion.formats.json.Json;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * What comes in, before anybody parses it: no more than its place takes, and no characters that cannot be kept. It stands
 * behind the doors, so that nobody who is not let in has anything of theirs read.
 */
class Bodies extends OncePerRequestFilter {
    /** Where a digest of what came in is noted with the request; files, which are read as they come, have none. */
    static final String DIGEST = Bodies.class.getName() + ".digest";

    private static final int LONGEST_KEY = 200;

    private final Rooms rooms = new Rooms();

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        String query = request.getQueryString();
        String key = request.getHeader("Idempotency-Key");
        if (query != null && query.toLowerCase(Locale.ROOT).contains("%00")) {
            refuse(
                    response,
                    HttpStatus.BAD_REQUEST,
                    "unreadable",
                    "The address holds a character that cannot be kept.");
            return;
        }
        if (key != null && key.length() > LONGEST_KEY) {
            refuse(
                    response,
                    HttpStatus.BAD_REQUEST,
                    "unreadable",
                    "The Idempotency-Key is longer than 200 characters.");
            return;
        }
        int most = BodyLimits.of(request.getMethod(), request.getRequestURI());
        if (request.getContentLengthLong() > most) {
            tooLarge(response, most);
            return;
        }
        String type = request.getContentType();
        if (type != null && type.toLowerCase(Locale.ROOT).startsWith("multipart/")) {
            chain.doFilter(new ReadOnce(request, new Counted(request.getInputStream(), most)), response);
            return;
        }
        long length = request.getContentLengthLong();
        int room = Rooms.of(length < 0 ? most : length);
        String person = String.valueOf(request.getRemoteUser());
        if (!rooms.enter(person, room)) {
            refuse(
                    response,
                    HttpStatus.SERVICE_UNAVAILABLE,
                    "busy",
                    "Much is coming in just now. Nothing of yours was changed; try again in a moment.");
            return;
        }
        try {
            byte[] body = request.getInputStream().readNBytes(most + 1);
            if (body.length > most) {
                tooLarge(response, most);
                return;
            }
            Optional<String> wrong = Keepable.fault(body);
            if (wrong.isPresent()) {
                refuse(response, HttpStatus.BAD_REQUEST, "unreadable", wrong.get());
                return;
            }
            if (key != null) {
                request.setAttribute(DIGEST, digest(body));
            }
            chain.doFilter(new ReadOnce(request, new java.io.ByteArrayInputStream(body)), response);
        } finally {
            rooms.leave(person, room);
        }
    }

    private static String digest(byte[] body) {
        try {
            return HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(body));
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("every Java has SHA-256", e);
        }
    }

    private static void tooLarge(HttpServletResponse response, int most) throws IOException {
        String limit = most >= 1_000_000 ? most / 1_000_000 + " MB" : Math.max(1, most / 1_000) + " kB";
        refuse(
                response,
                HttpStatus.CONTENT_TOO_LARGE,
                "too-large",
                "This is more than is taken here at once: at most " + limit
                        + ". Nothing was changed; make it smaller.");
    }

    static void refuse(HttpServletResponse response, HttpStatus status, String code, String words) throws IOException {
        response.setStatus(status.value());
        response.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
        response.setHeader("Connection", "close");
        response.getOutputStream()
                .write(Json.MAPPER
                        .createObjectNode()
                        .put("title", status.getReasonPhrase())
                        .put("status", status.value())
                        .put("detail", words)
                        .put("code", code)
                        .toString()
                        .getBytes(StandardCharsets.UTF_8));
    }

    /** Stops whoever sends more than they said, or than is taken. */
    private static final class Counted extends InputStream {
        private final InputStream in;
        private long left;

        Counted(InputStream in, long most) {
            this.in = in;
            this.left = most;
        }

        @Override
        public int read() throws IOException {
            int read = in.read();
            count(read < 0 ? 0 : 1);
            return read;
        }

        @Override
        public int read(byte[] bytes, int from, int length) throws IOException {
            int read = in.read(bytes, from, length);
            count(Math.max(0, read));
            return read;
        }

        private void count(int read) {
            left -= read;
            if (left < 0) {
                throw new Refused(
                        HttpStatus.CONTENT_TOO_LARGE,
                        "too-large",
                        "This file is larger than is taken here. Nothing was taken; make it smaller.",
                        java.util.List.of());
            }
        }
    }

    /** The request with what was read of it. */
    private static final class ReadOnce extends jakarta.servlet.http.HttpServletRequestWrapper {
        private final ServletInputStream stream;

        ReadOnce(HttpServletRequest request, InputStream in) {
            super(request);
            this.stream = new ServletInputStream() {
                private boolean finished;

                @Override
                public int read() throws IOException {
                    int read = in.read();
                    finished = read < 0;
                    return read;
                }

                @Override
                public int read(byte[] bytes, int from, int length) throws IOException {
                    int read = in.read(bytes, from, length);
                    finished = read < 0;
                    return read;
                }

                @Override
                public boolean isFinished() {
                    return finished;
                }

                @Override
                public boolean isReady() {
                    return true;
                }

                @Override
                public void setReadListener(jakarta.servlet.ReadListener listener) {
                    throw new UnsupportedOperationException("requests are read as they are handled");
                }
            };
        }

        @Override
        public ServletInputStream getInputStream() {
            return stream;
        }
    }
}
