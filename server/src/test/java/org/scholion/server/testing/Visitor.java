package org.scholion.server.testing;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.net.CookieManager;
import java.net.HttpCookie;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpHeaders;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.formats.json.Json;
import tools.jackson.databind.JsonNode;

/** Somebody who talks to the application over HTTP, with cookies and the token against forged requests. */
public final class Visitor {
    private final String address;
    private final CookieManager cookies = new CookieManager();
    private final HttpClient http =
            HttpClient.newBuilder().cookieHandler(cookies).build();
    private final Map<String, String> headers = new LinkedHashMap<>();
    private boolean withToken = true;

    public Visitor(String address) {
        this.address = address;
    }

    /** An answer of the server. */
    public record Reply(int status, String body) {
        public JsonNode json() {
            return Json.read(body);
        }

        public JsonNode ok() {
            assertThat(status).as(body).isBetween(200, 299);
            return body.isBlank() ? Json.read("{}") : json();
        }

        /** What is no JSON came. */
        public Reply ok200() {
            assertThat(status).isEqualTo(200);
            return this;
        }

        /** The code of a refusal. */
        public String code() {
            return json().get("code").stringValue();
        }

        public Reply isRefused(int expected) {
            assertThat(status).as(body).isEqualTo(expected);
            return this;
        }

        public String detail() {
            return json().path("detail").asString("");
        }
    }

    public Visitor signIn(String name) {
        for (JsonNode person : get("/api/demo/people").ok()) {
            if (person.get("name").stringValue().equals(name)) {
                post("/api/demo/session", Map.of("person", person.get("id").stringValue()))
                        .ok();
                return this;
            }
        }
        throw new AssertionError("nobody is called " + name);
    }

    /** As if the requests came from there, told by what stands before the server. */
    public Visitor from(String ip) {
        headers.put("X-Forwarded-For", ip);
        return this;
    }

    /** As if a browser spoke TLS with what stands before the server. */
    public Visitor withHeader(String name, String value) {
        headers.put(name, value);
        return this;
    }

    public Visitor withoutToken() {
        withToken = false;
        return this;
    }

    public Reply get(String path) {
        return send("GET", path, null);
    }

    public Reply post(String path, Object body) {
        return send("POST", path, body);
    }

    public Reply put(String path, Object body) {
        return send("PUT", path, body);
    }

    public Reply delete(String path) {
        return send("DELETE", path, null);
    }

    public Reply send(String method, String path, Object body) {
        if (!method.equals("GET") && token().isEmpty()) {
            get("/api/session");
        }
        HttpRequest.Builder request = request(path).header("Content-Type", "application/json");
        String text = body == null ? "" : Json.MAPPER.writeValueAsString(body);
        return exchange(request.method(
                method,
                text.isEmpty() ? HttpRequest.BodyPublishers.noBody() : HttpRequest.BodyPublishers.ofString(text)));
    }

    /** The same request twice with one key, as after a lost answer. */
    public Reply postAgain(String path, Object body, String key) {
        return exchange(request(path)
                .header("Content-Type", "application/json")
                .header("Idempotency-Key", key)
                .POST(HttpRequest.BodyPublishers.ofString(Json.MAPPER.writeValueAsString(body))));
    }

    public Reply sendFile(String path, Path file) {
        try {
            return sendFile(path, Files.readString(file));
        } catch (IOException e) {
            throw new IllegalStateException(e);
        }
    }

    public Reply sendFile(String path, String content) {
        return sendBytes(path, "f.csv", content.getBytes(StandardCharsets.UTF_8));
    }

    /** A file with what a person says about it. */
    public Reply sendFile(String path, String content, Object asked) {
        return sendBytes(
                path, "f.csv", content.getBytes(StandardCharsets.UTF_8), Json.MAPPER.writeValueAsString(asked));
    }

    public Reply sendBytes(String path, String name, byte[] content) {
        return sendBytes(path, name, content, null);
    }

    public Reply sendBytes(String path, String name, byte[] content, @Nullable String asked) {
        if (token().isEmpty()) {
            get("/api/session");
        }
        String boundary = "b" + UUID.randomUUID();
        String head = "--" + boundary + "\r\nContent-Disposition: form-data; name=\"file\"; filename=\"" + name
                + "\"\r\nContent-Type: application/octet-stream\r\n\r\n";
        String said = asked == null
                ? ""
                : "\r\n--" + boundary + "\r\nContent-Disposition: form-data; name=\"asked\"; filename=\"blob\"\r\n"
                        + "Content-Type: text/plain\r\n\r\n" + asked;
        List<byte[]> body = List.of(
                head.getBytes(StandardCharsets.UTF_8),
                content,
                (said + "\r\n--" + boundary + "--\r\n").getBytes(StandardCharsets.UTF_8));
        return exchange(request(path)
                .header("Content-Type", "multipart/form-data; boundary=" + boundary)
                .POST(HttpRequest.BodyPublishers.ofByteArrays(body)));
    }

    /** A file as it is. */
    public byte[] bytes(String path) {
        try {
            return http.send(request(path).GET().build(), HttpResponse.BodyHandlers.ofByteArray())
                    .body();
        } catch (IOException e) {
            throw new IllegalStateException(e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        }
    }

    /** The headers of an answer. */
    public HttpHeaders headers(String method, String path, Object body) {
        HttpRequest.BodyPublisher text = body == null
                ? HttpRequest.BodyPublishers.noBody()
                : HttpRequest.BodyPublishers.ofString(Json.MAPPER.writeValueAsString(body));
        try {
            return http.send(
                            request(path)
                                    .header("Content-Type", "application/json")
                                    .method(method, text)
                                    .build(),
                            HttpResponse.BodyHandlers.ofString())
                    .headers();
        } catch (IOException e) {
            throw new IllegalStateException(e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        }
    }

    /** Bytes as they are, with what they say they are. */
    public Reply sendRaw(String method, String path, String type, byte[] body) {
        if (token().isEmpty()) {
            get("/api/session");
        }
        return exchange(request(path)
                .header("Content-Type", type)
                .method(method, HttpRequest.BodyPublishers.ofByteArray(body)));
    }

    /** Bytes of which nobody says beforehand how many they are. */
    public Reply sendChunked(String path, String type, byte[] body) {
        return exchange(request(path)
                .header("Content-Type", type)
                .POST(HttpRequest.BodyPublishers.ofInputStream(() -> new ByteArrayInputStream(body))));
    }

    /** A stream that stays open. */
    public InputStream stream(String path) {
        try {
            return http.send(request(path).GET().build(), HttpResponse.BodyHandlers.ofInputStream())
                    .body();
        } catch (IOException e) {
            throw new IllegalStateException(e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        }
    }

    private HttpRequest.Builder request(String path) {
        HttpRequest.Builder request = HttpRequest.newBuilder(URI.create(address + path));
        headers.forEach(request::header);
        if (withToken && !token().isEmpty()) {
            request.header("X-XSRF-TOKEN", token());
        }
        return request;
    }

    private String token() {
        return cookies.getCookieStore().getCookies().stream()
                .filter(c -> c.getName().equals("XSRF-TOKEN"))
                .map(HttpCookie::getValue)
                .findFirst()
                .orElse("");
    }

    private Reply exchange(HttpRequest.Builder request) {
        try {
            HttpResponse<String> response = http.send(request.build(), HttpResponse.BodyHandlers.ofString());
            return new Reply(response.statusCode(), response.body());
        } catch (IOException e) {
            throw new IllegalStateException(e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        }
    }
}
