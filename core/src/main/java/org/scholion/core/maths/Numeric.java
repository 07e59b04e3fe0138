package org.scholion.core.maths;

import ch.obermuhlner.math.big.BigDecimalMath;
import java.math.BigDecimal;
import java.math.MathContext;
import java.math.RoundingMode;
import java.util.Map;
import java.util.Optional;
import org.scholion.core.number.Fraction;

/** Values of terms at points, in real numbers of fifty digits. */
final class Numeric {
    static final MathContext DIGITS = new MathContext(50, RoundingMode.HALF_EVEN);
    private static final BigDecimal TINY = new BigDecimal("1e-35");
    private static final BigDecimal LARGEST_EXPONENT = new BigDecimal(200);
    private static final BigDecimal LARGEST = new BigDecimal("1e400");

    private final Map<String, BigDecimal> at;
    private final Budget budget;

    private Numeric(Map<String, BigDecimal> at, Budget budget) {
        this.at = at;
        this.budget = budget;
    }

    /** The value; empty where it is undefined in real numbers or beyond all bounds. */
    static Optional<BigDecimal> of(Term term, Map<String, BigDecimal> at, Budget budget) {
        try {
            return Optional.of(new Numeric(at, budget).value(term));
        } catch (ArithmeticException e) {
            return Optional.empty();
        }
    }

    static BigDecimal of(Fraction value) {
        return new BigDecimal(value.numerator()).divide(new BigDecimal(value.denominator()), DIGITS);
    }

    /** Whether two values agree to about thirty-five digits. */
    static boolean agree(BigDecimal a, BigDecimal b) {
        BigDecimal scale = a.abs().max(b.abs()).max(BigDecimal.ONE);
        return a.subtract(b).abs().compareTo(scale.multiply(TINY)) <= 0;
    }

    static int sign(BigDecimal value) {
        return value.abs().compareTo(TINY) <= 0 ? 0 : value.signum();
    }

    private BigDecimal value(Term term) {
        budget.spend(20);
        if (term instanceof Term.Num num) {
            return of(num.value());
        }
        if (term instanceof Term.Sym sym) {
            return symbol(sym.name());
        }
        if (term instanceof Term.Neg neg) {
            return value(neg.inner()).negate();
        }
        if (term instanceof Term.Add add) {
            return value(add.left()).add(value(add.right()), DIGITS);
        }
        if (term instanceof Term.Mul mul) {
            return bounded(value(mul.left()).multiply(value(mul.right()), DIGITS));
        }
        if (term instanceof Term.Div div) {
            return bounded(value(div.left()).divide(notZero(value(div.right())), DIGITS));
        }
        return term instanceof Term.Pow pow ? bounded(power(pow)) : function((Term.Fn) term);
    }

    private static BigDecimal bounded(BigDecimal value) {
        if (value.abs().compareTo(LARGEST) > 0) {
            throw new ArithmeticException("beyond all bounds");
        }
        return value;
    }

    private static BigDecimal notZero(BigDecimal value) {
        if (sign(value) == 0) {
            throw new ArithmeticException("division by 0");
        }
        return value;
    }

    private BigDecimal symbol(String name) {
        if (name.equals("π")) {
            return BigDecimalMath.pi(DIGITS);
        }
        if (name.equals("ℯ")) {
            return BigDecimalMath.e(DIGITS);
        }
        BigDecimal value = at.get(name);
        if (value == null) {
            throw new ArithmeticException("no value for " + name);
        }
        return value;
    }

    private BigDecimal power(Term.Pow pow) {
        BigDecimal base = value(pow.base());
        BigDecimal exponent = value(pow.exponent());
        if (exponent.abs().compareTo(LARGEST_EXPONENT) > 0) {
            throw new ArithmeticException("exponent beyond all bounds");
        }
        budget.spend(300);
        if (sign(exponent.subtract(exponent.setScale(0, RoundingMode.HALF_EVEN))) == 0) {
            int n = exponent.setScale(0, RoundingMode.HALF_EVEN).intValueExact();
            return n >= 0
                    ? base.pow(n, DIGITS)
                    : BigDecimal.ONE.divide(notZero(base).pow(-n, DIGITS), DIGITS);
        }
        if (sign(base) < 0) {
            return oddRoot(pow, base, exponent);
        }
        return sign(base) == 0 ? BigDecimal.ZERO : BigDecimalMath.pow(base, exponent, DIGITS);
    }

    /** A negative number has real roots of odd degree, when the exponent is written as such a fraction. */
    private static BigDecimal oddRoot(Term.Pow pow, BigDecimal base, BigDecimal exponent) {
        Rational written = new Normal(Budget.usual()).of(pow.exponent());
        Fraction n = written.isConstant() ? written.num().constant() : Fraction.HALF;
        if (!n.denominator().testBit(0)) {
            throw new ArithmeticException("an even root of a negative number");
        }
        BigDecimal size = BigDecimalMath.pow(base.negate(), exponent, DIGITS);
        return n.numerator().testBit(0) ? size.negate() : size;
    }

    private BigDecimal function(Term.Fn fn) {
        BigDecimal x = value(fn.argument());
        budget.spend(600);
        if (x.abs().compareTo(new BigDecimal("1e12")) > 0
                && !fn.name().equals("abs")
                && !fn.name().equals("sqrt")) {
            throw new ArithmeticException("argument beyond all bounds");
        }
        return switch (fn.name()) {
            case "abs" -> x.abs();
            case "sqrt" -> BigDecimalMath.sqrt(sign(x) == 0 ? BigDecimal.ZERO : x, DIGITS);
            case "cbrt" ->
                sign(x) == 0
                        ? BigDecimal.ZERO
                        : BigDecimalMath.root(x.abs(), BigDecimal.valueOf(3), DIGITS)
                                .multiply(BigDecimal.valueOf(x.signum()));
            case "ln" -> BigDecimalMath.log(positive(x), DIGITS);
            case "sin" -> BigDecimalMath.sin(x, DIGITS);
            case "cos" -> BigDecimalMath.cos(x, DIGITS);
            case "tan" -> BigDecimalMath.sin(x, DIGITS).divide(notZero(BigDecimalMath.cos(x, DIGITS)), DIGITS);
            case "asin" -> BigDecimalMath.asin(x, DIGITS);
            case "acos" -> BigDecimalMath.acos(x, DIGITS);
            case "atan" -> BigDecimalMath.atan(x, DIGITS);
            case "sinh", "cosh", "tanh" -> hyperbolic(fn.name(), x);
            default -> throw new ArithmeticException("no function " + fn.name());
        };
    }

    private static BigDecimal hyperbolic(String name, BigDecimal x) {
        if (x.abs().compareTo(LARGEST_EXPONENT) > 0) {
            throw new ArithmeticException("argument beyond all bounds");
        }
        return switch (name) {
            case "sinh" -> BigDecimalMath.sinh(x, DIGITS);
            case "cosh" -> BigDecimalMath.cosh(x, DIGITS);
            default -> BigDecimalMath.tanh(x, DIGITS);
        };
    }

    private static BigDecimal positive(BigDecimal x) {
        if (sign(x) <= 0) {
            throw new ArithmeticException("a logarithm of what is not above 0");
        }
        return x;
    }
}
