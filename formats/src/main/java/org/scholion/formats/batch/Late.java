package org.scholion.formats.batch;

import java.util.Optional;
import org.scholion.core.number.Fraction;

/** How late an attempt is, as written: {@code 2d}, {@code 26h} or {@code 90m}. */
final class Late {
    private Late() {}

    /** In days; empty when it is not so written. */
    static Optional<Fraction> days(String written) {
        String text = written.strip();
        if (text.isEmpty()) {
            return Optional.empty();
        }
        long perDay = switch (text.charAt(text.length() - 1)) {
            case 'd' -> 1;
            case 'h' -> 24;
            case 'm' -> 24 * 60;
            default -> 0;
        };
        return perDay == 0
                ? Optional.empty()
                : Fraction.parse(text.substring(0, text.length() - 1).strip())
                        .filter(n -> n.signum() >= 0)
                        .map(n -> n.over(perDay));
    }
}
