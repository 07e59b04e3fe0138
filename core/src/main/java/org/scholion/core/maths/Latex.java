package org.scholion.core.maths;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.scholion.core.number.Fraction;

/** Lines of mathematics as LaTeX, so that a person sees how a line was read. Nothing is evaluated. */
public final class Latex {
    private static final Set<String> NAMED =
            Set.of("sin", "cos", "tan", "cot", "sec", "csc", "sinh", "cosh", "tanh", "ln", "log", "exp");
    private static final Map<String, String> INVERSE =
            Map.of("asin", "\\arcsin", "acos", "\\arccos", "atan", "\\arctan");
    private static final Map<String, String> SYMBOLS = Map.ofEntries(
            Map.entry("ℯ", "e"),
            Map.entry("π", "\\pi"),
            Map.entry("α", "\\alpha"),
            Map.entry("β", "\\beta"),
            Map.entry("γ", "\\gamma"),
            Map.entry("δ", "\\delta"),
            Map.entry("ε", "\\varepsilon"),
            Map.entry("θ", "\\theta"),
            Map.entry("λ", "\\lambda"),
            Map.entry("μ", "\\mu"),
            Map.entry("ρ", "\\rho"),
            Map.entry("σ", "\\sigma"),
            Map.entry("τ", "\\tau"),
            Map.entry("φ", "\\varphi"),
            Map.entry("ω", "\\omega"),
            Map.entry("Δ", "\\Delta"),
            Map.entry("Ω", "\\Omega"));
    private static final Map<String, String> SIGNS =
            Map.of("=", "=", "≠", "\\neq", "<", "<", "≤", "\\le", ">", ">", "≥", "\\ge");

    private Latex() {}

    /** The line as LaTeX; empty when it cannot be read. */
    public static Optional<String> of(String line, MathNames names) {
        try {
            return Optional.of(of(MathReader.read(line, names)));
        } catch (Unreadable e) {
            return Optional.empty();
        }
    }

    public static String of(Statement statement) {
        if (statement instanceof Statement.Value value) {
            return of(value.term());
        }
        if (statement instanceof Statement.Relation r) {
            return of(r.left()) + " " + SIGNS.getOrDefault(r.signShown(), "=") + " " + of(r.right());
        }
        if (statement instanceof Statement.And and) {
            return and.all().isEmpty() ? "\\mathbb{R}" : joined(and.all(), "and");
        }
        Statement.Or or = (Statement.Or) statement;
        return or.any().isEmpty() ? "\\text{no solution}" : joined(or.any(), "or");
    }

    private static String joined(List<Statement> statements, String word) {
        return statements.stream().map(Latex::of).collect(Collectors.joining(" \\;\\text{" + word + "}\\; "));
    }

    public static String of(Term term) {
        if (term instanceof Term.Num num) {
            return number(num.value());
        }
        if (term instanceof Term.Sym sym) {
            return symbol(sym.name());
        }
        if (term instanceof Term.Neg neg) {
            return "-" + inside(neg.inner(), neg.inner() instanceof Term.Add || neg.inner() instanceof Term.Neg);
        }
        if (term instanceof Term.Add add) {
            return add.right() instanceof Term.Neg neg
                    ? of(add.left()) + " - "
                            + inside(neg.inner(), neg.inner() instanceof Term.Add || neg.inner() instanceof Term.Neg)
                    : of(add.left()) + " + " + of(add.right());
        }
        if (term instanceof Term.Mul mul) {
            return product(mul);
        }
        if (term instanceof Term.Div div) {
            if (isDecimal(div)) {
                return number(((Term.Num) div.left()).value().over(((Term.Num) div.right()).value()));
            }
            return "\\frac{" + of(div.left()) + "}{" + of(div.right()) + "}";
        }
        return term instanceof Term.Pow pow ? power(pow) : function((Term.Fn) term);
    }

    /** A decimal is read as a fraction over a power of ten. */
    private static boolean isDecimal(Term.Div div) {
        return div.left() instanceof Term.Num
                && div.right() instanceof Term.Num n
                && n.value().toExact().matches("10+");
    }

    /** A decimal where it ends, else a fraction. */
    private static String number(Fraction value) {
        String exact = value.toExact();
        return exact.contains("/") ? "\\frac{" + value.numerator() + "}{" + value.denominator() + "}" : exact;
    }

    private static String symbol(String name) {
        String known = SYMBOLS.get(name);
        if (known != null) {
            return known;
        }
        return name.length() == 1 ? name : name.charAt(0) + "_{" + name.substring(1) + "}";
    }

    /** Numbers are kept apart by a sign; a number before letters or brackets is not. */
    private static String product(Term.Mul mul) {
        String left = inside(mul.left(), mul.left() instanceof Term.Add || mul.left() instanceof Term.Neg);
        String right = inside(mul.right(), mul.right() instanceof Term.Add || mul.right() instanceof Term.Neg);
        boolean apart = Character.isDigit(right.charAt(0)) || right.startsWith("\\frac");
        return left + (apart ? " \\cdot " : right.startsWith("\\") ? " " : "") + right;
    }

    private static String power(Term.Pow pow) {
        boolean brackets = !(pow.base() instanceof Term.Sym
                || pow.base() instanceof Term.Num n
                        && n.value().isWhole()
                        && n.value().signum() >= 0);
        return "{" + inside(pow.base(), brackets) + "}^{" + of(pow.exponent()) + "}";
    }

    private static String function(Term.Fn fn) {
        String argument = of(fn.argument());
        return switch (fn.name()) {
            case "sqrt" -> "\\sqrt{" + argument + "}";
            case "cbrt" -> "\\sqrt[3]{" + argument + "}";
            case "abs" -> "\\left|" + argument + "\\right|";
            default -> name(fn.name()) + "\\left(" + argument + "\\right)";
        };
    }

    private static String name(String function) {
        return NAMED.contains(function)
                ? "\\" + function
                : INVERSE.getOrDefault(function, "\\operatorname{" + function + "}");
    }

    private static String inside(Term term, boolean brackets) {
        return brackets ? "\\left(" + of(term) + "\\right)" : of(term);
    }
}
