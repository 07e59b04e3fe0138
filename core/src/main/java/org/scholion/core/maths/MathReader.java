package org.scholion.core.maths;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.scholion.core.maths.Statement.Sign;
import org.scholion.core.number.Fraction;

/**
 * Reads a line of mathematics. Products may be implied ({@code 2x(x+3)}), mixed numbers stand with a space
 * ({@code 3 1/2}), functions need no brackets ({@code sin 2x}), multiplication and division bind equally, from the
 * left. Deep nesting and long lines are refused.
 */
public final class MathReader {
    private static final int DEEPEST = 60;
    private static final Map<String, Sign> SIGNS = Map.of(
            "=", Sign.EQUAL,
            "≠", Sign.NOT_EQUAL,
            "<", Sign.LESS,
            "≤", Sign.AT_MOST,
            ">", Sign.GREATER,
            "≥", Sign.AT_LEAST);

    private final List<Token> tokens;
    private final MathNames names;
    private int at;
    private int depth;
    private int bars;
    /** Which of the two readings of ± is taken; 0 while none has been met. */
    private final int plusMinus;

    private boolean metPlusMinus;

    private MathReader(List<Token> tokens, MathNames names, int plusMinus) {
        this.tokens = tokens;
        this.names = names;
        this.plusMinus = plusMinus;
    }

    /**
     * Reads a line.
     *
     * @throws Unreadable saying what stands in the way
     */
    public static Statement read(String line, MathNames names) throws Unreadable {
        String plain = withoutEnd(line.strip()).replaceFirst("(?i)^(therefore|hence|thus|then|so)\\b[:,]?\\s*", "");
        if (plain.matches("(?i)(there is |there are )?no (real )?solutions?")) {
            return new Statement.Or(List.of());
        }
        List<Token> tokens = Tokens.of(plain, names);
        MathReader plus = new MathReader(tokens, names, 1);
        Statement first = plus.whole();
        if (!plus.metPlusMinus) {
            return first;
        }
        if (first instanceof Statement.Value) {
            throw new Unreadable("± outside of an equation");
        }
        return new Statement.Or(List.of(first, new MathReader(tokens, names, -1).whole()));
    }

    /** A line's full stop or comma is no mathematics. */
    private static String withoutEnd(String line) {
        return line.matches(".*[^.][.,;]") ? line.substring(0, line.length() - 1) : line;
    }

    private Token peek() {
        return tokens.get(at);
    }

    private Token next() {
        return tokens.get(at++);
    }

    private boolean accept(String sign) {
        if (peek().is(sign)) {
            at++;
            return true;
        }
        return false;
    }

    private void expect(String sign) throws Unreadable {
        if (!accept(sign)) {
            throw unexpected(sign.equals(")") ? "a bracket is not closed" : "'" + sign + "' is missing");
        }
    }

    private Unreadable unexpected(String otherwise) {
        Token token = peek();
        return new Unreadable(
                token.kind() == Token.Kind.END ? otherwise : otherwise + " before '" + token.text() + "'");
    }

    private Statement whole() throws Unreadable {
        while (accept("⇒")) {
            // A sign that it follows from the line above.
        }
        if (peek().is("=")) {
            // A line that goes on from the one above begins with its equals sign.
            at++;
        }
        Statement statement = alternatives();
        if (peek().kind() != Token.Kind.END) {
            throw unexpected("something is missing");
        }
        return statement;
    }

    private Statement alternatives() throws Unreadable {
        List<Statement> any = new ArrayList<>();
        any.add(together());
        while (peek().is("or") || peek().is(",") || peek().is(";")) {
            boolean listed = !next().is("or");
            accept("or");
            Statement more = together();
            Statement first = any.get(0);
            if (more instanceof Statement.Value value
                    && first instanceof Statement.Relation r
                    && r.sign() == Sign.EQUAL) {
                more = new Statement.Relation(r.left(), Sign.EQUAL, value.term());
            }
            any.add(more);
            if (listed && any.stream().anyMatch(s -> !(s instanceof Statement.Relation r) || r.sign() != Sign.EQUAL)) {
                throw new Unreadable("put “and” or “or” between the statements");
            }
        }
        if (any.size() > 1 && any.stream().anyMatch(s -> s instanceof Statement.Value)) {
            throw new Unreadable("'or' between expressions");
        }
        return any.size() == 1 ? any.get(0) : new Statement.Or(any);
    }

