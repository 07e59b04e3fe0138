package org.scholion.server.file;

import java.io.IOException;
import java.time.Duration;
import java.util.Objects;
import org.scholion.server.platform.Me;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestPart;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.multipart.MultipartFile;

/** Files in and out. A file is seen by whoever put it in, and by those who may see what it belongs to. */
@RestController
@RequestMapping("/api/files")
class FileController {
    private final Files files;

    FileController(Files files) {
        this.files = files;
    }

    @PostMapping(consumes = "multipart/form-data")
    @ResponseStatus(HttpStatus.CREATED)
    Files.Taken take(@AuthenticationPrincipal Me me, @RequestPart MultipartFile file) throws IOException {
        String name = Objects.requireNonNullElse(file.getOriginalFilename(), "the file");
        return files.take(me, name, file.getBytes());
    }

    @GetMapping(value = "/{file}", produces = "*/*")
    ResponseEntity<byte[]> see(@AuthenticationPrincipal Me me, @PathVariable String file) {
        Files.Content content = files.see(me, file);
        return ResponseEntity.ok()
                .contentType(MediaType.parseMediaType(content.type()))
                .cacheControl(
                        CacheControl.maxAge(Duration.ofDays(365)).cachePrivate().immutable())
                // Whatever the bytes are, nothing in them runs.
                .header("Content-Security-Policy", "default-src 'none'; sandbox")
                .header("X-Content-Type-Options", "nosniff")
                .body(content.bytes());
    }
}
