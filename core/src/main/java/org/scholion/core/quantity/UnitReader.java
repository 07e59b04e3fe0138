package org.scholion.core.quantity;

import com.ibm.icu.text.Normalizer2;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/** Reads products, quotients and powers of known units. */
final class UnitReader {
    private static final int LONGEST = 60;
    private static final Pattern TERM = Pattern.compile("(%|°?[\\p{L}]*|°)(?:\\^?(-?\\d{1,2}))?");
    private static final Pattern STEP = Pattern.compile("\\s*[·⋅*]\\s*|\\s*/\\s*|\\s+");

    private UnitReader() {}

    static Optional<Unit> read(String text) {
        if (text.isEmpty() || text.length() > LONGEST) {
            return Optional.empty();
        }
        String plain = Normalizer2.getNFKCInstance()
                .normalize(text)
                .replace('\u2212', '-')
                .strip();
        Unit product = null;
        int at = 0;
        boolean divide = false;
        Matcher step = STEP.matcher(plain);
        while (true) {
            boolean more = step.find(at);
            Unit term = term(plain.substring(at, more ? step.start() : plain.length()), divide);
            if (term == null) {
                return Optional.empty();
            }
            product = product == null ? term : product.times(term);
            if (!more) {
                return Optional.of(product);
            }
            divide = step.group().contains("/");
            at = step.end();
        }
    }

    private static @Nullable Unit term(String text, boolean divide) {
        Matcher m = TERM.matcher(text);
        if (!m.matches()) {
            return null;
        }
        Unit unit = UnitTable.get(m.group(1));
        if (unit == null) {
            return null;
        }
        int power = m.group(2) == null ? 1 : Integer.parseInt(m.group(2));
        int signed = divide ? -power : power;
        return signed == 1 ? unit : power == 0 ? null : unit.power(signed);
    }
}
