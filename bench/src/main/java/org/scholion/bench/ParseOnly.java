package org.scholion.bench;

import java.io.BufferedReader;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.scholion.formats.json.Json;

/** What scoring a response file is compared with: a program that only parses the same lines with the same parser. */
public final class ParseOnly {
    private ParseOnly() {}

    public static void main(String[] args) throws IOException {
        long fields = 0;
        try (BufferedReader lines = Files.newBufferedReader(Path.of(args[0]))) {
            for (String line = lines.readLine(); line != null; line = lines.readLine()) {
                fields += Json.MAPPER.readTree(line).size();
            }
        }
        System.out.println(fields);
    }
}
