package org.scholion.server.file;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** What a file is, is seen in its first bytes. */
class FileTypeTest {
    private static byte[] bytes(String head) {
        return Arrays.copyOf(head.getBytes(StandardCharsets.ISO_8859_1), 40);
    }

    @ParameterizedTest
    @CsvSource({
        "GIF89a, image/gif",
        "RIFF....WEBP, image/webp",
        "RIFF....WAVE, audio/wav",
        "%PDF-1.7, application/pdf",
        "OggS, audio/ogg",
        "....ftypM4A, audio/mp4",
        "ID3.........., audio/mpeg"
    })
    void by_its_first_bytes(String head, String media) {
        assertThat(FileType.of(bytes(head))).map(FileType::media).contains(media);
    }

    @Test
    void signs_that_no_text_has() {
        assertThat(FileType.of(bytes("\u0089PNG\r\n\u001a\n"))).contains(FileType.PNG);
        assertThat(FileType.of(bytes("\u00ff\u00d8\u00ff"))).contains(FileType.JPEG);
        assertThat(FileType.of(bytes("\u00ff\u00fb"))).contains(FileType.MP3);
        assertThat(FileType.PNG.isPicture()).isTrue();
        assertThat(FileType.PDF.isPicture()).isFalse();
    }

    @Test
    void what_a_browser_records_is_taken_when_it_is_sound_and_no_film() {
        String begin = "\u001aE\u00df\u00a3....B\u0082webm....";
        assertThat(FileType.of(bytes(begin + "A_OPUS"))).contains(FileType.WEBM);
        assertThat(FileType.of(bytes(begin + "V_VP8 A_OPUS"))).isEmpty();
        assertThat(FileType.of(bytes(begin))).as("no track").isEmpty();
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "<svg onload=x()>",
                "<html><script>",
                "MZ executable",
                "PK zip archive",
                "RIFF....AVI ",
                "just words here"
            })
    void anything_else_is_not_taken(String head) {
        assertThat(FileType.of(bytes(head))).isEmpty();
    }

    @Test
    void a_file_of_a_few_bytes_is_nothing() {
        assertThat(FileType.of(new byte[] {'G', 'I', 'F'})).isEmpty();
    }
}
