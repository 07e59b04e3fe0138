package org.scholion.formats.batch;

import java.io.IOException;
import java.io.PrintStream;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.scholion.formats.assessment.AssessmentFile;
import org.scholion.formats.assessment.AssessmentReader;
import org.scholion.formats.json.Faults;

/** The command behind {@code bin/batch}. */
public final class Batch {
    private Batch() {}

    public static void main(String[] args) {
        System.exit(run(System.out, System.err, Boolean.getBoolean("scholion.progress"), args));
    }

    /** Runs a command; 0 when all is written, 2 when the input is refused, 1 when files could not be read or written. */
    public static int run(PrintStream out, PrintStream err, boolean progress, String... args) {
        if (args.length == 0 || List.of(args).contains("--help")) {
            out.print(Arguments.HELP);
            return args.length == 0 ? 2 : 0;
        }
        try {
            Arguments asked = Arguments.of(args);
            Key key = new Key(assessment(asked.assessment()));
            Progress shown = new Progress(err, progress);
            if (asked.analyse()) {
                new AnalyseCommand(asked, key, shown, err).run();
            } else {
                new ScoreCommand(asked, key, shown).run();
            }
            return 0;
        } catch (Refusal e) {
            e.faults().forEach(err::println);
            return 2;
        } catch (IOException e) {
            err.println("The files could not be read or written: " + e);
            return 1;
        }
    }

    private static AssessmentFile assessment(Path file) throws IOException {
        String name = String.valueOf(file.getFileName());
        try {
            String text = StandardCharsets.UTF_8
                    .newDecoder()
                    .decode(ByteBuffer.wrap(Files.readAllBytes(file)))
                    .toString();
            return AssessmentReader.read(text.startsWith("\uFEFF") ? text.substring(1) : text);
        } catch (CharacterCodingException e) {
            throw new Refusal(List.of(name + ": the file is not UTF-8"));
        } catch (Faults e) {
            throw new Refusal(e.all().stream().map(f -> name + ", " + f).toList());
        }
    }
}
