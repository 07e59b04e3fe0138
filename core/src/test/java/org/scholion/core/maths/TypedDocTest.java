package org.scholion.core.maths;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.scholion.core.number.Fraction;
import org.scholion.core.quantity.Compound;
import org.scholion.core.quantity.TypedNumber;
import org.scholion.core.quantity.Unit;

/** The page for teachers on what is read is made from the tables by which it is read. */
class TypedDocTest {
    private static final Path PAGE = Path.of(System.getProperty("scholion.root", ".."), "docs", "typed.md");
    private static final MathNames X = new MathNames(List.of("x"));
    private static final MathNames XY = new MathNames(List.of("x", "y"));

    private static final List<String> NUMBERS = List.of(
            "12.5",
            "-5",
            "– 5",
            "1 234",
            "1,234.5",
            "1'234",
            "3/4",
            "7 / 4",
            "1 3/4",
            "1½",
            "½",
            "1e3",
            "2.5E-3",
            "3×10^2",
            "3 \\times 10^{-3}",
            "10⁻³",
            "50 %",
            "５");
    private static final List<String[]> COMPOUND = List.of(
            new String[] {"12 min 30 s", "min"},
            new String[] {"1 h 30 min", "h"},
            new String[] {"1:02:03", "s"},
            new String[] {"12°30'30\"", "°"},
            new String[] {"12° 30.5'", "°"},
            new String[] {"5 ft 3 in", "ft"},
            new String[] {"5' 3\"", "ft"});
    private static final List<String> UNITS =
            List.of("km/h", "kph", "m s^-1", "m·s⁻¹", "metres per second", "square metres", "kWh", "deg C", "litres");
    private static final List<String> EXPRESSIONS = List.of(
            "2x(x+3)",
            "x²",
            "3 1/2",
            "3\\frac{1}{2}",
            "½x",
            "|x-1|",
            "√(x+1)",
            "sin 2x",
            "SIN(x)",
            "tg x",
            "log2(8x)",
            "log₂(8x)",
            "x--1",
            "2•x",
            "x⁄2",
            "1e3",
            "50%",
            "sin(30°)",
            "2 Pi x",
            "\\cfrac{x}{2}",
            "\\operatorname{sin}(x)");
    private static final List<String> SOLUTIONS = List.of(
            "x=2 or x=3",
            "x=2, x=3",
            "x=2 and x=3",
            "x1=2, x2=3",
            "x₁=2, x₂=3",
            "x∈{2;3}",
            "{2; 3}",
            "x=2; 3",
            "x=±2",
            "2<x≤5",
            "(2;5]",
            "]2;5]",
            "[2;∞)",
            "(-∞;1)∪(2;∞)",
            "x≠2",
            "ℝ\\{2}",
            "all real numbers",
            "ℝ",
            "no solution",
            "none",
            "{}",
            "∅");
    private static final List<String> PAIRS =
            List.of("(2; 3)", "(x; y)=(2; 3)", "x=2 and y=3", "y=3, x=2", "{(2;3); (3;2)}");

    private static String page() throws Unreadable {
        StringBuilder page = new StringBuilder("""
                # What is read when students type

                This page is made by a test from the tables that the scorer itself uses; the right columns are what it read.
                What is not listed and cannot be read is never wrong by itself: it waits in *Settle*.

                ## Numbers

                Under a decimal point. With a decimal comma, `,` and `.` change places. A number that would match only with
                the other mark waits, and *Settle* says what it could mean.

                | typed | read as |
                |---|---|
                """);
        for (String typed : NUMBERS) {
            TypedNumber n = TypedNumber.read(typed, '.', false).orElseThrow();
            row(page, typed, n.value().toReadable() + (n.unit().isEmpty() ? "" : " " + n.unit()));
        }
        page.append("\n## Several units in one answer\n\n| typed | where the unit is | read as |\n|---|---|---|\n");
        for (String[] c : COMPOUND) {
            Unit unit = Unit.parse(c[1]).orElseThrow();
            Compound read = Compound.of(c[0], '.', unit).get(0);
            page.append("| `")
                    .append(c[0])
                    .append("` | ")
                    .append(c[1])
                    .append(" | ")
                    .append(read.value().toReadable())
                    .append(" ")
                    .append(c[1])
                    .append(" |\n");
        }
        page.append("\n`12:30` could be hours and minutes or minutes and seconds: it waits.\n");
        page.append("\n## Units\n\n| sign | names |\n|---|---|\n");
        Unit.names()
                .forEach((sign, names) -> page.append("| ")
                        .append(sign)
                        .append(" | ")
                        .append(names)
                        .append(" |\n"));
        page.append(
                "\nWith the prefixes n, µ, m, c, d, h, k, M, G where they are used, in signs and in words. Products, quotients"
                        + " and powers:\n\n| typed | one of it is |\n|---|---|\n");
        for (String typed : UNITS) {
            row(page, typed, base(Unit.parse(typed).orElseThrow()));
        }
        page.append("\nA unit that is not known waits, with the nearest known ones.\n");
        section(
                page,
                "Formulas",
                "Functions: " + functions() + ". Greek letters by name or as letters.",
                EXPRESSIONS,
                X);
        section(page, "Solutions", "In one line, or one on each line. In words: " + words() + ".", SOLUTIONS, X);
        section(page, "Solutions of systems", "The letters in the order in which the question names them.", PAIRS, XY);
        page.append("""

                A comma between digits is read in every way it can be: `2,5` is two and a half, `1,000` a thousand, and in a
                list two numbers. Any reading that is right counts. A name before an expression (`y = 2x`), an equals sign at
                its end and a chain of equal expressions are read as the expression. A letter that the question does not have
                waits: it may be a unit or a slip.

                ## Lines of working

                Read as what they are, and not counted as lines: what is done to both sides (`| -6`, `(:2)`), words between
                the lines, a check after the end. Cases may stand on lines of their own, and `x = 4/2 = 2` is one line.
                Squaring and clearing of denominators are right steps; what they bring has to be left out again.
                """);
        return page.toString();
    }

    private static void row(StringBuilder page, String typed, String read) {
        page.append("| `")
                .append(typed.replace("|", "\\|"))
                .append("` | ")
                .append(read.replace("|", "\\|"))
                .append(" |\n");
    }

    private static void section(StringBuilder page, String title, String about, List<String> lines, MathNames names)
            throws Unreadable {
        page.append("\n## ").append(title).append("\n\n").append(about).append("\n\n| typed | read as |\n|---|---|\n");
        for (String typed : lines) {
            row(page, typed, MathReader.read(typed, names).shown());
        }
    }

    private static String base(Unit unit) {
        for (String name : List.of("m/s", "m2", "J", "°C", "m3")) {
            Unit to = Unit.parse(name).orElseThrow();
            if (unit.sameDimension(to)) {
                return unit.convert(Fraction.ONE, to).toReadable() + " " + name;
            }
        }
        return "";
    }

    private static String functions() {
        return MathNames.functionNames().stream().sorted().collect(Collectors.joining(", "));
    }

    private static String words() {
        return Phrases.told().stream().map(w -> "“" + w + "”").collect(Collectors.joining(", "));
    }

    @Test
    void the_page_for_teachers_says_what_is_read() throws IOException, Unreadable {
        if (Boolean.getBoolean("scholion.docs.write")) {
            Files.writeString(PAGE, page());
        }
        assertThat(Files.readString(PAGE)).isEqualTo(page());
    }

    @Test
    void every_phrase_of_the_page_is_read() {
        assertThat(Phrases.told())
                .allSatisfy(w -> assertThat(Phrases.read(w, X)).isNotNull());
    }
}