    private Statement together() throws Unreadable {
        List<Statement> all = new ArrayList<>();
        all.add(relation());
        while (accept("and")) {
            all.add(relation());
        }
        if (all.size() > 1 && all.stream().anyMatch(s -> s instanceof Statement.Value)) {
            throw new Unreadable("'and' between expressions");
        }
        return all.size() == 1 ? all.get(0) : new Statement.And(all);
    }

    private Statement relation() throws Unreadable {
        if (accept("∅")) {
            return new Statement.Or(List.of());
        }
        Term left = sum();
        if (accept("∈")) {
            return members(left);
        }
        List<Statement> chain = new ArrayList<>();
        while (peek().kind() == Token.Kind.SIGN && SIGNS.containsKey(peek().text())) {
            Sign sign = SIGNS.getOrDefault(next().text(), Sign.EQUAL);
            if (peek().is("{") && sign == Sign.EQUAL) {
                return members(left);
            }
            Term right = sum();
            chain.add(new Statement.Relation(left, sign, right));
            left = right;
        }
        return chain.isEmpty()
                ? new Statement.Value(left)
                : chain.size() == 1 ? chain.get(0) : new Statement.And(chain);
    }

    /** x ∈ {2; 3}: one of the listed values. */
    private Statement members(Term left) throws Unreadable {
        if (accept("∅")) {
            return new Statement.Or(List.of());
        }
        expect("{");
        List<Statement> any = new ArrayList<>();
        while (!accept("}")) {
            any.add(new Statement.Relation(left, Sign.EQUAL, sum()));
            if (!peek().is("}") && !accept(",") && !accept(";")) {
                throw unexpected("a list of values is not closed");
            }
        }
        return new Statement.Or(any);
    }

    private Term sum() throws Unreadable {
        if (++depth > DEEPEST) {
            throw new Unreadable("it has too many brackets inside brackets");
        }
        Term term = signed();
        while (true) {
            if (accept("+")) {
                term = new Term.Add(term, product());
            } else if (accept("-")) {
                term = new Term.Add(term, new Term.Neg(product()));
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
        return sign.is("±") == (plusMinus < 0);
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
                        || t.is("{") && !(at > 0 && tokens.get(at - 1).is("∈"))
                        || t.is("√")
                        || t.is("∛")
                        || t.text().startsWith("\\")
                        || t.is("|") && bars == 0;
            default -> false;
        };
    }

    private Term power() throws Unreadable {
        return raised(atom());
    }

    private Term raised(Term base) throws Unreadable {
        if (peek().kind() == Token.Kind.SUPERSCRIPT) {
            return raised(new Term.Pow(base, new Term.Num(next().value())));
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
            return new Term.Num(token.value().plus(small.value().over(below)));
        }
        if (small.kind() == Token.Kind.NUMBER) {
            throw new Unreadable("two numbers stand side by side without a sign");
        }
        return decimal(token);
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
        // The brackets of an index have become round ones.
        if (accept("(")) {
            Term degree = sum();
            expect(")");
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
        boolean brackets = peek().is("(") || peek().is("{");
        Term applied = apply(name, brackets ? atom() : openArgument(), exponent);
        depth--;
        return applied;
    }

    private static Term apply(String name, Term argument, @org.jspecify.annotations.Nullable Term exponent) {
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
        while (beginsFactor() && peek().kind() != Token.Kind.FUNCTION && !peek().is("(")) {
            term = new Term.Mul(term, power());
        }
        return minus ? new Term.Neg(term) : term;
    }
}
