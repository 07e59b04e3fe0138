package org.scholion.sheets.formula;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.scholion.sheets.formula.Node.Face;
import org.scholion.sheets.formula.Node.Kind;

/** Reads the LaTeX that is allowed. Anything else makes the whole formula unreadable; nothing of it is guessed. */
final class FormulaReader {
    private static final int LONGEST = 2_000;
    private static final int DEEPEST = 24;
    private static final int MOST_CELLS = 400;
    private static final Pattern TOKEN = Pattern.compile("\\\\[a-zA-Z]+|\\\\.|\\s+|.", Pattern.DOTALL);
    private static final Map<String, Face> FACES = Map.of(
            "mathrm",
            Face.UPRIGHT,
            "mathbf",
            Face.BOLD,
            "mathit",
            Face.SLANTED,
            "mathbb",
            Face.DOUBLE,
            "mathcal",
            Face.SCRIPT,
            "boldsymbol",
            Face.BOLD,
            "mathnormal",
            Face.ITALIC);
    private static final Map<String, Face> WORDS = Map.of(
            "text",
            Face.UPRIGHT,
            "textrm",
            Face.UPRIGHT,
            "textbf",
            Face.BOLD,
            "textit",
            Face.SLANTED,
            "mbox",
            Face.UPRIGHT);
    private static final Map<String, String> MARKS = Map.of(
            "hat",
            "^",
            "bar",
            "ˉ",
            "dot",
            "˙",
            "ddot",
            "¨",
            "tilde",
            "~",
            "vec",
            "⃗",
            "overline",
            "above",
            "underline",
            "below",
            "boxed",
            "around",
            "overrightarrow",
            "arrow");
    private static final Map<String, String> FENCES = Map.ofEntries(
            Map.entry("matrix", ""),
            Map.entry("pmatrix", "()"),
            Map.entry("bmatrix", "[]"),
            Map.entry("Bmatrix", "{}"),
            Map.entry("vmatrix", "||"),
            Map.entry("cases", "{"),
            Map.entry("aligned", ""),
            Map.entry("array", ""),
            Map.entry("smallmatrix", ""));
    private static final Set<String> SIZES = Set.of(
            "big",
            "Big",
            "bigg",
            "Bigg",
            "bigl",
            "bigr",
            "Bigl",
            "Bigr",
            "displaystyle",
            "textstyle",
            "limits",
            "nolimits",
            "middle");

    private final List<String> tokens = new ArrayList<>();
    private int at;
    private int depth;
    private int cells;
    private Face face = Face.ITALIC;

    private FormulaReader(String latex) {
        Matcher matcher = TOKEN.matcher(latex);
        while (matcher.find()) {
            tokens.add(matcher.group());
        }
    }

    /** Not to be read: a command that is not allowed, or brackets that do not fit. */
    static final class Unreadable extends RuntimeException {
        private static final long serialVersionUID = 1;

        Unreadable(String what) {
            super(what, null, false, false);
        }
    }

    static Optional<Node> read(String latex) {
        if (latex.length() > LONGEST) {
            return Optional.empty();
        }
        try {
            FormulaReader reader = new FormulaReader(latex);
            Node row = reader.row();
            return reader.peek() == null ? Optional.of(row) : Optional.empty();
        } catch (Unreadable e) {
            return Optional.empty();
        }
    }

    private @Nullable String peek() {
        while (at < tokens.size() && tokens.get(at).isBlank()) {
            at++;
        }
        return at < tokens.size() ? tokens.get(at) : null;
    }

    private String next() {
        String token = peek();
        if (token == null) {
            throw new Unreadable("it ends too early");
        }
        at++;
        return token;
    }

    private boolean skip(String token) {
        boolean there = token.equals(peek());
        at += there ? 1 : 0;
        return there;
    }

    private void expect(String token) {
        if (!skip(token)) {
            throw new Unreadable("here should be " + token);
        }
    }

    /** What follows one another, to the end of its group. */
    private Node row() {
        depth++;
        if (depth > DEEPEST) {
            throw new Unreadable("it goes too deep");
        }
        List<Node> parts = new ArrayList<>();
        for (String token = peek(); token != null && !isEnd(token); token = peek()) {
            part(parts);
        }
        depth--;
        return parts.size() == 1 ? parts.get(0) : new Node.Row(List.copyOf(parts));
    }

    private static boolean isEnd(String token) {
        return token.equals("}")
                || token.equals("&")
                || token.equals("\\\\")
                || token.equals("\\right")
                || token.equals("\\end");
    }

    private void part(List<Node> parts) {
        String token = next();
        if (token.equals("^") || token.equals("_")) {
            Node base = parts.isEmpty() ? new Node.Row(List.of()) : parts.remove(parts.size() - 1);
            parts.add(scripts(base, token));
        } else if (token.equals("'")) {
            at--;
            Node base = parts.isEmpty() ? new Node.Row(List.of()) : parts.remove(parts.size() - 1);
            parts.add(scripts(base, "^"));
        } else if (!(token.startsWith("\\") && SIZES.contains(token.substring(1)))) {
            parts.add(atom(token));
        }
    }

