package org.scholion.formats.batch;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.jspecify.annotations.Nullable;

/** What the shell asks for. */
record Arguments(
        boolean analyse,
        Path assessment,
        Path responses,
        Path out,
        @Nullable Path sections,
        boolean ignoreUnknown) {

    static final String HELP = """
            bin/batch score   --assessment A.json --responses R.jsonl|R.csv --out DIR [--ignore-unknown]
            bin/batch analyse --assessment A.json --responses R.jsonl|R.csv --out DIR [--sections S.csv] [--ignore-unknown]

            score    scores the responses against the assessment's key and writes to DIR
                     scores.csv, totals.csv, results.csv, standards.csv
            analyse  measures items, options, the test, students and sections, on each student's counting attempt,
                     and writes to DIR items.csv, options.csv, test.csv, students.csv and, where sections are given,
                     sections.csv, comparisons.csv, differences.csv

            --assessment      an assessment file; docs/format has its JSON Schema
            --responses       JSON Lines, or a table with a first row of names (comma, semicolon or tab)
            --sections        a table with the columns student and section; goes before what the responses say
            --ignore-unknown  columns of a response table that are no item are left aside instead of refused

            Exit code 0 when all is written; 2 when the input is refused: then every fault stands on standard
            error with its place, and nothing is written.
            """;

    /**
     * Reads the arguments.
     *
     * @throws Refusal naming everything that is wrong with them
     */
    static Arguments of(String... args) {
        List<String> faults = new ArrayList<>();
        Map<String, Path> paths = new HashMap<>();
        boolean ignore = false;
        String command = args.length == 0 ? "" : args[0];
        if (!command.equals("score") && !command.equals("analyse")) {
            faults.add("'" + command + "' is not a command: score or analyse");
        }
        for (int i = 1; i < args.length; i++) {
            boolean path = List.of("--assessment", "--responses", "--out", "--sections")
                    .contains(args[i]);
            if (args[i].equals("--ignore-unknown")) {
                ignore = true;
            } else if (!path) {
                faults.add("'" + args[i] + "' is not known here; bin/batch --help explains");
            } else if (i + 1 == args.length) {
                faults.add(args[i] + " needs a path");
            } else {
                paths.put(args[i], Path.of(args[++i]));
            }
        }
        for (String needed : List.of("--assessment", "--responses", "--out")) {
            if (!paths.containsKey(needed)) {
                faults.add(needed + " is missing");
            }
        }
        for (String read : List.of("--assessment", "--responses", "--sections")) {
            Path path = paths.get(read);
            if (path != null && !Files.isReadable(path)) {
                faults.add(read + " " + path + ": there is no file that can be read");
            }
        }
        if (command.equals("score") && paths.containsKey("--sections")) {
            faults.add("--sections goes with analyse");
        }
        if (!faults.isEmpty()) {
            throw new Refusal(faults);
        }
        return new Arguments(
                command.equals("analyse"),
                Objects.requireNonNull(paths.get("--assessment")),
                Objects.requireNonNull(paths.get("--responses")),
                Objects.requireNonNull(paths.get("--out")),
                paths.get("--sections"),
                ignore);
    }
}
