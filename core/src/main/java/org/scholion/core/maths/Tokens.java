package org.scholion.core.maths;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.scholion.core.number.Fraction;

/** Takes a line apart: school notation as it is typed, and LaTeX as a maths keyboard writes it. */
final class Tokens {
    private static final int LONGEST = 1_000;
    private static final String SUPERSCRIPTS = "⁰¹²³⁴⁵⁶⁷⁸⁹";

    private static final Map<Character, Fraction> FRACTIONS = Map.ofEntries(
            Map.entry('½', Fraction.of(1, 2)),
            Map.entry('⅓', Fraction.of(1, 3)),
            Map.entry('⅔', Fraction.of(2, 3)),
            Map.entry('¼', Fraction.of(1, 4)),
            Map.entry('¾', Fraction.of(3, 4)),
            Map.entry('⅕', Fraction.of(1, 5)),
            Map.entry('⅖', Fraction.of(2, 5)),
            Map.entry('⅗', Fraction.of(3, 5)),
            Map.entry('⅘', Fraction.of(4, 5)),
            Map.entry('⅙', Fraction.of(1, 6)),
            Map.entry('⅚', Fraction.of(5, 6)),
            Map.entry('⅛', Fraction.of(1, 8)),
            Map.entry('⅜', Fraction.of(3, 8)),
            Map.entry('⅝', Fraction.of(5, 8)),
            Map.entry('⅞', Fraction.of(7, 8)));

    /** Signs with the same meaning. */
    private static final Map<String, String> SAME = Map.ofEntries(
            Map.entry("−", "-"),
            Map.entry("–", "-"),
            Map.entry("·", "*"),
            Map.entry("×", "*"),
            Map.entry("⋅", "*"),
            Map.entry("∙", "*"),
            Map.entry("**", "^"),
            Map.entry("÷", "/"),
            Map.entry("∶", "/"),
            Map.entry(":", "/"),
            Map.entry("<=", "≤"),
            Map.entry("=<", "≤"),
            Map.entry("⩽", "≤"),
            Map.entry(">=", "≥"),
            Map.entry("⩾", "≥"),
            Map.entry("!=", "≠"),
            Map.entry("<>", "≠"),
            Map.entry("==", "="),
            Map.entry("[", "("),
            Map.entry("]", ")"),
            Map.entry("∧", "and"),
            Map.entry("&", "and"),
            Map.entry("∨", "or"),
            Map.entry("+-", "±"));

    private static final Map<String, String> LATEX = Map.ofEntries(
            Map.entry("cdot", "*"),
            Map.entry("times", "*"),
            Map.entry("div", "/"),
            Map.entry("le", "≤"),
            Map.entry("leq", "≤"),
            Map.entry("leqslant", "≤"),
            Map.entry("ge", "≥"),
            Map.entry("geq", "≥"),
            Map.entry("geqslant", "≥"),
            Map.entry("ne", "≠"),
            Map.entry("neq", "≠"),
            Map.entry("lt", "<"),
            Map.entry("gt", ">"),
            Map.entry("pm", "±"),
            Map.entry("mp", "∓"),
            Map.entry("land", "and"),
            Map.entry("wedge", "and"),
            Map.entry("lor", "or"),
            Map.entry("vee", "or"),
            Map.entry("lvert", "|"),
            Map.entry("rvert", "|"),
            Map.entry("vert", "|"),
            Map.entry("in", "∈"),
            Map.entry("emptyset", "∅"),
            Map.entry("varnothing", "∅"),
            Map.entry("Rightarrow", "⇒"),
            Map.entry("Leftrightarrow", "⇒"),
            Map.entry("implies", "⇒"),
            Map.entry("iff", "⇒"),
            Map.entry("therefore", "⇒"));

    private final String text;
    private final MathNames names;
    private final List<Token> tokens = new ArrayList<>();
    private int at;
    private boolean spaced;

    private Tokens(String text, MathNames names) {
        this.text = text;
        this.names = names;
    }

    static List<Token> of(String line, MathNames names) throws Unreadable {
        if (line.length() > LONGEST) {
            throw new Unreadable("it is longer than " + LONGEST + " characters");
        }
        String compatible = line.replace('\u00A0', ' ').replace('\u202F', ' ').replace('\u2009', ' ');
        Tokens tokens = new Tokens(compatible, names);
        tokens.read();
        return tokens.tokens;
    }