    private Node scripts(Node base, String first) {
        Node below = null;
        Node above = null;
        String sign = first;
        while (true) {
            Node script = sign.equals("^") && "'".equals(peek()) ? primes() : argument();
            if (sign.equals("^") ? above != null : below != null) {
                throw new Unreadable("two scripts at one place");
            }
            above = sign.equals("^") ? script : above;
            below = sign.equals("^") ? below : script;
            String more = peek();
            if (!"^".equals(more) && !"_".equals(more)) {
                return new Node.Scripts(base, below, above);
            }
            sign = next();
        }
    }

    private Node primes() {
        List<Node> all = new ArrayList<>();
        while (skip("'")) {
            all.add(new Node.Sign("′", Kind.ORDINARY, Face.UPRIGHT));
        }
        return new Node.Row(all);
    }

    /** A group in braces, or the one sign that follows. */
    private Node argument() {
        if (skip("{")) {
            Node inside = row();
            expect("}");
            return inside;
        }
        depth++;
        if (depth > DEEPEST) {
            throw new Unreadable("it goes too deep");
        }
        Node atom = atom(next());
        depth--;
        return atom;
    }

    private Node atom(String token) {
        if (token.equals("{")) {
            at--;
            // A group is one thing to its neighbours: the comma of 3{,}5 is no punctuation.
            return new Node.Row(List.of(argument()));
        }
        if (!token.startsWith("\\")) {
            if (isEnd(token)) {
                throw new Unreadable(token + " has nothing before it");
            }
            return Signs.character(token, face);
        }
        return command(token.substring(1));
    }

    private Node command(String name) {
        if (FACES.containsKey(name)) {
            return faced(FACES.getOrDefault(name, Face.ITALIC));
        }
        if (WORDS.containsKey(name)) {
            return new Node.Words(raw(), WORDS.getOrDefault(name, Face.UPRIGHT));
        }
        if (MARKS.containsKey(name)) {
            return new Node.Marked(argument(), MARKS.getOrDefault(name, ""));
        }
        return switch (name) {
            case "frac", "dfrac", "tfrac" -> new Node.Fraction(argument(), argument(), true);
            case "binom" -> new Node.Fenced("(", new Node.Fraction(argument(), argument(), false), ")");
            case "sqrt" -> root();
            case "left" -> fenced();
            case "begin" -> table();
            case "operatorname" -> new Node.Name(raw());
            case "overset", "stackrel" -> stacked(true);
            case "underset" -> stacked(false);
            default -> Signs.command(name).orElseThrow(() -> new Unreadable("\\" + name + " is not drawn"));
        };
    }

    private Node faced(Face wanted) {
        Face before = face;
        face = wanted;
        Node inside = argument();
        face = before;
        return inside;
    }

    /** The letters of a group as they are. */
    private String raw() {
        expect("{");
        StringBuilder text = new StringBuilder();
        for (; at < tokens.size() && !tokens.get(at).equals("}"); at++) {
            String token = tokens.get(at);
            if (token.equals("{") || token.length() > 2 && token.startsWith("\\")) {
                throw new Unreadable("words hold words only");
            }
            text.append(token.startsWith("\\") ? token.substring(1) : token);
        }
        expect("}");
        return text.toString();
    }

    private Node root() {
        Node degree = null;
        if (skip("[")) {
            List<Node> parts = new ArrayList<>();
            while (!"]".equals(peek())) {
                part(parts);
            }
            expect("]");
            degree = new Node.Row(parts);
        }
        return new Node.Root(argument(), degree);
    }

    private Node stacked(boolean onTop) {
        Node small = argument();
        return new Node.Stacked(argument(), small, onTop);
    }

    private Node fenced() {
        String left = fence();
        Node inside = row();
        expect("\\right");
        return new Node.Fenced(left, inside, fence());
    }

    private String fence() {
        String token = next();
        return switch (token) {
            case "." -> "";
            case "(", ")", "[", "]", "|", "/" -> token;
            case "<", "\\langle" -> "⟨";
            case ">", "\\rangle" -> "⟩";
            case "\\{", "\\lbrace" -> "{";
            case "\\}", "\\rbrace" -> "}";
            case "\\|", "\\Vert" -> "∥";
            case "\\vert" -> "|";
            case "\\lfloor" -> "⌊";
            case "\\rfloor" -> "⌋";
            case "\\lceil" -> "⌈";
            case "\\rceil" -> "⌉";
            default -> throw new Unreadable(token + " is no bracket");
        };
    }

    private Node table() {
        String name = raw();
        String fences = FENCES.get(name);
        if (fences == null) {
            throw new Unreadable(name + " is not drawn");
        }
        String columns = switch (name) {
            case "array" -> raw().toLowerCase(Locale.ROOT).replaceAll("[^lcr]", "");
            case "cases" -> "ll";
            case "aligned" -> "rlrlrlrl";
            default -> "";
        };
        List<List<Node>> rows = new ArrayList<>();
        do {
            List<Node> row = new ArrayList<>();
            do {
                row.add(row());
                cells++;
                if (cells > MOST_CELLS) {
                    throw new Unreadable("too many cells");
                }
            } while (skip("&"));
            rows.add(row);
        } while (skip("\\\\"));
        expect("\\end");
        if (!raw().equals(name)) {
            throw new Unreadable(name + " does not end");
        }
        Node table = new Node.Table(rows, columns);
        return fences.isEmpty()
                ? table
                : new Node.Fenced(fences.substring(0, 1), table, fences.length() > 1 ? fences.substring(1) : "");
    }
}
