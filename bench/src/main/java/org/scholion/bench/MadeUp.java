package org.scholion.bench;

import java.io.BufferedWriter;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Random;

/** Writes a made-up sitting: 100,000 attempts at 40 choices, 10 short texts and 10 numbers, always the same. */
public final class MadeUp {
    private static final int ATTEMPTS = 100_000;
    private static final int ITEMS = 60;
    private static final String[] WRONG = {"bowlin", "knot", "sheet bend", "reff", "half hich", "?"};

    private MadeUp() {}

    public static void main(String[] args) throws IOException {
        Path dir = Path.of(args[0]);
        Files.writeString(dir.resolve("assessment.json"), assessment());
        Random random = new Random(5);
        try (BufferedWriter out = Files.newBufferedWriter(dir.resolve("responses.jsonl"))) {
            for (int i = 0; i < ATTEMPTS; i++) {
                out.write(attempt(i, random));
            }
        }
    }

    private static String assessment() {
        StringBuilder items = new StringBuilder();
        for (int j = 0; j < ITEMS; j++) {
            String head =
                    "{\"id\": \"q" + j + "\", \"points\": \"1\", \"standards\": [{\"code\": \"T" + j % 5 + "\"}], ";
            items.append(j == 0 ? "" : ",\n")
                    .append(head)
                    .append(
                            switch (j % 6) {
                                case 0 ->
                                    "\"kind\": \"text\", \"accept\": [{\"text\": \"bowline\"}, {\"text\": \"half hitch\"}],"
                                            + " \"spelling\": \"length\", \"otherwise\": \"wrong\"}";
                                case 1 ->
                                    "\"kind\": \"number\", \"accept\": [{\"value\": \"12.5\", \"within\": \"2%\"}]}";
                                default ->
                                    "\"kind\": \"choice\", \"options\": [{\"id\": \"a\"}, {\"id\": \"b\"}, {\"id\": \"c\"}, {\"id\": \"d\"}],"
                                            + " \"key\": [\"a\"]}";
                            });
        }
        return "{\"format\": \"scholion-assessment/1\", \"title\": \"Made up\", \"items\": [\n" + items + "]}\n";
    }

    private static String attempt(int i, Random random) {
        StringBuilder row = new StringBuilder(
                "{\"student\": \"s" + i + "\", \"section\": \"" + (i % 2 == 0 ? "9A" : "9B") + "\", \"responses\": {");
        double ability = random.nextDouble();
        for (int j = 0; j < ITEMS; j++) {
            boolean right = random.nextDouble() < ability;
            row.append(j == 0 ? "" : ", ")
                    .append("\"q")
                    .append(j)
                    .append("\": ")
                    .append(
                            switch (j % 6) {
                                case 0 -> "\"" + (right ? "bowline" : WRONG[random.nextInt(WRONG.length)]) + "\"";
                                case 1 -> "\"" + (right ? "12.5" : random.nextInt(400) / 10.0) + "\"";
                                default -> "[\"" + (right ? 'a' : (char) ('a' + random.nextInt(4))) + "\"]";
                            });
        }
        return row.append("}}\n").toString();
    }
}
