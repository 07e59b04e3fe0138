package org.scholion.formats.batch;

import static org.assertj.core.api.Assertions.assertThat;
import static org.scholion.formats.assessment.FileTest.FORMAT;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The command as a shell sees it: files in, files and an exit code out. */
class BatchTest {
    private static final String TWO_ITEMS = """
            {"format": "scholion-assessment/1", "title": "Two", "items": [
             {"id": "q1", "kind": "choice", "points": "1", "options": [{"id": "a"}, {"id": "b"}, {"id": "c"}], "key": ["a"]},
             {"id": "q2", "kind": "text", "points": "2", "accept": [{"text": "ebb"}], "otherwise": "wrong"}]%s}
            """;

    @TempDir
    Path dir;

    private Path out;
    private final ByteArrayOutputStream said = new ByteArrayOutputStream();

    @BeforeEach
    void place() {
        out = dir.resolve("deep/out");
    }

    private Path file(String name, String content) throws IOException {
        return Files.writeString(dir.resolve(name), content);
    }

    private int run(String... args) {
        said.reset();
        PrintStream stream = new PrintStream(said, true, StandardCharsets.UTF_8);
        return Batch.run(stream, stream, false, args);
    }

    private int score(Path assessment, Path responses, String... more) {
        return command("score", assessment, responses, more);
    }

    private int command(String command, Path assessment, Path responses, String... more) {
        List<String> args = new ArrayList<>(List.of(
                command,
                "--assessment",
                assessment.toString(),
                "--responses",
                responses.toString(),
                "--out",
                out.toString()));
        args.addAll(List.of(more));
        return run(args.toArray(String[]::new));
    }

    private String said() {
        return said.toString(StandardCharsets.UTF_8).strip();
    }

    private List<String> result(String name) throws IOException {
        return Files.readAllLines(out.resolve(name));
    }

    @Test
    void the_published_example_is_scored_alike_from_lines_and_from_a_table() throws IOException {
        Path tides = FORMAT.resolve("example/tides.json");
        assertThat(score(tides, FORMAT.resolve("example/tides.jsonl"))).isZero();
        List<String> scores = result("scores.csv");
        assertThat(result("results.csv"))
                .containsExactly(
                        "student,attempts,percent,band,passed,provisional",
                        "ines,1,100,Secure,yes,no",
                        "oke,2,24.2,,no,yes",
                        "piet,1,16.5,,no,yes");
        assertThat(scores).hasSize(1 + 4 * 12);
        assertThat(scores)
                .contains("oke,1,q8,excused,,,,excused,excused: counts neither in the score nor in the maximum");
        assertThat(score(tides, FORMAT.resolve("example/tides.csv"))).isZero();
        assertThat(result("scores.csv")).isEqualTo(scores);
    }

    @Test
    void rows_keep_the_order_of_the_input_however_many_threads_score_them() throws IOException {
        StringBuilder rows = new StringBuilder();
        for (int i = 0; i < 30_000; i++) {
            rows.append("{\"student\": \"s")
                    .append(i)
                    .append("\", \"responses\": {\"q1\": [\"")
                    .append("abc".charAt(i % 3))
                    .append("\"]}}\n");
        }
        assertThat(score(file("a.json", TWO_ITEMS.formatted("")), file("r.jsonl", rows.toString())))
                .isZero();
        List<String> totals = result("totals.csv");
        assertThat(totals).hasSize(30_001);
        for (int i = 0; i < 30_000; i += 997) {
            assertThat(totals.get(i + 1)).startsWith("s" + i + ",1,yes," + (i % 3 == 0 ? "1,3,33.3" : "0,3,0"));
        }
    }

