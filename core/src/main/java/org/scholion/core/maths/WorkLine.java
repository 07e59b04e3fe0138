package org.scholion.core.maths;

import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.scholion.core.maths.Statement.Relation;
import org.scholion.core.maths.Statement.Sign;

/**
 * A line of working as it was written: its mathematics, without what a teacher reads as a note.
 *
 * @param readings every reading of its mathematics, the likeliest first; none when it is only a note or words
 * @param isCheck whether it says that a check begins here
 */
public record WorkLine(List<Statement> readings, boolean isCheck) {
    private static final WorkLine NOTE = new WorkLine(List.of(), false);
    private static final Pattern CHECK =
            Pattern.compile("(?i)^(check(ing)?|test|verif\\p{L}+|proof|probe)\\b.*", Pattern.DOTALL);
    /** What is done to both sides: | -6, ‖ :2, (-6). */
    private static final Pattern BAR = Pattern.compile("\\s*[|‖]\\s*(?:[-+*/:·×÷−–]|√|\\\\cdot|\\\\div).*$");

    private static final Pattern BRACKET =
            Pattern.compile("\\s*[(\\[]\\s*[-+*/:·×÷−–]\\s*[\\p{L}\\d.,/²^ ]+\\s*[)\\]]\\s*$");
    private static final Pattern TICK = Pattern.compile("\\s*[✓✔☑⇒→]+\\s*$");
    private static final Pattern LEADING_WORDS =
            Pattern.compile("^(?:\\p{L}{2,}[,:]?\\s+)*\\p{L}{2,}[,:]?\\s+(?=\\S)|^\\p{L}{2,}:\\s*");
    private static final Pattern TRAILING_WORDS = Pattern.compile(
            "\\s*[,;(]?\\s*\\b(?:because|since|as|by|for|which|dividing|subtracting|adding|multiplying)\\b.*$");
    private static final Pattern RELATION = Pattern.compile("[=<>≤≥≠∈]");

    public WorkLine {
        readings = List.copyOf(readings);
    }

    /**
     * Reads a line.
     *
     * @throws Unreadable when it is neither mathematics nor a note
     */
    public static WorkLine read(String typed, MathNames names, Budget budget) throws Unreadable {
        MathReader.refuseLong(typed);
        // One space is as good as many, and keeps the patterns below from trying all of them.
        String line = TICK.matcher(typed.strip().replaceAll("\\s+", " ")).replaceFirst("");
        boolean check = CHECK.matcher(line).matches();
        List<Statement> readings = new ArrayList<>();
        Unreadable first = null;
        for (String way : ways(line)) {
            try {
                MathReader.readings(way, names).forEach(r -> readings.add(unchained(r, budget)));
            } catch (Unreadable e) {
                first = first == null ? e : first;
            }
        }
        if (!readings.isEmpty()) {
            return new WorkLine(readings, check);
        }
        if (check || isNote(line) || isWords(line)) {
            return check ? new WorkLine(List.of(), true) : NOTE;
        }
        throw first == null ? new Unreadable("something is missing") : first;
    }

    /** The line with and without what may be a note beside it. */
    private static List<String> ways(String line) {
        List<String> ways = new ArrayList<>();
        boolean relation = RELATION.matcher(line).find();
        String bar = BAR.matcher(line).replaceFirst("");
        if (relation && !bar.equals(line) && !bar.isBlank()) {
            ways.add(bar);
        }
        String bracket = BRACKET.matcher(line).replaceFirst("");
        if (relation
                && !bracket.equals(line)
                && RELATION.matcher(bracket).find()
                && !bracket.strip().matches(".*[=<>≤≥≠]")) {
            ways.add(bracket);
        }
        ways.add(line);
        if (relation) {
            String words = TRAILING_WORDS
                    .matcher(LEADING_WORDS.matcher(line).replaceFirst(""))
                    .replaceFirst("");
            if (!words.equals(line) && !words.isBlank()) {
                ways.add(words);
            }
        }
        return ways;
    }

    private static boolean isNote(String line) {
        return BAR.matcher(line).matches() || BRACKET.matcher(line).matches();
    }

    private static boolean isWords(String line) {
        Matcher word = Pattern.compile("\\p{L}{3,}").matcher(line);
        return word.find() && !RELATION.matcher(line).find();
    }

    /** x = 4/2 = 2 is x = 2, when its numbers are equal; a chain of inequalities stays what it is. */
    private static Statement unchained(Statement s, Budget budget) {
        if (!(s instanceof Statement.And and) || and.all().size() < 2) {
            return s;
        }
        List<Relation> chain = new ArrayList<>();
        for (Statement part : and.all()) {
            boolean goesOn = part instanceof Relation r
                    && r.sign() == Sign.EQUAL
                    && (chain.isEmpty() || chain.get(chain.size() - 1).right().equals(r.left()));
            if (!goesOn) {
                return s;
            }
            chain.add((Relation) part);
        }
        Relation first = chain.get(0);
        Relation last = chain.get(chain.size() - 1);
        boolean numbers =
                chain.stream().allMatch(r -> r.right().variables().findAny().isEmpty())
                        && first.left().variables().findAny().isPresent();
        boolean equal = numbers
                && chain.stream()
                        .skip(1)
                        .allMatch(r -> Equality.of(r.left(), r.right(), budget).isSame());
        return equal ? new Relation(first.left(), Sign.EQUAL, last.right()) : s;
    }

    /** Whether a statement has no letters and is true: a check, once the end is reached. */
    public static boolean isTrueNumber(Statement s, Budget budget) {
        if (s.variables().findAny().isPresent()) {
            return false;
        }
        return s instanceof Statement.Value
                || Solutions.of(s, Statement.ALL, budget).isSame();
    }
}
