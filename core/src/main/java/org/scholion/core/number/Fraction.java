package org.scholion.core.number;

import java.math.BigDecimal;
import java.math.BigInteger;
import java.math.MathContext;
import java.math.RoundingMode;
import java.util.Collection;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/**
 * An exact fraction in lowest terms with a positive denominator: credits, points, weights, percents.
 *
 * <p>Small values are held in two longs; a result that does not fit falls over to BigInteger and comes back as
 * soon as it fits again, so that overflow never wraps and equal values are always {@code equals}.
 */
public final class Fraction implements Comparable<Fraction> {
    private static final Map<String, String> PARTS =
            Map.of("0.5", "½", "0.25", "¼", "0.75", "¾", "1/3", "⅓", "2/3", "⅔");
    /** A writing of so many signs is read at a glance; one of so many still as a whole. */
    private static final int SHORT = 12;

    private static final int LONG = 24;
    private static final MathContext READ = new MathContext(20, RoundingMode.HALF_UP);
    private static final MathContext FEW = new MathContext(7, RoundingMode.HALF_UP);

    /** Small whole numbers are there once. */
    private static final Fraction[] SMALL = new Fraction[1024];

    static {
        for (int i = 0; i < SMALL.length; i++) {
            SMALL[i] = new Fraction(i, 1);
        }
    }

    public static final Fraction ZERO = SMALL[0];
    public static final Fraction ONE = SMALL[1];
    public static final Fraction HALF = new Fraction(1, 2);
    public static final Fraction HUNDRED = SMALL[100];

    private static final Pattern WRITTEN = Pattern.compile("([+-]?\\d+)/(\\d+)|[+-]?(\\d+(\\.\\d*)?|\\.\\d+)");
    private static final int LONGEST = 200;

    /** The one long that has no negative; it is kept as a big number, so that every small one can be negated. */
    private static final BigInteger LEAST = BigInteger.valueOf(Long.MIN_VALUE);

    private final long num;
    private final long den;
    private final @Nullable BigInteger bigNum;
    private final @Nullable BigInteger bigDen;

    private Fraction(long num, long den) {
        this.num = num;
        this.den = den;
        this.bigNum = null;
        this.bigDen = null;
    }

    private Fraction(BigInteger num, BigInteger den) {
        this.num = 0;
        this.den = 0;
        this.bigNum = num;
        this.bigDen = den;
    }

    public static Fraction of(long whole) {
        return whole >= 0 && whole < SMALL.length ? SMALL[(int) whole] : whole(whole);
    }

    private static Fraction whole(long whole) {
        return whole == Long.MIN_VALUE ? of(BigInteger.valueOf(whole), BigInteger.ONE) : new Fraction(whole, 1);
    }

    /**
     * The fraction num/den.
     *
     * @throws ArithmeticException when den is 0
     */
    public static Fraction of(long num, long den) {
        if (den > 0 && num > Long.MIN_VALUE) {
            long g = gcd(Math.abs(num), den);
            return g == 1 ? new Fraction(num, den) : new Fraction(num / g, den / g);
        }
        return of(BigInteger.valueOf(num), BigInteger.valueOf(den));
    }

    /**
     * The fraction num/den.
     *
     * @throws ArithmeticException when den is 0
     */
    public static Fraction of(BigInteger num, BigInteger den) {
        if (den.signum() == 0) {
            throw new ArithmeticException("denominator 0 in " + num + "/0");
        }
        BigInteger g = num.gcd(den);
        if (den.signum() < 0) {
            g = g.negate();
        }
        BigInteger n = num.divide(g);
        BigInteger d = den.divide(g);
        return n.bitLength() < 64 && d.bitLength() < 64 && !n.equals(LEAST)
                ? new Fraction(n.longValueExact(), d.longValueExact())
                : new Fraction(n, d);
    }

    public static Fraction of(BigDecimal decimal) {
        return decimal.scale() >= 0
                ? of(decimal.unscaledValue(), BigInteger.TEN.pow(decimal.scale()))
                : of(decimal.toBigIntegerExact(), BigInteger.ONE);
    }

    /**
     * The mean of some.
     *
     * @throws ArithmeticException where there are none
     */
    public static Fraction mean(Collection<Fraction> some) {
        return some.stream().reduce(ZERO, Fraction::plus).over(some.size());
    }

