package org.scholion.core.maths;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.scholion.core.number.Fraction;
import org.scholion.core.number.VulgarFractions;

/** Takes a line apart: school notation as it is typed, and LaTeX as a maths keyboard writes it. */
final class Tokens {
    private static final String SUPERSCRIPTS = "⁰¹²³⁴⁵⁶⁷⁸⁹";

    /** Signs with the same meaning. */
    private static final Map<String, String> SAME = Map.ofEntries(
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
            Map.entry("∧", "and"),
            Map.entry("&", "and"),
            Map.entry("∨", "or"),
            Map.entry("⋃", "∪"),
            Map.entry("⋂", "∩"),
            Map.entry("∖", "\\"),
            Map.entry("∘", "°"));

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
            Map.entry("ast", "*"),
            Map.entry("infty", "∞"),
            Map.entry("cup", "∪"),
            Map.entry("cap", "∩"),
            Map.entry("setminus", "\\"),
            Map.entry("backslash", "\\"),
            Map.entry("lbrace", "{"),
            Map.entry("rbrace", "}"),
            Map.entry("lbrack", "["),
            Map.entry("rbrack", "]"),
            Map.entry("mid", "|"),
            Map.entry("emptyset", "∅"),
            Map.entry("varnothing", "∅"),
            Map.entry("Rightarrow", "⇒"),
            Map.entry("Leftrightarrow", "⇒"),
            Map.entry("implies", "⇒"),
            Map.entry("iff", "⇒"),
            Map.entry("therefore", "⇒"));

    /** What a comma between digits is. */
    enum Commas {
        /** 2,5 is two and a half. */
        DECIMAL,
        /** 1,000 and 1 000 are a thousand. */
        GROUPED,
        /** 2,3 are two numbers. */
        LISTED
    }

    private final String text;
    private final MathNames names;
    private final Commas commas;
    private final List<Token> tokens = new ArrayList<>();
    private int at;
    private boolean spaced;

    private Tokens(String text, MathNames names, Commas commas) {
        this.text = text;
        this.names = names;
        this.commas = commas;
    }

    /** The signs of a line that {@link Spelling} has been over. */
    static List<Token> of(String plain, MathNames names, Commas commas) throws Unreadable {
        Tokens tokens = new Tokens(plain, names, commas);
        tokens.read();
        return tokens.tokens;
    }

    private void read() throws Unreadable {
        while (at < text.length()) {
            char c = text.charAt(at);
            Fraction vulgar = VulgarFractions.of(c);
            if (c == '\n') {
                at++;
                sign("\n");
            } else if (Character.isWhitespace(c)) {
                spaced = true;
                at++;
            } else if (isDigit(c) || c == '.' && isDigit(charAt(at + 1))) {
                number();
            } else if (vulgar != null) {
                add(Token.Kind.SMALL_FRACTION, String.valueOf(c), vulgar);
                at++;
            } else if (SUPERSCRIPTS.indexOf(c) >= 0 || c == '⁻' || c == '⁺') {
                superscript();
            } else if (c == '\\') {
                command();
            } else if (c == 'ℝ') {
                sign();
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

    private static final Pattern GROUPS =
            Pattern.compile("\\d{1,3}(?:([ ,'’])\\d{3}(?:\\1\\d{3})*)(?:\\.\\d+)?(?!\\d)");
    private static final Pattern POWER = Pattern.compile("[eE][+-]?\\d{1,3}(?![\\d.])");

    /** Digits with a point or, between digits, a comma as the reading has it; then a power of ten, 1e3. */
    private void number() throws Unreadable {
        int from = at;
        Matcher groups = GROUPS.matcher(text).region(at, text.length());
        if (commas == Commas.GROUPED && groups.lookingAt()) {
            at = groups.end();
            number(groups.group().replaceAll("[ ,'’]", ""));
            return;
        }
        digitsOn();
        if (charAt(at) == '{' && charAt(at + 1) == ',' && charAt(at + 2) == '}') {
            // A maths keyboard writes the decimal comma so.
            int whole = at;
            at += 3;
            int decimals = at;
            digitsOn();
            number(text.substring(from, whole) + "." + text.substring(decimals, at));
            return;
        }
        boolean comma = charAt(at) == ',' && commas == Commas.DECIMAL;
        if ((charAt(at) == '.' || comma) && isDigit(charAt(at + 1))) {
            at++;
            digitsOn();
        }
        String digits = text.substring(from, at).replace(',', '.');
        Matcher power = POWER.matcher(text).region(at, text.length());
        if (power.lookingAt() && !names.isDeclared(text.substring(at, at + 1))) {
            at = power.end();
            number(new BigDecimal(digits + power.group()).toPlainString());
            return;
        }
        number(digits);
    }

    private void digitsOn() {
        while (isDigit(charAt(at))) {
            at++;
        }
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
            case "left", "right" -> {
                spaced = true;
                // \\left. and \\right. stand for no bracket at all.
                at += charAt(at) == '.' ? 1 : 0;
            }
            case "quad", "qquad" -> sign(",");
            case "displaystyle", "limits", "big", "Big" -> spaced = true;
            case "frac", "dfrac", "tfrac", "cfrac" -> {
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
                } else if (names.knows(name)) {
                    name(name + index());
                } else {
                    throw new Unreadable("unknown command “\\" + name + "”");
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
        String meant = names.isDeclared(word) ? null : WORDS.get(word.toLowerCase(Locale.ROOT));
        if (meant != null) {
            sign(meant);
            return;
        }
        if (isBetween(word)) {
            sign(word.equals("x") || word.equals("X") ? "*" : "∪");
            return;
        }
        boolean continues = from > 0 && Character.isLetter(text.charAt(from - 1));
        if (!continues && names.isProse(word) && names.isProse(word.toLowerCase(java.util.Locale.ROOT))) {
            throw new Unreadable("unknown word “" + word + "”");
        }
        at = from;
        String name = names.beginning(word);
        String loud = name == null ? loud(word) : null;
        if (loud != null) {
            at += loud.length();
            name(loud + logarithm(loud));
            return;
        }
        name = name == null ? word.substring(0, Character.charCount(word.codePointAt(0))) : name;
        at += name.length();
        String digits = digits();
        if (!digits.isEmpty() && (names.isDeclared(name + digits) || numbers(name, digits))) {
            at += digits.length();
            name(names.isDeclared(name + digits) ? name + digits : name + "_" + digits);
        } else {
            name(name + index() + logarithm(name));
        }
    }

    /** A capital of a phone or of a loud voice: Sin, SIN, Pi. Null when the letters begin with no known name even so. */
    private @Nullable String loud(String word) {
        if (word.length() < 2 || !Character.isUpperCase(word.charAt(0)) || names.isDeclared(word.substring(0, 1))) {
            return null;
        }
        String small = names.beginning(word.toLowerCase(Locale.ROOT));
        return small != null && small.length() > 1 && (names.function(small) != null || small.equals("pi"))
                ? small
                : null;
    }

    /** x1 = 2 numbers a solution; x1 elsewhere is a product. */
    private boolean numbers(String name, String digits) {
        return digits.length() == 1
                && names.isDeclared(name)
                && text.substring(at + 1).stripLeading().startsWith("=")
                && !text.substring(at + 1).stripLeading().startsWith("==");
    }

    /** log2(8x): digits right behind the name and before a bracket are the base. */
    private String logarithm(String name) {
        String digits = name.equals("log") ? digits() : "";
        if (digits.isEmpty() || charAt(at + digits.length()) != '(') {
            return "";
        }
        at += digits.length();
        return "_" + digits;
    }

    /** Words of a line that are signs. */
    private static final Map<String, String> WORDS = Map.ofEntries(
            Map.entry("and", "and"),
            Map.entry("or", "or"),
            Map.entry("union", "∪"),
            Map.entry("in", "∈"),
            Map.entry("inf", "∞"),
            Map.entry("infinity", "∞"),
            Map.entry("oo", "∞"),
            Map.entry("plusminus", "±"));

    /** A letter x or U that is no name stands for its sign between what it joins: 2 x 3, [0;1] U [2;3]. */
    private boolean isBetween(String word) {
        boolean times = word.equals("x") || word.equals("X");
        if (!times && !word.equals("U") && !word.equals("u") || names.isDeclared(word) || !names.hasVariables()) {
            return false;
        }
        if (tokens.isEmpty()) {
            return false;
        }
        Token before = tokens.get(tokens.size() - 1);
        String rest = text.substring(at).stripLeading();
        char next = rest.isEmpty() ? ' ' : rest.charAt(0);
        return times
                ? before.endsFactor() && (Character.isLetterOrDigit(next) || "(\\√-".indexOf(next) >= 0)
                : (before.is(")") || before.is("]") || before.is("}") || before.is("[")) && "([{]".indexOf(next) >= 0;
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

    /** x = +-2 is plus or minus; in x+-1 the second sign is the number's. */
    private boolean opensASide() {
        return tokens.isEmpty()
                || !tokens.get(tokens.size() - 1).endsFactor()
                || text.startsWith("+-√", at)
                || text.startsWith("+-sqrt", at)
                || text.startsWith("+-\\sqrt", at);
    }

    private void sign() throws Unreadable {
        String two = text.substring(at, Math.min(text.length(), at + 2));
        if (two.equals("+-") && opensASide()) {
            at += 2;
            sign("±");
            return;
        }
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
                    "ℝ",
                    "∞",
                    "∪",
                    "∩",
                    "°",
                    "\\",
                    "[",
                    "]",
                    "and",
                    "or",
                    "⇒",
                    "." -> sign(sign);
            default -> throw new Unreadable("unknown sign “" + one + "”");
        }
    }
}
