package org.scholion.bench.load;

import java.io.BufferedInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.net.InetSocketAddress;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.jspecify.annotations.Nullable;

/** One connection that stays open, with little of its own: what is measured is the server, on the same processors. */
final class Wire implements AutoCloseable {
    private static final int PATIENCE_MILLIS = 60_000;

    private final int port;
    private @Nullable Socket socket;
    private @Nullable InputStream in;

    Wire(int port) {
        this.port = port;
    }

    /** @param cookies what the server asks to be kept, as {@code name=value} */
    record Reply(int status, String body, List<String> cookies) {
        boolean isOk() {
            return status >= 200 && status < 300;
        }
    }

    /** A connection that the server has closed while nothing was said is opened anew, once, as browsers do. */
    Reply send(String method, String path, String head, byte[] body) throws IOException {
        boolean used = socket != null;
        try {
            return sendOnce(method, path, head, body);
        } catch (ClosedBefore e) {
            if (used) {
                return sendOnce(method, path, head, body);
            }
            throw e;
        }
    }

    /** Nothing of an answer came. */
    private static final class ClosedBefore extends IOException {
        private static final long serialVersionUID = 1;
    }

    private Reply sendOnce(String method, String path, String head, byte[] body) throws IOException {
        Socket open = socket == null ? open() : socket;
        try {
            byte[] request = (method + " " + path + " HTTP/1.1\r\nHost: 127.0.0.1:" + port + "\r\n" + head
                            + "Content-Length: " + body.length + "\r\n\r\n")
                    .getBytes(StandardCharsets.ISO_8859_1);
            byte[] whole = new byte[request.length + body.length];
            System.arraycopy(request, 0, whole, 0, request.length);
            System.arraycopy(body, 0, whole, request.length, body.length);
            open.getOutputStream().write(whole);
            return read();
        } catch (IOException e) {
            close();
            throw e;
        }
    }

    private Socket open() throws IOException {
        Socket made = new Socket();
        made.setTcpNoDelay(true);
        made.setSoTimeout(PATIENCE_MILLIS);
        made.connect(new InetSocketAddress("127.0.0.1", port), PATIENCE_MILLIS);
        socket = made;
        in = new BufferedInputStream(made.getInputStream(), 8_192);
        return made;
    }

    private Reply read() throws IOException {
        stream().mark(1);
        if (stream().read() < 0) {
            throw new ClosedBefore();
        }
        stream().reset();
        String[] first = line().split(" ", 3);
        if (first.length < 2) {
            throw new IOException("the connection ended");
        }
        List<String> cookies = new ArrayList<>();
        int length = 0;
        boolean chunked = false;
        boolean ends = false;
        for (String line = line(); !line.isEmpty(); line = line()) {
            String lower = line.toLowerCase(Locale.ROOT);
            if (lower.startsWith("content-length:")) {
                length = Integer.parseInt(line.substring(15).strip());
            } else if (lower.startsWith("transfer-encoding:")) {
                chunked = lower.contains("chunked");
            } else if (lower.startsWith("set-cookie:")) {
                cookies.add(line.substring(11).strip().split(";", 2)[0]);
            } else if (lower.startsWith("connection:")) {
                ends = lower.contains("close");
            }
        }
        byte[] body = chunked ? chunks() : exactly(length);
        if (ends) {
            close();
        }
        return new Reply(Integer.parseInt(first[1]), new String(body, StandardCharsets.UTF_8), cookies);
    }

    private byte[] chunks() throws IOException {
        ByteArrayOutputStream all = new ByteArrayOutputStream();
        while (true) {
            int size = Integer.parseInt(line().strip(), 16);
            all.writeBytes(exactly(size));
            line();
            if (size == 0) {
                return all.toByteArray();
            }
        }
    }

    private byte[] exactly(int length) throws IOException {
        byte[] bytes = stream().readNBytes(length);
        if (bytes.length < length) {
            throw new IOException("the answer ended early");
        }
        return bytes;
    }

    private String line() throws IOException {
        StringBuilder line = new StringBuilder();
        for (int c = stream().read(); c != '\n'; c = stream().read()) {
            if (c < 0) {
                throw new IOException("the connection ended");
            }
            if (c != '\r') {
                line.append((char) c);
            }
        }
        return line.toString();
    }

    private InputStream stream() throws IOException {
        if (in == null) {
            throw new IOException("not open");
        }
        return in;
    }

    @Override
    public void close() {
        try {
            if (socket != null) {
                socket.close();
            }
        } catch (IOException e) {
            // It is gone either way.
        }
        socket = null;
        in = null;
    }
}