    /** Reads {@code 3}, {@code -1.5}, {@code .5} or {@code 1/3}; empty when it is none of these or over 200 long. */
    public static Optional<Fraction> parse(String written) {
        if (written.length() > LONGEST) {
            return Optional.empty();
        }
        Matcher m = WRITTEN.matcher(written);
        if (!m.matches()) {
            return Optional.empty();
        }
        if (m.group(1) == null) {
            return Optional.of(of(new BigDecimal(written)));
        }
        BigInteger den = new BigInteger(m.group(2));
        return den.signum() == 0 ? Optional.empty() : Optional.of(of(new BigInteger(m.group(1)), den));
    }

    /**
     * As {@link #parse}, for values known to be well written.
     *
     * @throws IllegalArgumentException naming the text when it is not a number
     */
    public static Fraction exactly(String written) {
        return parse(written)
                .orElseThrow(() ->
                        new IllegalArgumentException("'" + written + "' is not an exact number such as 1.5 or 1/3"));
    }

    /** A whole number of plain digits, however many. */
    public static Fraction exactlyWhole(String digits) {
        return of(new BigInteger(digits), BigInteger.ONE);
    }

    public Fraction plus(Fraction other) {
        if (isSmall() && other.isSmall()) {
            if (den == other.den) {
                long sum = num + other.num;
                if (((num ^ sum) & (other.num ^ sum)) >= 0) {
                    return den == 1 ? of(sum) : of(sum, den);
                }
            } else {
                long a = Math.multiplyHigh(num, other.den);
                long b = Math.multiplyHigh(other.num, den);
                long d = Math.multiplyHigh(den, other.den);
                long left = num * other.den;
                long right = other.num * den;
                long low = den * other.den;
                long sum = left + right;
                if (fits(a, left) && fits(b, right) && fits(d, low) && ((left ^ sum) & (right ^ sum)) >= 0) {
                    return of(sum, low);
                }
            }
        }
        return of(
                numerator().multiply(other.denominator()).add(other.numerator().multiply(denominator())),
                denominator().multiply(other.denominator()));
    }

    public Fraction minus(Fraction other) {
        return plus(other.negate());
    }

    public Fraction times(Fraction other) {
        if (isSmall() && other.isSmall()) {
            long n = num * other.num;
            long d = den * other.den;
            if (fits(Math.multiplyHigh(num, other.num), n) && fits(Math.multiplyHigh(den, other.den), d)) {
                return of(n, d);
            }
        }
        return of(numerator().multiply(other.numerator()), denominator().multiply(other.denominator()));
    }

    public Fraction times(long whole) {
        return times(of(whole));
    }

    /**
     * This divided by the other.
     *
     * @throws ArithmeticException when the other is 0
     */
    public Fraction over(Fraction other) {
        return other.isSmall() && other.num != 0
                ? times(other.num > 0 ? new Fraction(other.den, other.num) : new Fraction(-other.den, -other.num))
                : of(numerator().multiply(other.denominator()), denominator().multiply(other.numerator()));
    }

    public Fraction over(long whole) {
        return over(of(whole));
    }

    public Fraction negate() {
        return isSmall() ? new Fraction(-num, den) : of(numerator().negate(), denominator());
    }

    public Fraction abs() {
        return signum() < 0 ? negate() : this;
    }

    public Fraction min(Fraction other) {
        return compareTo(other) <= 0 ? this : other;
    }

    public Fraction max(Fraction other) {
        return compareTo(other) >= 0 ? this : other;
    }

    /** This, moved to the nearer bound when it lies outside low…high. */
    public Fraction clamp(Fraction low, Fraction high) {
        return max(low).min(high);
    }

    public int signum() {
        return bigNum == null ? Long.signum(num) : bigNum.signum();
    }

    public boolean isZero() {
        return signum() == 0;
    }

    public boolean isWhole() {
        return isSmall() && den == 1 || denominator().equals(BigInteger.ONE);
    }

    public BigInteger numerator() {
        return bigNum == null ? BigInteger.valueOf(num) : bigNum;
    }

    public BigInteger denominator() {
        return bigDen == null ? BigInteger.valueOf(den) : bigDen;
    }

    public double toDouble() {
        return isSmall()
                ? (double) num / den
                : new BigDecimal(numerator())
                        .divide(new BigDecimal(denominator()), new java.math.MathContext(25))
                        .doubleValue();
    }

    /** Rounded half up (away from zero) to so many decimals. */
    public Fraction rounded(int digits) {
        return of(toBigDecimal(digits));
    }

