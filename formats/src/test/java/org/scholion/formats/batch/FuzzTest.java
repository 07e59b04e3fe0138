package org.scholion.formats.batch;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.scholion.formats.assessment.FileTest.FORMAT;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Assertions;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.scholion.core.answer.Answer;
import org.scholion.core.item.Item;
import org.scholion.core.number.Fraction;
import org.scholion.core.reason.Words;
import org.scholion.core.score.Mark;
import org.scholion.core.score.Scorer;
import org.scholion.core.score.State;
import org.scholion.formats.assessment.AssessmentReader;
import org.scholion.formats.json.Faults;
import org.scholion.formats.json.Json;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** Whatever comes in: clear errors or marks within their bounds, in bounded time, and never half a result. */
class FuzzTest {
    /** Far more than any of this should take; what hangs or grows without bound does not end before. */
    private static final Duration BOUNDED = Duration.ofSeconds(60);

    private static final List<Item> ITEMS =
            AssessmentReader.read(tides()).assessment().scorable();

    /** Pieces of text that have broken programs before. */
    private static final List<String> NASTY = List.of(
            "1e999999",
            "-1e-999999",
            "1e2147483648",
            "9".repeat(5000),
            "1/0",
            "0/0",
            "1 1/0",
            "\u202Eenilwob\u202C",
            "bow\u200Bline",
            "e\u0301\u0301\u0301",
            "\u0301",
            "\uFEFFbowline",
            "ﬁ ½ ² ￼",
            "𝔟𝔬𝔴𝔩𝔦𝔫𝔢",
            "\uD800",
            "(".repeat(3000),
            "√".repeat(900),
            "|".repeat(999),
            "x^".repeat(400) + "2",
            "9^9^9^9^9",
            "\\frac".repeat(180),
            "((x+1)^60)^60",
            "sin ".repeat(200) + "x",
            "=".repeat(50),
            "\t\u00A0\u3000",
            "%00%0a",
            "'; drop table mark; --",
            "<script>alert(1)</script>",
            "a".repeat(1_000_000),
            "ab ".repeat(300_000),
            "1,234,567.89 km/h km/h",
            "NaN",
            "Infinity",
            "0x1F",
            "١٢٫٥");

    @TempDir
    Path dir;

    private static String tides() {
        try {
            return Files.readString(FORMAT.resolve("example/tides.json"));
        } catch (IOException e) {
            throw new java.io.UncheckedIOException(e);
        }
    }

    private static void score(String text) {
        for (Item item : ITEMS) {
            Answer answer = switch (item.kind()) {
                case "text", "number", "correction", "formula" -> new Answer.Typed(text);
                case "open" -> Answer.Written.of(text);
                case "working" -> new Answer.Lines(List.of("2x + 6 = 10", text));
                case "blanks" -> new Answer.Parts(java.util.Map.of("b1", new Answer.Typed(text)));
                default -> Answer.NONE;
            };
            Mark mark = Scorer.of(item).score(answer);
            assertThat(mark.credit()).isBetween(Fraction.of(-1), Fraction.ONE);
            assertThat(mark.state()).isNotEqualTo(State.EXCUSED);
            assertThat(Words.english(mark.reason())).isNotBlank();
        }
    }

    @Test
    void nothing_that_a_student_writes_makes_a_scorer_throw_or_hang() {
        Assertions.assertTimeoutPreemptively(BOUNDED, () -> NASTY.forEach(FuzzTest::score));
    }

    @ParameterizedTest
    @ValueSource(ints = {1, 2, 3, 4, 5, 6})
    void mixtures_of_what_students_and_machines_write_are_scored_within_bounds(int seed) {
        Random random = new Random(seed);
        String signs = "0123456789.,-+*/^()[]{}|=<>≤≥±√½²xXyeπ\\_%;:'\"  \n\tabcéß\u0301\u202E\uD83D\uDE00";
        Assertions.assertTimeoutPreemptively(BOUNDED, () -> {
            for (int i = 0; i < 400; i++) {
                StringBuilder text = new StringBuilder();
                for (int n = random.nextInt(40); n >= 0; n--) {
                    text.append(signs.charAt(random.nextInt(signs.length())));
                }
                score(text.toString());
            }
        });
    }

    private int run(Path assessment, Path responses, ByteArrayOutputStream said) {
        PrintStream stream = new PrintStream(said, true, StandardCharsets.UTF_8);
        return Batch.run(
                stream,
                stream,
                false,
                "score",
                "--assessment",
                assessment.toString(),
                "--responses",
                responses.toString(),
                "--out",
                dir.resolve("out").toString());
    }

    @ParameterizedTest
    @ValueSource(ints = {1, 2, 3, 4, 5, 6, 7, 8})
    void broken_files_are_refused_with_their_line_and_nothing_is_written(int seed) throws IOException {
        Random random = new Random(seed);
        byte[] whole = Files.readAllBytes(FORMAT.resolve(seed % 2 == 0 ? "example/tides.jsonl" : "example/tides.csv"));
        for (int i = 0; i < 40; i++) {
            byte[] broken = whole.clone();
            for (int n = 1 + random.nextInt(6); n > 0; n--) {
                broken[random.nextInt(broken.length)] = (byte) random.nextInt(256);
            }
            Path file = dir.resolve(seed % 2 == 0 ? "r.jsonl" : "r.csv");
            Files.write(file, broken);
            ByteArrayOutputStream said = new ByteArrayOutputStream();
            int code = run(FORMAT.resolve("example/tides.json"), file, said);
            assertThat(code).isIn(0, 2);
            if (code == 2) {
                assertThat(said.toString(StandardCharsets.UTF_8))
                        .startsWith(file.getFileName().toString());
                assertThat(dir.resolve("out")).doesNotExist();
            } else {
                for (String name : List.of("scores.csv", "totals.csv", "results.csv", "standards.csv")) {
                    Files.delete(dir.resolve("out").resolve(name));
                }
                Files.delete(dir.resolve("out"));
            }
        }
    }

