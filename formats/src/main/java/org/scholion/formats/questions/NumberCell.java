package org.scholion.formats.questions;

import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.scholion.core.quantity.Unit;
import org.scholion.formats.json.Fault;
import tools.jackson.databind.node.ObjectNode;

/**
 * A number as a cell has it: {@code 10.5 ± 0.1}, {@code 1.852,5 m}, {@code 3 to 4}, {@code 1/2}.
 *
 * @param value of one number; null for a range
 * @param within its tolerance; null for none
 * @param from where a range begins; null for one number
 * @param to where it ends
 * @param unit empty for none
 */
record NumberCell(
        @Nullable String value,
        @Nullable String within,
        @Nullable String from,
        @Nullable String to,
        String unit) {
    private static final String NUMBER =
            "[-+−]?(?:\\d{1,3}(?:[ \\u00A0\\u202F']\\d{3})+(?:[.,]\\d+)?|\\d[\\d.,]*|[.,]\\d+)"
                    + "(?:[eE][-+]?\\d+)?(?:/\\d+)?";
    private static final Pattern ONE = Pattern.compile(
            "=?\\s*(" + NUMBER + ")\\s*(?:(?:±|\\+\\s*/\\s*-|\\+-)\\s*(" + NUMBER + "\\s*%?))?\\s*(.*)",
            Pattern.DOTALL);
    private static final Pattern RANGE = Pattern.compile(
            "(?:between|from)?\\s*(" + NUMBER + ")\\s*(?:to|and|\\.\\.+|…|–|—|\\s-\\s)\\s*(" + NUMBER + ")\\s*(.*)",
            Pattern.CASE_INSENSITIVE);

    /** Reads a cell; empty when it is no number. What can be read in two ways is told, and left as it stands. */
    static Optional<NumberCell> read(String cell, DecimalMark mark, List<Fault> faults) {
        Matcher range = RANGE.matcher(cell.strip());
        if (range.matches()) {
            return Optional.of(new NumberCell(
                    null,
                    null,
                    number(range.group(1), mark, faults),
                    number(range.group(2), mark, faults),
                    range.group(3).strip()));
        }
        Matcher one = ONE.matcher(cell.strip());
        if (!one.matches()) {
            return Optional.empty();
        }
        String within = one.group(2);
        return Optional.of(new NumberCell(
                number(one.group(1), mark, faults),
                within == null ? null : tolerance(within, mark, faults),
                null,
                null,
                one.group(3).strip()));
    }

    /** Whether a cell whose question's kind is not said is a number: alone, with a tolerance, or with a known unit. */
    static boolean isOne(String cell) {
        return read(cell, DecimalMark.POINT, new java.util.ArrayList<>())
                .filter(n -> n.unit().isEmpty() || n.within() != null || isUnit(n.unit()))
                .isPresent();
    }

    private static boolean isUnit(String text) {
        return text.length() <= 8 && Unit.parse(text).isPresent();
    }

    static String tolerance(String typed, DecimalMark mark, List<Fault> faults) {
        String plain = typed.replaceFirst("^\\s*(±|\\+/-)\\s*", "").strip();
        boolean share = plain.endsWith("%");
        String number = number(plain.replaceFirst("\\s*%$", ""), mark, faults);
        return share ? number + "%" : number;
    }

    /** As the file has it, where it is no number: that is told when the item is read. */
    static String number(String typed, DecimalMark mark, List<Fault> faults) {
        if (typed.indexOf('/') > 0) {
            return typed.replace('−', '-').strip();
        }
        if (mark.isAmbiguous(typed)) {
            faults.add(new Fault("key", DecimalMark.asked(typed)));
        }
        return mark.read(typed).orElse(typed.strip());
    }

    void into(ObjectNode band) {
        if (value != null) {
            band.put("value", value);
        }
        if (within != null) {
            band.put("within", within);
        }
        if (from != null && to != null) {
            band.put("from", from).put("to", to);
        }
    }
}