    /** The next whole number that is not below this. */
    public Fraction ceiling() {
        return of(new BigDecimal(numerator()).divide(new BigDecimal(denominator()), 0, RoundingMode.CEILING));
    }

    /** The whole number that is not above this. */
    public BigInteger toBigIntegerFloor() {
        return new BigDecimal(numerator())
                .divide(new BigDecimal(denominator()), 0, RoundingMode.FLOOR)
                .toBigIntegerExact();
    }

    /** At most so many decimals, half up (away from zero), no trailing zeros: {@code 0.333333}, {@code 2.5}, {@code 3}. */
    public String toDecimal(int digits) {
        if (isSmall() && den == 1) {
            return Long.toString(num);
        }
        BigDecimal value = toBigDecimal(digits).stripTrailingZeros();
        return value.signum() == 0 ? "0" : value.toPlainString();
    }

    /** Exactly so many decimals, half up: {@code 75.0}. */
    public String toFixed(int digits) {
        return toBigDecimal(digits).toPlainString();
    }

    /** Exact, in the shortest writing: a decimal where it ends within six places, else {@code 1/3}. */
    public String toExact() {
        String decimal = toDecimal(6);
        return parse(decimal).filter(this::equals).isPresent() ? decimal : numerator() + "/" + denominator();
    }

    /**
     * As people read it: exact where that is short, {@code 12.7500001} or {@code 2/3}; otherwise rounded and said so,
     * {@code ≈ 0.142857} or {@code ≈ 1.234568 × 10^30}. A minus is a minus, no hyphen.
     */
    public String toReadable() {
        return readable().replace('-', '−');
    }

    /** Points and credits as people write them: {@code 22½}, {@code ⅔}, {@code −¼}; what has no sign of its own is a decimal. */
    public String toPoints() {
        Fraction size = abs();
        Fraction whole = of(new BigDecimal(size.toBigIntegerFloor()));
        String part = PARTS.get(size.minus(whole).toExact());
        if (part == null) {
            return toReadable();
        }
        return (signum() < 0 ? "−" : "") + (whole.isZero() ? "" : whole.toExact()) + part;
    }

    private String readable() {
        String exact = toExact();
        if (exact.length() <= SHORT) {
            return exact;
        }
        BigDecimal rounded = new BigDecimal(numerator()).divide(new BigDecimal(denominator()), READ);
        String plain = rounded.stripTrailingZeros().toPlainString();
        if (plain.length() <= LONG) {
            return parse(plain).filter(this::equals).isPresent() ? plain : "≈ " + toDecimal(6);
        }
        BigDecimal few = rounded.round(FEW).stripTrailingZeros();
        int power = few.precision() - few.scale() - 1;
        return "≈ " + few.movePointLeft(power).stripTrailingZeros().toPlainString() + " × 10^" + power;
    }

    private BigDecimal toBigDecimal(int digits) {
        return new BigDecimal(numerator()).divide(new BigDecimal(denominator()), digits, RoundingMode.HALF_UP);
    }

    private boolean isSmall() {
        return bigNum == null;
    }

    private static boolean fits(long high, long low) {
        return high == low >> 63 && low > Long.MIN_VALUE;
    }

    private static long gcd(long a, long b) {
        while (b != 0) {
            long rest = a % b;
            a = b;
            b = rest;
        }
        return a == 0 ? 1 : a;
    }

    @Override
    public int compareTo(Fraction other) {
        if (isSmall() && other.isSmall()) {
            if (den == other.den) {
                return Long.compare(num, other.num);
            }
            long left = num * other.den;
            long right = other.num * den;
            if (fits(Math.multiplyHigh(num, other.den), left) && fits(Math.multiplyHigh(other.num, den), right)) {
                return Long.compare(left, right);
            }
        }
        return numerator()
                .multiply(other.denominator())
                .compareTo(other.numerator().multiply(denominator()));
    }

    @Override
    public boolean equals(@Nullable Object o) {
        if (!(o instanceof Fraction other)) {
            return false;
        }
        return isSmall() == other.isSmall()
                && num == other.num
                && den == other.den
                && (isSmall()
                        || numerator().equals(other.numerator())
                                && denominator().equals(other.denominator()));
    }

    @Override
    public int hashCode() {
        return isSmall()
                ? Long.hashCode(num * 31 + den)
                : numerator().hashCode() * 31 + denominator().hashCode();
    }

    @Override
    public String toString() {
        return toExact();
    }
}