    @Test
    void random_bytes_deep_json_and_huge_answers_end_in_clear_words() throws IOException {
        Path key = FORMAT.resolve("example/tides.json");
        byte[] noise = new byte[200_000];
        new Random(9).nextBytes(noise);
        List<byte[]> files = List.of(
                noise,
                ("{\"student\": \"s\", \"responses\": {\"q6\": " + "[".repeat(100_000))
                        .getBytes(StandardCharsets.UTF_8),
                ("{\"student\": \"s\", \"responses\": " + "{\"a\":".repeat(100_000)).getBytes(StandardCharsets.UTF_8),
                new byte[] {'{', '"', (byte) 0xC3, (byte) 0x28, '"', ':', '1', '}'},
                "{\"student\": \"s\", \"attempt\": 1e999999, \"responses\": {}}".getBytes(StandardCharsets.UTF_8),
                "{\"student\": \"s\", \"responses\": {\"q8\": [[\"1e999999\", \"0\"]]}}"
                        .getBytes(StandardCharsets.UTF_8),
                "{\"student\": \"s\", \"responses\": {\"q1\": [\"b\"], \"q1\": [\"a\"]}}"
                        .getBytes(StandardCharsets.UTF_8),
                "{\"student\": \"s\", \"responses\": {\"q5\": {\"b1\": \"x\", \"b1\": \"y\"}}}"
                        .getBytes(StandardCharsets.UTF_8));
        for (byte[] content : files) {
            Path file = dir.resolve("r.jsonl");
            Files.write(file, content);
            ByteArrayOutputStream said = new ByteArrayOutputStream();
            Assertions.assertTimeoutPreemptively(
                    BOUNDED, () -> assertThat(run(key, file, said)).isEqualTo(2));
            assertThat(said.toString(StandardCharsets.UTF_8)).contains("r.jsonl line 1");
            assertThat(dir.resolve("out")).doesNotExist();
        }
        ObjectNode huge = JsonNodeFactory.instance.objectNode().put("student", "s");
        huge.putObject("responses")
                .put("q3", "a".repeat(1_000_000))
                .put("q11", "x+".repeat(500_000))
                .put("q4", "7".repeat(1_000_000));
        Files.writeString(dir.resolve("r.jsonl"), Json.write(huge));
        assertThat(run(key, dir.resolve("r.jsonl"), new ByteArrayOutputStream()))
                .isZero();
    }

    @ParameterizedTest(name = "{0}")
    @ValueSource(
            strings = {
                "(((a{100}){100}){100}){10}",
                "(a{1000}){1000}",
                "(a|a)*b\\\\1",
                "(?=a)b",
                "(",
                "[z-a]",
                "a**",
                "\\\\h+",
                "((((((((((a?){50}){50}){50}){50}))))))"
            })
    void patterns_made_to_be_slow_or_broken_are_refused_where_they_are_written(String pattern) {
        String file = tides().replace("bow ?line( knot)?", pattern);
        Assertions.assertTimeoutPreemptively(
                BOUNDED,
                () -> assertThatThrownBy(() -> AssessmentReader.read(file))
                        .isInstanceOfSatisfying(
                                Faults.class,
                                e -> assertThat(e.all())
                                        .anySatisfy(
                                                f -> assertThat(f.path()).isEqualTo("items[2].accept[1].pattern"))));
    }

    @Test
    void a_pattern_that_would_be_slow_elsewhere_runs_in_bounded_time_on_a_long_answer() {
        Item item = AssessmentReader.read(tides().replace("bow ?line( knot)?", "(a*)*(a|aa)*b"))
                .assessment()
                .scorable()
                .get(2);
        Scorer scorer = Scorer.of(item);
        Assertions.assertTimeoutPreemptively(
                BOUNDED,
                () -> assertThat(scorer.score(new Answer.Typed("a".repeat(20_000)))
                                .state())
                        .isEqualTo(State.SETTLE));
    }

    @ParameterizedTest
    @ValueSource(ints = {1, 2, 3, 4})
    void a_broken_assessment_is_refused_with_paths_and_never_throws_anything_else(int seed) {
        Random random = new Random(seed);
        String whole = tides();
        for (int i = 0; i < 150; i++) {
            int at = random.nextInt(whole.length() - 12);
            String broken = whole.substring(0, at)
                    + List.of("", "\"", "{", "]", "null", "-1", "\"q1\"", "1e99", ",")
                            .get(random.nextInt(9))
                    + whole.substring(at + random.nextInt(12));
            try {
                AssessmentReader.read(broken);
            } catch (Faults e) {
                assertThat(e.all())
                        .isNotEmpty()
                        .allSatisfy(f -> assertThat(f.message()).isNotBlank());
            }
        }
    }
}