    private void read() throws Unreadable {
        while (at < text.length()) {
            char c = text.charAt(at);
            if (Character.isWhitespace(c)) {
                spaced = true;
                at++;
            } else if (isDigit(c) || c == '.' && isDigit(charAt(at + 1))) {
                number();
            } else if (FRACTIONS.containsKey(c)) {
                add(Token.Kind.SMALL_FRACTION, String.valueOf(c), FRACTIONS.getOrDefault(c, Fraction.ONE));
                at++;
            } else if (SUPERSCRIPTS.indexOf(c) >= 0 || c == '⁻' || c == '⁺') {
                superscript();
            } else if (c == '\\') {
                command();
            } else if (Character.isLetter(c)) {
                letters();
            } else {
                sign();
            }
        }
        add(Token.Kind.END, "", Fraction.ZERO);
    }

    private char charAt(int i) {
        return i < text.length() ? text.charAt(i) : '\0';
    }

    private static boolean isDigit(char c) {
        return c >= '0' && c <= '9';
    }

    private void add(Token.Kind kind, String sign, Fraction value) {
        tokens.add(new Token(kind, sign, value, spaced));
        spaced = false;
    }

    private void sign(String sign) {
        add(Token.Kind.SIGN, sign, Fraction.ZERO);
    }

    /** Digits with a point or, between digits, a comma. */
    private void number() throws Unreadable {
        int from = at;
        while (isDigit(charAt(at))) {
            at++;
        }
        if ((charAt(at) == '.' || charAt(at) == ',') && isDigit(charAt(at + 1))) {
            at++;
            while (isDigit(charAt(at))) {
                at++;
            }
        } else if (charAt(at) == '{' && charAt(at + 1) == ',' && charAt(at + 2) == '}') {
            // A maths keyboard writes the decimal comma so.
            int whole = at;
            at += 3;
            int decimals = at;
            while (isDigit(charAt(at))) {
                at++;
            }
            number(text.substring(from, whole) + "." + text.substring(decimals, at));
            return;
        }
        number(text.substring(from, at).replace(',', '.'));
    }

    private void number(String digits) throws Unreadable {
        Fraction value = Fraction.parse(digits).orElseThrow(() -> new Unreadable("“" + digits + "” is not a number"));
        add(Token.Kind.NUMBER, digits, value);
    }

    private void superscript() throws Unreadable {
        StringBuilder digits = new StringBuilder();
        while (SUPERSCRIPTS.indexOf(charAt(at)) >= 0 || charAt(at) == '⁻' || charAt(at) == '⁺') {
            char c = text.charAt(at++);
            digits.append(c == '⁻' ? "-" : c == '⁺' ? "" : String.valueOf(SUPERSCRIPTS.indexOf(c)));
        }
        add(
                Token.Kind.SUPERSCRIPT,
                digits.toString(),
                Fraction.parse(digits.toString()).orElseThrow(() -> new Unreadable("the superscript " + digits)));
    }

    private void command() throws Unreadable {
        int from = ++at;
        while (Character.isLetter(charAt(at)) && charAt(at) < 128) {
            at++;
        }
        String name = text.substring(from, at);
        switch (name) {
            case "" -> latexSpace();
            case "left", "right", "displaystyle", "mathrm", "operatorname", "text", "quad", "qquad" -> spaced = true;
            case "frac", "dfrac", "tfrac" -> {
                sign("\\frac");
                bareDigit();
                bareDigit();
            }
            case "sqrt" -> {
                sign("\\sqrt");
                bareDigit();
            }
            default -> {
                String sign = LATEX.get(name);
                if (sign != null) {
                    sign(sign);
                } else {
                    name(name);
                }
            }
        }
    }

    /** A command without braces takes one digit: \\frac12 is a half. */
    private void bareDigit() throws Unreadable {
        if (isDigit(charAt(at))) {
            sign("{");
            number(text.substring(at, at + 1));
            at++;
            sign("}");
        }
    }

    private void latexSpace() {
        char c = charAt(at);
        at++;
        if (c == '{' || c == '}' || c == '%' || c == '|') {
            sign(String.valueOf(c));
        } else {
            spaced = true;
        }
    }

