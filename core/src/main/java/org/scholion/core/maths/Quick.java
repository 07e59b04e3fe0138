package org.scholion.core.maths;

import java.util.Map;
import org.scholion.core.number.Fraction;

/**
 * Values of terms in sixteen digits, with a bound for the error: enough to see that two differ, and on which side of 0
 * one lies. Where the error leaves something open it says so.
 */
final class Quick {
    private static final double ROUND = 0x1p-51;

    /** How a value is known. */
    enum Known {
        YES,
        /** It is not defined there. */
        UNDEFINED,
        /** Sixteen digits are too few, or the value lies beyond all bounds. */
        OPEN
    }

    private final Map<String, Fraction> at;
    private Known known = Known.YES;
    private double error;

    private Quick(Map<String, Fraction> at) {
        this.at = at;
    }

    /** A value at a point. */
    record Value(Known known, double value, double error) {
        /** The sign, 0 where it is not known. */
        int sign() {
            return known != Known.YES || Math.abs(value) <= error ? 0 : (int) Math.signum(value);
        }

        boolean differs(Value other) {
            return Math.abs(value - other.value) > 4 * (error + other.error);
        }
    }

    static Value at(Term term, Map<String, Fraction> point) {
        Quick quick = new Quick(point);
        double value = quick.value(term);
        boolean finite = Double.isFinite(value)
                && Math.abs(value) < 1e250
                && quick.error < Math.max(1e-6, 1e-6 * Math.abs(value));
        return new Value(quick.known == Known.YES && !finite ? Known.OPEN : quick.known, value, quick.error);
    }

    private double rounded(double value, double inherited) {
        error = inherited + Math.abs(value) * ROUND + Double.MIN_NORMAL;
        return value;
    }

    private double undefined(boolean certain) {
        known = known == Known.OPEN || !certain ? Known.OPEN : Known.UNDEFINED;
        error = 0;
        return 1;
    }

    private double value(Term term) {
        if (term instanceof Term.Num num) {
            return rounded(num.value().toDouble(), 0);
        }
        if (term instanceof Term.Sym sym) {
            return rounded(symbol(sym.name()), 0);
        }
        if (term instanceof Term.Neg neg) {
            return -value(neg.inner());
        }
        if (term instanceof Term.Fn fn) {
            return function(fn);
        }
        double a = value(term.parts().get(0));
        double ea = error;
        double b = value(term.parts().get(1));
        double eb = error;
        if (term instanceof Term.Add) {
            return rounded(a + b, ea + eb);
        }
        if (term instanceof Term.Mul) {
            return rounded(a * b, Math.abs(a) * eb + Math.abs(b) * ea + ea * eb);
        }
        if (term instanceof Term.Div) {
            return quotient(a, ea, b, eb);
        }
        return power(term, a, ea, b, eb);
    }

    private double symbol(String name) {
        if (name.equals("π")) {
            return Math.PI;
        }
        if (name.equals("ℯ")) {
            return Math.E;
        }
        Fraction value = at.get(name);
        return value == null ? undefined(false) : value.toDouble();
    }

    private double quotient(double a, double ea, double b, double eb) {
        if (Math.abs(b) <= 2 * eb) {
            return undefined(b == 0 && eb <= Double.MIN_NORMAL * 4);
        }
        double value = a / b;
        return rounded(value, 2 * (ea + Math.abs(value) * eb) / Math.abs(b));
    }

    private double power(Term term, double a, double ea, double b, double eb) {
        if (term instanceof Term.Pow pow
                && pow.exponent() instanceof Term.Num n
                && n.value().isWhole()) {
            if (Math.abs(a) <= 2 * ea) {
                return b > 0 ? rounded(Math.pow(a, b), Math.pow(3 * ea + Math.abs(a), b)) : undefined(false);
            }
            double value = Math.pow(a, b);
            return rounded(value, Math.abs(value) * (2 * Math.abs(b) * ea / Math.abs(a) + 8 * ROUND));
        }
        if (a <= 2 * ea) {
            // A negative base may have a root of odd degree.
            return undefined(false);
        }
        double value = Math.pow(a, b);
        double relative =
                2 * (Math.abs(b) * ea / a + Math.abs(Math.log(a)) * eb) + (8 + Math.abs(b * Math.log(a))) * ROUND;
        return rounded(value, Math.abs(value) * relative);
    }

    private double function(Term.Fn fn) {
        double x = value(fn.argument());
        double e = error;
        switch (fn.name()) {
            case "abs" -> {
                return rounded(Math.abs(x), e);
            }
            case "sqrt", "ln" -> {
                if (x <= 2 * e) {
                    return undefined(x < -e);
                }
                double value = fn.name().equals("ln") ? Math.log(x) : Math.sqrt(x);
                return rounded(value, fn.name().equals("ln") ? 2 * e / x + 4 * ROUND : e / value);
            }
            case "cbrt" -> {
                double value = Math.cbrt(x);
                return Math.abs(x) <= 2 * e
                        ? undefined(false)
                        : rounded(value, Math.abs(value) * (e / Math.abs(x) + 4 * ROUND));
            }
            case "sin" -> {
                return rounded(Math.sin(x), e + 4 * ROUND);
            }
            case "cos" -> {
                return rounded(Math.cos(x), e + 4 * ROUND);
            }
            case "tan" -> {
                double cos = Math.cos(x);
                return Math.abs(cos) < 1e-6 + 4 * e
                        ? undefined(false)
                        : rounded(Math.tan(x), 2 * (e + 4 * ROUND) / (cos * cos));
            }
            case "atan" -> {
                return rounded(Math.atan(x), e + 4 * ROUND);
            }
            case "asin", "acos" -> {
                if (Math.abs(x) > 1 - 1e-9 - 4 * e) {
                    return undefined(Math.abs(x) > 1 + 2 * e);
                }
                double steep = 2 * e / Math.sqrt(1 - x * x);
                return rounded(fn.name().equals("asin") ? Math.asin(x) : Math.acos(x), steep + 8 * ROUND);
            }
            case "sinh", "cosh", "tanh" -> {
                double value = fn.name().equals("sinh")
                        ? Math.sinh(x)
                        : fn.name().equals("cosh") ? Math.cosh(x) : Math.tanh(x);
                return rounded(value, (Math.abs(value) + 1) * (2 * e + 16 * ROUND));
            }
            default -> {
                return undefined(false);
            }
        }
    }
}
