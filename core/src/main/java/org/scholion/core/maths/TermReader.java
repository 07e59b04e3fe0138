package org.scholion.core.maths;

import java.math.BigInteger;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.scholion.core.number.Fraction;

/** Reads terms from the signs of a line: products may be implied, functions need no brackets, 3 1/2 is a mixed number. */
class TermReader {
    private static final int DEEPEST = 60;

    /** A half turn in degrees. */
    private static final Term DEGREE = new Term.Div(new Term.Sym("π"), Term.num(180));

    /** Which of the readings of a line is made where it has several. */
    record Choices(Tokens.Commas commas, boolean minus, boolean plainDegrees) {}

    private final List<Token> tokens;
    private final MathNames names;
    private final Choices choices;
    private int at;
    private int depth;
    private int bars;
    private boolean metPlusMinus;

    TermReader(List<Token> tokens, MathNames names, Choices choices) {
        this.tokens = tokens;
        this.names = names;
        this.choices = choices;
    }

    MathNames names() {
        return names;
    }

    boolean metPlusMinus() {
        return metPlusMinus;
    }

    int mark() {
        return at;
    }

    /** Goes back to where it was marked, to read otherwise. */
    void back(int mark) {
        at = mark;
        depth = 0;
        bars = 0;
    }

    Token peek() {
        return tokens.get(at);
    }

    Token peek(int ahead) {
        return tokens.get(Math.min(at + ahead, tokens.size() - 1));
    }

    Token next() {
        return tokens.get(at++);
    }

    boolean accept(String sign) {
        if (peek().is(sign)) {
            at++;
            return true;
        }
        return false;
    }

    void expect(String sign) throws Unreadable {
        if (!accept(sign)) {
            throw unexpected(sign.equals(")") ? "a bracket is not closed" : "'" + sign + "' is missing");
        }
    }

    Unreadable unexpected(String otherwise) {
        Token token = peek();
        return new Unreadable(
                token.kind() == Token.Kind.END
                        ? otherwise
                        : otherwise + " before '" + token.text().replace("\n", "a new line") + "'");
    }

    Term sum() throws Unreadable {
        if (++depth > DEEPEST) {
            throw new Unreadable("it has too many brackets inside brackets");
        }
        Term term = signed();
        while (true) {
            if (accept("+")) {
                term = new Term.Add(term, signedProduct());
            } else if (accept("-")) {
                term = new Term.Add(term, new Term.Neg(signedProduct()));
            } else if (peek().is("±") || peek().is("∓")) {
                boolean minus = takesMinus(next());
                Term more = product();
                term = new Term.Add(term, minus ? new Term.Neg(more) : more);
            } else {
                depth--;
                return term;
            }
        }
    }

    private boolean takesMinus(Token sign) {
        metPlusMinus = true;
        return sign.is("±") == choices.minus();
    }

    private Term signed() throws Unreadable {
        boolean minus = false;
        while (peek().is("+") || peek().is("-") || peek().is("±") || peek().is("∓")) {
            Token sign = next();
            if (sign.is("±") || sign.is("∓")) {
                minus ^= takesMinus(sign);
            } else {
                minus ^= sign.is("-");
            }
        }
        Term term = product();
        return minus ? new Term.Neg(term) : term;
    }

    /** After a sign a number may have one of its own: x--1, x+-1. */
    private Term signedProduct() throws Unreadable {
        boolean minus = false;
        while (peek().is("-") || peek().is("+")) {
            minus ^= next().is("-");
        }
        Term term = product();
        return minus ? new Term.Neg(term) : term;
    }

    private Term product() throws Unreadable {
        Term term = power();
        while (true) {
            if (accept("*")) {
                term = new Term.Mul(term, factor());
            } else if (accept("/")) {
                term = new Term.Div(term, factor());
            } else if (beginsFactor()) {
                term = new Term.Mul(term, power());
            } else {
                return term;
            }
        }
    }

    /** A factor may carry a sign of its own: 2 · -3. */
    private Term factor() throws Unreadable {
        boolean minus = false;
        while (peek().is("-") || peek().is("+")) {
            minus ^= next().is("-");
        }
        Term term = power();
        return minus ? new Term.Neg(term) : term;
    }

