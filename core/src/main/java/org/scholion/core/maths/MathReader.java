package org.scholion.core.maths;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.scholion.core.maths.Tokens.Commas;

/**
 * Reads a line of mathematics, as it is typed in school and as a maths keyboard writes it. What can be read in more than
 * one way has more than one reading: a comma between digits, a degree sign. Deep nesting and long lines are refused.
 */
public final class MathReader {
    private static final int LONGEST = 1_000;

    private MathReader() {}

    /**
     * The first reading of a line, for a key.
     *
     * @throws Unreadable saying what stands in the way
     */
    public static Statement read(String line, MathNames names) throws Unreadable {
        return readings(line, names).get(0);
    }

    /**
     * Every reading of a line, the likeliest first; there is at least one.
     *
     * @throws Unreadable saying what stands in the way of the likeliest
     */
    public static List<Statement> readings(String line, MathNames names) throws Unreadable {
        refuseLong(line);
        String plain = Phrases.trimmed(Spelling.plain(line));
        Statement said = Phrases.read(plain, names);
        if (said != null) {
            return List.of(said);
        }
        Map<String, Statement> readings = new LinkedHashMap<>();
        Unreadable first = null;
        for (TermReader.Choices choices : choices(plain)) {
            try {
                Statement reading = read(plain, names, choices);
                readings.putIfAbsent(reading.shown(), reading);
            } catch (Unreadable e) {
                first = first == null ? e : first;
            }
        }
        if (readings.isEmpty() && first != null) {
            throw first;
        }
        return List.copyOf(readings.values());
    }

    static void refuseLong(String line) throws Unreadable {
        if (line.length() > LONGEST) {
            throw new Unreadable("it is longer than " + LONGEST + " characters");
        }
    }

    private static Statement read(String plain, MathNames names, TermReader.Choices choices) throws Unreadable {
        List<Token> tokens = Tokens.of(plain, names, choices.commas());
        TermReader terms = new TermReader(tokens, names, choices);
        Statement first = new StatementReader(terms).whole();
        if (!terms.metPlusMinus()) {
            return first;
        }
        TermReader.Choices other = new TermReader.Choices(choices.commas(), true, choices.plainDegrees());
        return StatementReader.either(first, new StatementReader(new TermReader(tokens, names, other)).whole(), names);
    }

    private static List<TermReader.Choices> choices(String plain) {
        List<Commas> commas = new ArrayList<>(List.of(Commas.DECIMAL));
        if (Phrases.hasOpenComma(plain)) {
            commas.add(Commas.GROUPED);
            commas.add(Phrases.looksLikeASet(plain) ? 0 : 2, Commas.LISTED);
        }
        List<TermReader.Choices> all = new ArrayList<>();
        commas.forEach(c -> all.add(new TermReader.Choices(c, false, false)));
        if (plain.indexOf('°') >= 0) {
            commas.forEach(c -> all.add(new TermReader.Choices(c, false, true)));
        }
        return all;
    }
}
