package org.scholion.bench.load;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.Map;
import org.scholion.formats.json.Json;
import tools.jackson.databind.JsonNode;

/** Somebody of the made-up school, signed in, with a connection of their own. */
final class Person {
    private static final byte[] NOTHING = new byte[0];

    private final Wire wire;
    private final Map<String, String> cookies = new LinkedHashMap<>();

    Person(int port) {
        wire = new Wire(port);
    }

    static Person signedIn(int port, String id) throws IOException {
        Person person = new Person(port);
        person.send("GET", "/api/session", "");
        person.ok("POST", "/api/demo/session", "{\"person\": \"" + id + "\"}");
        // The token against forged requests changes with signing in.
        person.send("GET", "/api/session", "");
        return person;
    }

    Wire.Reply send(String method, String path, String body) throws IOException {
        return send(method, path, "application/json", body.getBytes(StandardCharsets.UTF_8));
    }

    Wire.Reply send(String method, String path, String type, byte[] body) throws IOException {
        StringBuilder head = new StringBuilder();
        if (!cookies.isEmpty()) {
            head.append("Cookie: ");
            cookies.forEach(
                    (name, value) -> head.append(name).append('=').append(value).append("; "));
            head.setLength(head.length() - 2);
            head.append("\r\n");
        }
        String token = cookies.get("XSRF-TOKEN");
        if (token != null && !method.equals("GET")) {
            head.append("X-XSRF-TOKEN: ").append(token).append("\r\n");
        }
        if (body.length > 0) {
            head.append("Content-Type: ").append(type).append("\r\n");
        }
        Wire.Reply reply = wire.send(method, path, head.toString(), body.length == 0 ? NOTHING : body);
        for (String cookie : reply.cookies()) {
            int at = cookie.indexOf('=');
            String value = cookie.substring(at + 1);
            if (value.isEmpty()) {
                cookies.remove(cookie.substring(0, at));
            } else {
                cookies.put(cookie.substring(0, at), value);
            }
        }
        return reply;
    }

    /** What is needed for the measurement and must not fail. */
    JsonNode ok(String method, String path, String body) throws IOException {
        Wire.Reply reply = send(method, path, body);
        if (!reply.isOk()) {
            throw new IOException(method + " " + path + ": " + reply.status() + " " + reply.body());
        }
        return Json.read(reply.body().isBlank() ? "{}" : reply.body());
    }

    void sendFile(String path, String content) throws IOException {
        String boundary = "scholion-load";
        String body = "--" + boundary + "\r\nContent-Disposition: form-data; name=\"file\"; filename=\"f.csv\"\r\n"
                + "Content-Type: text/csv\r\n\r\n" + content + "\r\n--" + boundary + "--\r\n";
        Wire.Reply reply =
                send("POST", path, "multipart/form-data; boundary=" + boundary, body.getBytes(StandardCharsets.UTF_8));
        if (!reply.isOk()) {
            throw new IOException(path + ": " + reply.status() + " " + reply.body());
        }
    }

    void leave() {
        wire.close();
    }
}
