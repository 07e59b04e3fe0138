package org.scholion.core.maths;

import ch.obermuhlner.math.big.BigDecimalMath;
import java.math.BigDecimal;
import java.math.MathContext;
import java.math.RoundingMode;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import org.scholion.core.number.Fraction;

/** Values of terms at points, in real numbers of fifty digits or more, each with a bound for its error. */
final class Numeric {
    static final MathContext DIGITS = new MathContext(50, RoundingMode.HALF_EVEN);
    /** Enough to tell apart what differs by a factor that no student writes. */
    static final MathContext MANY = new MathContext(140, RoundingMode.HALF_EVEN);

    private static final double LARGEST_EXPONENT = 200;
    private static final double LARGEST = 400;
    private static final double LARGEST_ARGUMENT = 12;

    private final Map<String, BigDecimal> at;
    private final MathContext digits;
    private final Budget budget;

    private Numeric(Map<String, BigDecimal> at, MathContext digits, Budget budget) {
        this.at = at;
        this.digits = digits;
        this.budget = budget;
    }

    /** The value; empty where it is undefined in real numbers or beyond all bounds. */
    static Optional<BigDecimal> of(Term term, Map<String, BigDecimal> at, Budget budget) {
        return approx(term, at, DIGITS, budget).map(Approx::value);
    }

    /** The value with its error; empty where it is undefined in real numbers or beyond all bounds. */
    static Optional<Approx> approx(Term term, Map<String, BigDecimal> at, MathContext digits, Budget budget) {
        try {
            return Optional.of(new Numeric(at, digits, budget).value(term));
        } catch (ArithmeticException e) {
            return Optional.empty();
        }
    }

    /** The same at an exact point. */
    static Optional<Approx> at(Term term, Map<String, Fraction> point, MathContext digits, Budget budget) {
        Map<String, BigDecimal> numbers = new HashMap<>();
        point.forEach((name, value) -> numbers.put(name, of(value, digits)));
        return approx(term, numbers, digits, budget);
    }

    static BigDecimal of(Fraction value) {
        return of(value, DIGITS);
    }

    private static BigDecimal of(Fraction value, MathContext digits) {
        return new BigDecimal(value.numerator()).divide(new BigDecimal(value.denominator()), digits);
    }

    private Approx rounded(BigDecimal value, double error) {
        double size = Approx.magnitude(value);
        if (size > LARGEST) {
            throw new ArithmeticException("beyond all bounds");
        }
        return new Approx(value, Math.max(error, size - digits.getPrecision() + 1) + 0.5);
    }

    private Approx value(Term term) {
        budget.spend(digits == DIGITS ? 10 : 20);
        if (term instanceof Term.Num num) {
            BigDecimal value = of(num.value(), digits);
            return num.value().isWhole() && value.precision() < digits.getPrecision()
                    ? new Approx(value, Approx.NONE)
                    : rounded(value, Approx.NONE);
        }
        if (term instanceof Term.Sym sym) {
            return rounded(symbol(sym.name()), Approx.NONE);
        }
        if (term instanceof Term.Neg neg) {
            Approx x = value(neg.inner());
            return new Approx(x.value().negate(), x.error());
        }
        if (term instanceof Term.Add add) {
            Approx a = value(add.left());
            Approx b = value(add.right());
            return rounded(a.value().add(b.value(), digits), Math.max(a.error(), b.error()));
        }
        if (term instanceof Term.Mul mul) {
            Approx a = value(mul.left());
            Approx b = value(mul.right());
            return rounded(a.value().multiply(b.value(), digits), productError(a, b));
        }
        if (term instanceof Term.Div div) {
            return quotient(value(div.left()), value(div.right()));
        }
        return term instanceof Term.Pow pow ? power(pow) : function((Term.Fn) term);
    }

    private static double productError(Approx a, Approx b) {
        return Math.max(a.magnitude() + 1 + b.error(), b.magnitude() + 1 + a.error());
    }

    private Approx quotient(Approx a, Approx b) {
        if (b.sign() == 0) {
            throw new ArithmeticException("division by 0");
        }
        double below = b.magnitude();
        double error = Math.max(a.error() - below, a.magnitude() + 1 + b.error() - 2 * below);
        return rounded(a.value().divide(b.value(), digits), error);
    }

    private BigDecimal symbol(String name) {
        if (name.equals("π")) {
            return BigDecimalMath.pi(digits);
        }
        if (name.equals("ℯ")) {
            return BigDecimalMath.e(digits);
        }
        BigDecimal value = at.get(name);
        if (value == null) {
            throw new ArithmeticException("no value for " + name);
        }
        return value;
    }

    private Approx power(Term.Pow pow) {
        Approx base = value(pow.base());
        Approx exponent = value(pow.exponent());
        if (Math.abs(exponent.value().doubleValue()) > LARGEST_EXPONENT) {
            throw new ArithmeticException("exponent beyond all bounds");
        }
        BigDecimal nearest = exponent.value().setScale(0, RoundingMode.HALF_EVEN);
        boolean whole = Approx.magnitude(exponent.value().subtract(nearest)) < Math.max(exponent.error(), -40);
        if (whole) {
            return wholePower(base, nearest.intValueExact());
        }
        budget.spend(digits == DIGITS ? 1_500 : 6_000);
        if (base.sign() < 0) {
            return oddRoot(pow, base, exponent);
        }
        if (base.sign() == 0) {
            if (exponent.value().signum() < 0) {
                throw new ArithmeticException("division by 0");
            }
            return new Approx(BigDecimal.ZERO, base.error() * exponent.value().doubleValue());
        }
        return realPower(base, exponent);
    }