    @Test
    void every_fault_is_named_with_its_line_and_nothing_is_written() throws IOException {
        Path responses = file("r.jsonl", """
                {"student": "s1", "responses": {"q1": ["a"]}}
                {"student": "s2", "responses": {"q1": ["z"], "q9": "x", "q2": 7}}
                not json

                {"responses": {"q1": ["z"]}, "student": "s3", "late": "soon", "attempt": 0, "colour": "red"}
                {"student": "s1", "responses": {}}
                {"student": "s4"}
                {"responses": {}}
                {"student": "s5", "responses": {}, "excused": ["q1", "q7"]}
                """);
        assertThat(score(file("a.json", TWO_ITEMS.formatted("")), responses)).isEqualTo(2);
        assertThat(said().lines())
                .containsExactly(
                        "r.jsonl line 2, student s2, item q1: [0]: no option is called 'z'",
                        "r.jsonl line 2, student s2, item q9: no item that is scored has this id",
                        "r.jsonl line 2, student s2, item q2: a text in quotes is expected here",
                        "r.jsonl line 3: this is not JSON: Unrecognized token 'not': was expecting (JSON String, Number, Array,"
                                + " Object or token 'null', 'true' or 'false')",
                        "r.jsonl line 5, student s3, item q1: [0]: no option is called 'z'",
                        "r.jsonl line 5, student s3: late: a number with d, h or m is expected here, such as \"26h\"",
                        "r.jsonl line 5, student s3: attempt: a whole number from 1 is expected here",
                        "r.jsonl line 5, student s3: colour: this field is not known here",
                        "r.jsonl line 7, student s4: responses: is missing",
                        "r.jsonl line 8: student: is missing",
                        "r.jsonl line 9, student s5: excused from 'q7', which is no item that is scored",
                        "r.jsonl line 6, student s1: attempt 1 of this student is there twice");
        assertThat(out).doesNotExist();
        assertThat(dir.toFile().list()).containsExactlyInAnyOrder("a.json", "r.jsonl");
    }

    @Test
    void a_tables_faults_name_line_student_and_item() throws IOException {
        Path key = file("a.json", TWO_ITEMS.formatted(""));
        assertThat(score(key, file("r.csv", "student;q1;q2;notes\ns1;a;ebb;x\n")))
                .isEqualTo(2);
        assertThat(said()).isEqualTo("r.csv line 1: column 'notes' is no item that is scored and no known field");
        assertThat(score(key, file("r.csv", "student;q1;q2;notes\ns1;a;ebb;x\n"), "--ignore-unknown"))
                .isZero();
        assertThat(result("totals.csv").get(1)).isEqualTo("s1,1,yes,3,3,100,no");
        assertThat(score(key, file("r.csv", "student,q1,late,attempt\ns1,z,,\n,a,,\ns3,a,1w,x\n")))
                .isEqualTo(2);
        assertThat(said().lines())
                .containsExactly(
                        "r.csv line 2, student s1, item q1: [0]: no option is called 'z'",
                        "r.csv line 3: the student is missing",
                        "r.csv line 4, student s3: attempt 'x' is not a whole number from 1",
                        "r.csv line 4, student s3: late '1w' is not a number with d, h or m, such as 26h");
        Files.write(dir.resolve("latin.csv"), new byte[] {'s', 't', 'u', 'd', 'e', 'n', 't', '\n', (byte) 0xE9, '\n'});
        assertThat(score(key, dir.resolve("latin.csv"))).isEqualTo(2);
        assertThat(said()).contains("not UTF-8");
    }

    @Test
    void a_faulty_assessment_and_wrong_arguments_are_refused_with_their_place() throws IOException {
        Path responses = file("r.jsonl", "");
        assertThat(score(file("a.json", TWO_ITEMS.formatted(", \"colour\": 1")), responses))
                .isEqualTo(2);
        assertThat(said()).isEqualTo("a.json, colour: this field is not known here");
        assertThat(run("grade", "--out")).isEqualTo(2);
        assertThat(said().lines())
                .containsExactly(
                        "'grade' is not a command: score or analyse",
                        "--out needs a path",
                        "--assessment is missing",
                        "--responses is missing",
                        "--out is missing");
        assertThat(run("--help")).isZero();
        assertThat(said()).contains("bin/batch score");
    }

