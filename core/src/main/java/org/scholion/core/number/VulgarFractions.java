package org.scholion.core.number;

import java.util.HashMap;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/** Fractions that are one sign. */
public final class VulgarFractions {
    private static final Map<Character, Fraction> VALUES = new HashMap<>();

    static {
        String signs =
                "½ 1/2 ⅓ 1/3 ⅔ 2/3 ¼ 1/4 ¾ 3/4 ⅕ 1/5 ⅖ 2/5 ⅗ 3/5 ⅘ 4/5 ⅙ 1/6 ⅚ 5/6 ⅐ 1/7 ⅛ 1/8 ⅜ 3/8 ⅝ 5/8 ⅞ 7/8 ⅑ 1/9"
                        + " ⅒ 1/10 ↉ 0/3";
        String[] pairs = signs.split(" ");
        for (int i = 0; i < pairs.length; i += 2) {
            VALUES.put(pairs[i].charAt(0), Fraction.exactly(pairs[i + 1]));
        }
    }

    private VulgarFractions() {}

    /** The value of ½, ¾ and the like; null for every other sign. */
    public static @Nullable Fraction of(char sign) {
        return sign < 128 ? null : VALUES.get(sign);
    }
}