    /** Whether what comes can be multiplied without a sign; a bar does so only when none is to be closed. */
    private boolean beginsFactor() {
        Token t = peek();
        return switch (t.kind()) {
            case NUMBER, SMALL_FRACTION, NAME, FUNCTION -> true;
            case SIGN ->
                t.is("(")
                        || t.is("[") && !endsAnInterval()
                        || t.is("{") && at > 0 && !tokens.get(at - 1).is("∈")
                        || t.is("√")
                        || t.is("∛")
                        || t.text().startsWith("\\")
                        || t.is("|") && bars == 0;
            default -> false;
        };
    }

    /** [1;2[: behind a number, an opening bracket with nothing that belongs inside it closes an interval. */
    private boolean endsAnInterval() {
        Token after = peek(1);
        return after.kind() == Token.Kind.END
                || after.kind() == Token.Kind.SIGN
                        && !List.of("(", "-", "+", "√", "[", "|", "\\frac", "\\sqrt")
                                .contains(after.text());
    }

    private Term power() throws Unreadable {
        return raised(atom());
    }

    private Term raised(Term base) throws Unreadable {
        if (peek().kind() == Token.Kind.SUPERSCRIPT) {
            return raised(new Term.Pow(base, new Term.Num(next().value())));
        }
        if (accept("°")) {
            return choices.plainDegrees() ? base : new Term.Mul(base, DEGREE);
        }
        if (accept("%")) {
            return raised(new Term.Div(base, Term.num(100)));
        }
        return accept("^") ? new Term.Pow(base, exponent()) : base;
    }

    /** What stands behind ^: one atom with its own sign and powers; in LaTeX without braces, a single digit. */
    private Term exponent() throws Unreadable {
        if (++depth > DEEPEST) {
            throw new Unreadable("it has too many brackets inside brackets");
        }
        boolean minus = accept("-");
        Term term = power();
        depth--;
        return minus ? new Term.Neg(term) : term;
    }

    private Term atom() throws Unreadable {
        Token token = next();
        switch (token.kind()) {
            case NUMBER:
                return number(token);
            case SMALL_FRACTION:
                return new Term.Num(token.value());
            case NAME:
                return names.symbol(token.text());
            case FUNCTION:
                return function(token.text());
            case SIGN:
                Optional<Term> term = bySign(token);
                if (term.isPresent()) {
                    return term.get();
                }
                break;
            default:
                break;
        }
        at--;
        throw unexpected("something is missing");
    }

    private Optional<Term> bySign(Token token) throws Unreadable {
        return switch (token.text()) {
            case "(" -> Optional.of(bracketed(")"));
            case "[" -> Optional.of(bracketed("]"));
            case "{" -> Optional.of(bracketed("}"));
            case "|" -> Optional.of(absolute());
            case "√" -> Optional.of(new Term.Fn("sqrt", atom()));
            case "∛" -> Optional.of(new Term.Fn("cbrt", atom()));
            case "\\sqrt" -> Optional.of(latexRoot());
            case "\\frac" -> Optional.of(new Term.Div(argument(), argument()));
            default -> Optional.empty();
        };
    }

    /** Brackets begin anew: bars outside are not closed inside. */
    private Term bracketed(String close) throws Unreadable {
        int outer = bars;
        bars = 0;
        Term inner = sum();
        expect(close);
        bars = outer;
        return inner;
    }

    private Term absolute() throws Unreadable {
        bars++;
        Term inner = sum();
        bars--;
        expect("|");
        return new Term.Fn("abs", inner);
    }

    /** A mixed number is a whole number, a space, and a fraction of plain digits; 3½ is one too. */
    private Term number(Token token) throws Unreadable {
        Token small = peek();
        Fraction part = token.value().isWhole() ? latexFraction() : null;
        if (part != null) {
            Fraction above = peek(2).value();
            Fraction below = peek(5).value();
            at += 7;
            return mixed(token.value(), above, below);
        }
        if (token.value().isWhole() && small.kind() == Token.Kind.SMALL_FRACTION) {
            at++;
            return new Term.Num(token.value().plus(small.value()));
        }
        boolean mixed = token.value().isWhole()
                && small.kind() == Token.Kind.NUMBER
                && small.spaced()
                && small.value().isWhole()
                && tokens.get(at + 1).is("/")
                && tokens.get(at + 2).kind() == Token.Kind.NUMBER
                && tokens.get(at + 2).value().isWhole();
        if (mixed) {
            Fraction below = tokens.get(at + 2).value();
            if (below.isZero()) {
                throw new Unreadable("a fraction has 0 below the line");
            }
            at += 3;
            return mixed(token.value(), small.value(), below);
        }
        if (small.kind() == Token.Kind.NUMBER) {
            throw new Unreadable("two numbers stand side by side without a sign");
        }
        return decimal(token);
    }