    private void letters() throws Unreadable {
        int from = at;
        while (Character.isLetter(charAt(at))) {
            at++;
        }
        String word = text.substring(from, at);
        if (word.equalsIgnoreCase("and") || word.equalsIgnoreCase("or")) {
            sign(word.toLowerCase(java.util.Locale.ROOT));
            return;
        }
        boolean continues = from > 0 && Character.isLetter(text.charAt(from - 1));
        if (!continues && names.isProse(word) && names.isProse(word.toLowerCase(java.util.Locale.ROOT))) {
            throw new Unreadable("unknown word “" + word + "”");
        }
        at = from;
        String name = names.beginning(word);
        if (name == null && word.length() > 1 && Character.isUpperCase(word.charAt(0))) {
            // A phone's capital: Sin, Sqrt.
            String small = Character.toLowerCase(word.charAt(0)) + word.substring(1);
            name = names.beginning(small);
            if (name != null && names.function(name) != null) {
                at += name.length();
                name(name);
                return;
            }
            name = null;
        }
        name = name == null ? word.substring(0, Character.charCount(word.codePointAt(0))) : name;
        at += name.length();
        String digits = digits();
        if (!digits.isEmpty() && names.isDeclared(name + digits)) {
            at += digits.length();
            name(name + digits);
        } else {
            name(name + index());
        }
    }

    private String digits() {
        int end = at;
        while (isDigit(charAt(end))) {
            end++;
        }
        return text.substring(Math.min(at, text.length()), end);
    }

    /** An index makes part of a name: v_0, x_{12}, x1 stays x times 1. */
    private String index() {
        if (charAt(at) != '_') {
            return "";
        }
        int from = ++at;
        if (charAt(at) == '{') {
            int close = text.indexOf('}', at);
            at = close < 0 ? text.length() : close + 1;
        } else {
            at = Math.min(text.length(), at + 1);
            while (isDigit(charAt(at)) && isDigit(charAt(at - 1))) {
                at++;
            }
        }
        return "_" + text.substring(from, at);
    }

    private void name(String name) throws Unreadable {
        String bare = name.startsWith("log_") ? "log" : name;
        String function = names.function(bare);
        if (function != null) {
            add(Token.Kind.FUNCTION, function, Fraction.ZERO);
            if (name.startsWith("log_")) {
                logBase(name.substring(4));
            }
        } else {
            add(Token.Kind.NAME, name, Fraction.ZERO);
        }
    }

    /** log_2 and log_{10}: the base follows the function as a number. */
    private void logBase(String base) throws Unreadable {
        String digits = base.replace("{", "").replace("}", "");
        Fraction value = Fraction.parse(digits)
                .filter(v -> v.signum() > 0 && !v.equals(Fraction.ONE))
                .orElseThrow(() -> new Unreadable("the base " + digits));
        tokens.remove(tokens.size() - 1);
        add(Token.Kind.FUNCTION, "log:" + value.toExact(), Fraction.ZERO);
    }

    private void sign() throws Unreadable {
        String two = text.substring(at, Math.min(text.length(), at + 2));
        if (two.equals("=>") || two.equals("->")) {
            at += 2;
            sign("⇒");
            return;
        }
        String same = two.length() == 2 ? SAME.get(two) : null;
        if (same != null) {
            at += 2;
            sign(same);
            return;
        }
        String one = text.substring(at, at + Character.charCount(text.codePointAt(at)));
        at += one.length();
        String sign = SAME.getOrDefault(one, one);
        switch (sign) {
            case "⇔", "∴", "⟹", "⟺", "→" -> sign("⇒");
            case "$" -> spaced = true;
            case "+",
                    "-",
                    "*",
                    "/",
                    "^",
                    "(",
                    ")",
                    "{",
                    "}",
                    "|",
                    ",",
                    ";",
                    "=",
                    "≠",
                    "<",
                    "≤",
                    ">",
                    "≥",
                    "±",
                    "∓",
                    "%",
                    "√",
                    "∛",
                    "∈",
                    "∅",
                    "and",
                    "or",
                    "⇒",
                    "." -> sign(sign);
            default -> throw new Unreadable("unknown sign “" + one + "”");
        }
    }
}