    @ParameterizedTest(name = "{0}")
    @CsvSource({
        "best, 's1,3,100,,,no', 's1,1,no|s1,2,yes|s1,3,no'",
        "first, 's1,3,33.3,,,no', 's1,1,yes|s1,2,no|s1,3,no'",
        "last, 's1,3,66.7,,,no', 's1,1,no|s1,2,no|s1,3,yes'",
        "mean, 's1,3,66.7,,,no', 's1,1,yes|s1,2,yes|s1,3,yes'"
    })
    void attempts_count_as_the_rule_says_whatever_their_order_in_the_file(String rule, String result, String counts)
            throws IOException {
        Path responses = file("r.jsonl", """
                {"student": "s1", "attempt": 3, "responses": {"q2": "ebb"}}
                {"student": "s1", "attempt": 1, "responses": {"q1": ["a"]}}
                {"student": "s1", "attempt": 2, "responses": {"q1": ["a"], "q2": "ebb"}}
                """);
        Path key = file("a.json", TWO_ITEMS.formatted(", \"grading\": {\"attempts\": \"" + rule + "\"}"));
        assertThat(score(key, responses)).isZero();
        assertThat(result("results.csv").get(1)).isEqualTo(result);
        assertThat(result("totals.csv").stream()
                        .skip(1)
                        .map(r -> r.split(","))
                        .map(r -> r[0] + "," + r[1] + "," + r[2]))
                .containsExactlyInAnyOrder(counts.split("\\|"));
    }

    @Test
    void measures_rest_on_counting_attempts_and_sections_of_a_table_go_first() throws IOException {
        Path responses = file("r.jsonl", """
                {"student": "s1", "section": "X", "responses": {"q1": ["a"], "q2": "ebb"}}
                {"student": "s2", "responses": {"q1": ["b"], "q2": "ebb"}}
                {"student": "s2", "attempt": 2, "responses": {"q1": ["b"]}}
                {"student": "s3", "responses": {"q1": ["a"]}}
                {"student": "s4", "responses": {}}
                """);
        Path sections = file("s.csv", "student,section\ns1,9A\ns2,9A\ns3,9B\ns4,9B\n");
        Path key = file("a.json", TWO_ITEMS.formatted(""));
        assertThat(command("analyse", key, responses, "--sections", sections.toString()))
                .isZero();
        assertThat(result("items.csv"))
                .containsExactly(
                        "item,n,difficulty,itemRest,upperLower,alphaWithout,blank,notReached,flags",
                        "q1,4,0.5,0,0.851852,,0.25,0.25,key;weak;blank;unreached",
                        "q2,4,0.5,0,1,,0.5,0.5,weak;blank;unreached");
        assertThat(result("students.csv"))
                .containsExactly(
                        "student,section,total,solved,percentile",
                        "s1,9A,3,2,87.5",
                        "s2,9A,2,1,62.5",
                        "s3,9B,1,1,37.5",
                        "s4,9B,0,0,12.5");
        assertThat(result("sections.csv").get(1)).isEqualTo("9A,2,2.5,0.707107");
        assertThat(result("test.csv").get(1)).isEqualTo("4,1.5,1.290994,0,0.75,1.5,2.25,3,0,1.290994");
        assertThat(result("options.csv").get(1)).isEqualTo("q1,a,yes,2,0.5,0.75,0.5,0.25,0");
    }

    @Test
    void undecided_marks_count_nothing_in_measures_and_the_run_says_how_many() throws IOException {
        Path key = file("a.json", TWO_ITEMS.formatted("").replace(", \"otherwise\": \"wrong\"", ""));
        assertThat(command(
                        "analyse", key, file("r.jsonl", "{\"student\": \"s1\", \"responses\": {\"q2\": \"flood\"}}\n")))
                .isZero();
        assertThat(said()).isEqualTo("1 mark is still undecided and counted 0.");
        assertThat(out.resolve("sections.csv")).doesNotExist();
    }
}