    /** In lowest terms it is a number; 3 2/4 is still to be reduced, and stays a sum. */
    private static Term mixed(Fraction whole, Fraction above, Fraction below) {
        boolean lowest = above.compareTo(below) < 0
                && above.numerator().gcd(below.numerator()).equals(BigInteger.ONE);
        return lowest
                ? new Term.Num(whole.plus(above.over(below)))
                : new Term.Add(new Term.Num(whole), new Term.Div(new Term.Num(above), new Term.Num(below)));
    }

    /** 3\\frac{1}{2}: a fraction of plain digits right behind a whole number. */
    private @Nullable Fraction latexFraction() {
        boolean whole = peek().is("\\frac")
                && peek(1).is("{")
                && peek(2).kind() == Token.Kind.NUMBER
                && peek(3).is("}")
                && peek(4).is("{")
                && peek(5).kind() == Token.Kind.NUMBER
                && peek(6).is("}");
        return whole
                        && peek(2).value().isWhole()
                        && peek(5).value().signum() > 0
                        && peek(2).value().compareTo(peek(5).value()) < 0
                ? peek(2).value().over(peek(5).value())
                : null;
    }

    /** A decimal is a fraction over a power of ten, not yet in lowest terms. */
    private static Term decimal(Token token) {
        int point = token.text().indexOf('.');
        if (point < 0) {
            return new Term.Num(token.value());
        }
        Fraction below = Fraction.ONE;
        for (int i = point + 1; i < token.text().length(); i++) {
            below = below.times(10);
        }
        return new Term.Div(new Term.Num(token.value().times(below)), new Term.Num(below));
    }

    private Term latexRoot() throws Unreadable {
        if (accept("[")) {
            Term degree = sum();
            expect("]");
            if (peek().is("{")) {
                return new Term.Pow(argument(), new Term.Div(Term.num(1), degree));
            }
            return new Term.Fn("sqrt", degree);
        }
        return new Term.Fn("sqrt", argument());
    }

    /** The argument of a command: what stands in braces, or one digit or letter. */
    private Term argument() throws Unreadable {
        if (accept("{")) {
            return bracketed("}");
        }
        return atom();
    }

    private Term function(String name) throws Unreadable {
        if (++depth > DEEPEST) {
            throw new Unreadable("it has too many brackets inside brackets");
        }
        Term exponent = null;
        if (peek().kind() == Token.Kind.SUPERSCRIPT) {
            exponent = new Term.Num(next().value());
        } else if (accept("^")) {
            exponent = exponent();
        }
        boolean brackets = peek().is("(") || peek().is("{") || peek().is("[");
        Term applied = apply(name, brackets ? atom() : openArgument(), exponent);
        depth--;
        return applied;
    }

    private static Term apply(String name, Term argument, @Nullable Term exponent) {
        // sin^-1 is the inverse function, whether the sign is raised (⁻¹) or stands before the 1.
        boolean minusOne = Term.num(-1).equals(exponent) || new Term.Neg(Term.num(1)).equals(exponent);
        boolean inverse = minusOne && List.of("sin", "cos", "tan").contains(name);
        Term plain = switch (inverse ? "a" + name : name) {
            case "log" -> new Term.Div(new Term.Fn("ln", argument), new Term.Fn("ln", Term.num(10)));
            case "exp" -> new Term.Pow(new Term.Sym("ℯ"), argument);
            case "cot" -> new Term.Div(new Term.Fn("cos", argument), new Term.Fn("sin", argument));
            case "sec" -> new Term.Div(Term.num(1), new Term.Fn("cos", argument));
            case "csc" -> new Term.Div(Term.num(1), new Term.Fn("sin", argument));
            default ->
                name.startsWith("log:")
                        ? new Term.Div(
                                new Term.Fn("ln", argument),
                                new Term.Fn("ln", new Term.Num(Fraction.exactly(name.substring(4)))))
                        : new Term.Fn(inverse ? "a" + name : name, argument);
        };
        return exponent == null || inverse ? plain : new Term.Pow(plain, exponent);
    }

    /** Without brackets a function takes the factors up to the next sign or function: sin 2x cos x is a product. */
    private Term openArgument() throws Unreadable {
        boolean minus = accept("-");
        Term term = power();
        while (beginsFactor() && peek().kind() != Token.Kind.FUNCTION && !peek().is("(") && !peek().is("[")) {
            term = new Term.Mul(term, power());
        }
        return minus ? new Term.Neg(term) : term;
    }
}
