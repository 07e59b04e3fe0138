package org.scholion.core.quantity;

import com.ibm.icu.text.Normalizer2;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/** Reads products, quotients and powers of known units, by their signs or by their names. */
final class UnitReader {
    private static final int LONGEST = 60;
    private static final int MOST_WORDS = 12;
    /** Letters without a sign can be taken apart in very many ways; a unit that is asked for is among the first. */
    private static final int MOST_WAYS = 64;

    private static final Pattern WORD = Pattern.compile("(%|°?\\p{L}+|°)(?:\\^?(-?\\d{1,2}))?");
    private static final Pattern STEP = Pattern.compile("\\s*[·⋅*×]\\s*|\\s*/\\s*|\\s+");

    /** A unit with its power, and whether the line stands before it. */
    private record Factor(String name, int power, boolean below) {}

    private UnitReader() {}

    /**
     * The unit.
     *
     * @param expected the unit that is asked for, as which letters without a sign between them are read ({@code ms^-2}
     *     for m/s²); null when any product of two or three known units will do, so long as there is only one
     */
    static Optional<Unit> read(String text, @Nullable Unit expected) {
        List<Factor> factors = factors(text);
        if (factors == null) {
            return Optional.empty();
        }
        Unit plain = product(factors.stream().map(UnitReader::known).toList());
        if (plain != null && (expected == null || plain.sameDimension(expected))) {
            return Optional.of(plain);
        }
        List<Unit> together = new ArrayList<>();
        gather(factors, 0, null, together);
        if (expected == null) {
            return together.stream().distinct().count() == 1 ? Optional.of(together.get(0)) : Optional.empty();
        }
        return together.stream()
                .filter(u -> u.sameDimension(expected))
                .findFirst()
                .or(() -> Optional.ofNullable(plain));
    }

    /** The first part of a unit that is not known; empty when all are, or when it is no unit at all. */
    static Optional<String> unknown(String text) {
        List<Factor> factors = factors(text);
        return factors == null
                ? Optional.empty()
                : factors.stream()
                        .filter(f -> known(f) == null)
                        .map(Factor::name)
                        .findFirst();
    }

    private static @Nullable List<Factor> factors(String text) {
        if (text.isEmpty() || text.length() > LONGEST) {
            return null;
        }
        String plain = Normalizer2.getNFKCInstance()
                .normalize(TypedNumber.plain(text))
                .replace('\u2212', '-')
                .replace('\u2013', '-')
                .replace("per cent", "%")
                .strip();
        String quotient = UnitNames.quotient(plain);
        return factorsOf(quotient == null ? plain : quotient);
    }

    private static @Nullable List<Factor> factorsOf(String plain) {
        List<Factor> factors = new ArrayList<>();
        Phrase phrase = new Phrase();
        Matcher step = STEP.matcher(plain);
        int at = 0;
        while (factors.size() < MOST_WORDS) {
            boolean more = step.find(at);
            Matcher word = WORD.matcher(plain.substring(at, more ? step.start() : plain.length()));
            if (!word.matches()) {
                return null;
            }
            int power = word.group(2) == null ? 1 : Integer.parseInt(word.group(2));
            if (power == 0 || !phrase.take(word.group(1), power, factors)) {
                return null;
            }
            if (!more) {
                return phrase.isOpen() || factors.isEmpty() ? null : factors;
            }
            phrase.below |= step.group().contains("/");
            at = step.end();
        }
        return null;
    }

    /** Words that say something about the unit before or after them: per, square, cubed, degrees Celsius, nautical mile. */
    private static final class Phrase {
        private boolean below;
        private int power = 1;
        private String before = "";

        boolean isOpen() {
            return below || power != 1 || !before.isEmpty() && !before.equals("°");
        }

        boolean take(String word, int raised, List<Factor> factors) {
            String small = word.toLowerCase(Locale.ROOT);
            int last = factors.size() - 1;
            switch (small) {
                case "per" -> below = true;
                case "square", "sq" -> power = 2;
                case "cubic", "cu" -> power = 3;
                case "nautical", "sea" -> before = small;
                case "squared", "cubed" -> {
                    if (last < 0 || below || factors.get(last).power() != 1) {
                        return false;
                    }
                    Factor f = factors.get(last);
                    factors.set(last, new Factor(f.name(), small.equals("squared") ? 2 : 3, f.below()));
                }
                default -> {
                    String name = before.length() > 1 ? before + word : word;
                    boolean scale = last >= 0 && before.equals("°") && !below && isScale(small);
                    if (scale) {
                        name = "°" + Character.toUpperCase(small.charAt(0));
                        factors.remove(last);
                    }
                    factors.add(new Factor(name, raised * power, below));
                    below = false;
                    power = 1;
                    before = List.of("°", "deg", "degs", "degree", "degrees").contains(small) ? "°" : "";
                }
            }
            return true;
        }

        private static boolean isScale(String small) {
            return List.of("c", "celsius", "centigrade", "f", "fahrenheit").contains(small);
        }
    }

    private static @Nullable Unit known(Factor factor) {
        Unit unit = symbol(factor.name());
        return unit == null ? null : raised(unit, factor.below() ? -factor.power() : factor.power());
    }

    private static @Nullable Unit symbol(String name) {
        Unit unit = UnitTable.get(name);
        String sign = unit == null ? UnitNames.sign(name) : null;
        return sign == null ? unit : UnitTable.get(sign);
    }

    private static Unit raised(Unit unit, int power) {
        return power == 1 ? unit : unit.power(power);
    }

    private static @Nullable Unit product(List<@Nullable Unit> units) {
        Unit product = null;
        for (Unit unit : units) {
            if (unit == null) {
                return null;
            }
            product = product == null ? unit : product.times(unit);
        }
        return product;
    }

    /** Every way in which the letters of the factors can be two or three units without a sign; as they stand first. */
    private static void gather(List<Factor> factors, int i, @Nullable Unit so, List<Unit> all) {
        if (all.size() >= MOST_WAYS) {
            return;
        }
        if (i == factors.size()) {
            if (so != null) {
                all.add(so);
            }
            return;
        }
        Factor factor = factors.get(i);
        for (Unit unit : together(factor.name(), factor.power(), 3)) {
            Unit signed = factor.below() ? unit.power(-1) : unit;
            gather(factors, i + 1, so == null ? signed : so.times(signed), all);
        }
    }

    /** The power belongs to the last of them, as in m s². */
    private static List<Unit> together(String letters, int power, int most) {
        List<Unit> all = new ArrayList<>();
        Unit whole = symbol(letters);
        if (whole != null) {
            all.add(raised(whole, power));
        }
        for (int i = 1; i < letters.length() && most > 1 && letters.length() <= 8; i++) {
            Unit first = UnitTable.get(letters.substring(0, i));
            if (first != null) {
                together(letters.substring(i), power, most - 1).forEach(rest -> all.add(first.times(rest)));
            }
        }
        return all;
    }
}
