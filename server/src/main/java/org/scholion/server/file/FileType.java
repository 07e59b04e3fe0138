package org.scholion.server.file;

import java.nio.charset.StandardCharsets;
import java.util.Optional;

/** What a file is, by its first bytes; its name and what a browser says of it are not believed. */
enum FileType {
    PNG("image/png"),
    JPEG("image/jpeg"),
    GIF("image/gif"),
    WEBP("image/webp"),
    MP3("audio/mpeg"),
    M4A("audio/mp4"),
    OGG("audio/ogg"),
    WAV("audio/wav"),
    /** What most browsers record. */
    WEBM("audio/webm"),
    PDF("application/pdf");

    private static final int TRACKS_WITHIN = 4_096;

    private final String media;

    FileType(String media) {
        this.media = media;
    }

    String media() {
        return media;
    }

    boolean isPicture() {
        return media.startsWith("image/");
    }

    static Optional<FileType> of(byte[] bytes) {
        if (bytes.length < 12) {
            return Optional.empty();
        }
        String head = new String(bytes, 0, 12, StandardCharsets.ISO_8859_1);
        if (head.startsWith("\u0089PNG\r\n\u001a\n")) {
            return Optional.of(PNG);
        }
        if (head.startsWith("\u00ff\u00d8\u00ff")) {
            return Optional.of(JPEG);
        }
        if (head.startsWith("GIF8")) {
            return Optional.of(GIF);
        }
        if (head.startsWith("RIFF")) {
            return head.endsWith("WEBP")
                    ? Optional.of(WEBP)
                    : head.endsWith("WAVE") ? Optional.of(WAV) : Optional.empty();
        }
        if (head.startsWith("%PDF-")) {
            return Optional.of(PDF);
        }
        if (head.startsWith("\u001aE\u00df\u00a3")) {
            return hasOnlySound(bytes) ? Optional.of(WEBM) : Optional.empty();
        }
        if (head.startsWith("OggS")) {
            return Optional.of(OGG);
        }
        if (head.startsWith("ftyp", 4)) {
            return Optional.of(M4A);
        }
        boolean frame = head.charAt(0) == 0xff && (head.charAt(1) & 0xe0) == 0xe0;
        return head.startsWith("ID3") || frame ? Optional.of(MP3) : Optional.empty();
    }

    /** The tracks of such a file are named by their codecs near its begin: {@code A_} is sound, {@code V_} a film. */
    private static boolean hasOnlySound(byte[] bytes) {
        String begin = new String(bytes, 0, Math.min(bytes.length, TRACKS_WITHIN), StandardCharsets.ISO_8859_1);
        return begin.contains("webm") && begin.contains("A_") && !begin.contains("V_VP") && !begin.contains("V_AV");
    }
}