    private Approx realPower(Approx base, Approx exponent) {
        BigDecimal value = BigDecimalMath.pow(base.value(), exponent.value(), digits);
        double size = Approx.magnitude(value) + 1;
        double byBase = base.error() - base.magnitude() + exponent.magnitude() + 1;
        double byExponent = exponent.error() + Math.log10(1 + 2.4 * Math.abs(base.magnitude() + 1));
        return rounded(value, size + Math.max(byBase, byExponent));
    }

    private Approx wholePower(Approx base, int n) {
        if (n == 0) {
            return new Approx(BigDecimal.ONE, Approx.NONE);
        }
        if (base.sign() == 0) {
            if (n < 0) {
                throw new ArithmeticException("division by 0");
            }
            return new Approx(BigDecimal.ZERO, Math.max(Approx.NONE, n * base.error()));
        }
        if (Math.abs(n) * Math.max(1, Math.abs(base.magnitude())) > 4 * LARGEST) {
            throw new ArithmeticException("beyond all bounds");
        }
        BigDecimal power = base.value().pow(Math.abs(n), digits);
        BigDecimal value = n > 0 ? power : BigDecimal.ONE.divide(power, digits);
        double relative = base.error() - base.magnitude() + Math.log10(Math.abs(n));
        return rounded(value, Approx.magnitude(value) + 1 + relative);
    }

    /** A negative number has real roots of odd degree, when the exponent is written as such a fraction. */
    private Approx oddRoot(Term.Pow pow, Approx base, Approx exponent) {
        Rational written = new Normal(budget).of(pow.exponent());
        Fraction n = written.isConstant() ? written.num().constant() : Fraction.HALF;
        if (!n.denominator().testBit(0)) {
            throw new ArithmeticException("an even root of a negative number");
        }
        Approx size = realPower(new Approx(base.value().negate(), base.error()), exponent);
        return n.numerator().testBit(0) ? new Approx(size.value().negate(), size.error()) : size;
    }

    private Approx function(Term.Fn fn) {
        Approx x = value(fn.argument());
        boolean plain = fn.name().equals("abs") || fn.name().equals("sqrt");
        budget.spend((fn.name().equals("abs") ? 10 : plain ? 150 : 1_000) * (digits == DIGITS ? 1 : 4));
        if (x.magnitude() > LARGEST_ARGUMENT
                && !plain
                && !fn.name().equals("ln")
                && !fn.name().equals("cbrt")) {
            throw new ArithmeticException("argument beyond all bounds");
        }
        return switch (fn.name()) {
            case "abs" -> new Approx(x.value().abs(), x.error());
            case "sqrt" -> root(x);
            case "cbrt" -> cubeRoot(x);
            case "ln" -> rounded(BigDecimalMath.log(positive(x), digits), x.error() - x.magnitude());
            case "sin" -> rounded(BigDecimalMath.sin(x.value(), digits), turned(x));
            case "cos" -> rounded(BigDecimalMath.cos(x.value(), digits), turned(x));
            case "tan" ->
                quotient(
                        rounded(BigDecimalMath.sin(x.value(), digits), turned(x)),
                        rounded(BigDecimalMath.cos(x.value(), digits), turned(x)));
            case "asin" -> rounded(BigDecimalMath.asin(within(x), digits), steep(x));
            case "acos" -> rounded(BigDecimalMath.acos(within(x), digits), steep(x));
            case "atan" -> rounded(BigDecimalMath.atan(x.value(), digits), x.error());
            case "sinh", "cosh", "tanh" -> hyperbolic(fn.name(), x);
            default -> throw new ArithmeticException("no function " + fn.name());
        };
    }

    /** A large angle loses as many digits as it is long. */
    private double turned(Approx x) {
        return Math.max(x.error(), Math.max(0, x.magnitude()) - digits.getPrecision() + 2);
    }

    private Approx root(Approx x) {
        if (x.sign() == 0) {
            return new Approx(BigDecimal.ZERO, Math.max(Approx.NONE, x.error() / 2));
        }
        BigDecimal value = BigDecimalMath.sqrt(positive(x), digits);
        return rounded(value, x.error() - Approx.magnitude(value));
    }

    private Approx cubeRoot(Approx x) {
        if (x.sign() == 0) {
            return new Approx(BigDecimal.ZERO, Math.max(Approx.NONE, x.error() / 3));
        }
        BigDecimal value = BigDecimalMath.root(x.value().abs(), BigDecimal.valueOf(3), digits)
                .multiply(BigDecimal.valueOf(x.value().signum()));
        return rounded(value, x.error() - 2 * Approx.magnitude(value));
    }

    /** Near its ends the inverse sine is steep. */
    private static double steep(Approx x) {
        double end = Approx.magnitude(BigDecimal.ONE.subtract(x.value().abs()));
        return Math.max(x.error() - end / 2 + 1, Math.min(x.error() / 2, end / 2 - 20));
    }

    private static BigDecimal within(Approx x) {
        if (x.value().abs().compareTo(BigDecimal.ONE) > 0) {
            throw new ArithmeticException("no such angle");
        }
        return x.value();
    }

    private Approx hyperbolic(String name, Approx x) {
        if (Math.abs(x.value().doubleValue()) > LARGEST_EXPONENT) {
            throw new ArithmeticException("argument beyond all bounds");
        }
        BigDecimal value = switch (name) {
            case "sinh" -> BigDecimalMath.sinh(x.value(), digits);
            case "cosh" -> BigDecimalMath.cosh(x.value(), digits);
            default -> BigDecimalMath.tanh(x.value(), digits);
        };
        return rounded(value, x.error() + Math.max(0, Approx.magnitude(value)) + 2);
    }

    private static BigDecimal positive(Approx x) {
        if (x.sign() <= 0) {
            throw new ArithmeticException("undefined");
        }
        return x.value();
    }
}
