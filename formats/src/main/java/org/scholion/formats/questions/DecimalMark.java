package org.scholion.formats.questions;

import java.util.Collection;
import java.util.EnumSet;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Which sign is the decimal mark in a file's numbers. {@code 1,852} is one thing or the other; {@code 12,5} or {@code
 * 0.25} elsewhere in the file decides it, or else a person does.
 */
public enum DecimalMark {
    POINT,
    COMMA,
    /** Neither is sure: whatever could be read in two ways is asked about. */
    UNSURE;

    private static final Pattern NUMBER = Pattern.compile("(?<![\\w.,])\\d+(?:[.,\\u00A0\\u202F' ]\\d+)*(?![\\w])");

    /** What the numbers of some cells agree on; unsure where they say nothing or contradict each other. */
    static DecimalMark of(Collection<String> cells) {
        Set<DecimalMark> said = EnumSet.noneOf(DecimalMark.class);
        for (String cell : cells) {
            Matcher numbers = NUMBER.matcher(cell);
            while (numbers.find()) {
                said.add(of(numbers.group()));
            }
        }
        said.remove(UNSURE);
        return said.size() == 1 ? said.iterator().next() : UNSURE;
    }

    private static DecimalMark of(String number) {
        int point = number.lastIndexOf('.');
        int comma = number.lastIndexOf(',');
        if (point >= 0 && comma >= 0) {
            return point > comma ? POINT : COMMA;
        }
        if (point < 0 && comma < 0) {
            return UNSURE;
        }
        char sign = point >= 0 ? '.' : ',';
        DecimalMark it = point >= 0 ? POINT : COMMA;
        DecimalMark other = point >= 0 ? COMMA : POINT;
        if (number.indexOf(sign) != number.lastIndexOf(sign)) {
            return other;
        }
        String whole = number.substring(0, number.indexOf(sign));
        String rest = number.substring(number.indexOf(sign) + 1);
        boolean couldGroup = rest.length() == 3 && whole.length() <= 3 && !whole.startsWith("0");
        return couldGroup ? UNSURE : it;
    }

    /** A number without its grouping and with a point; empty when it could be read in two ways, or is no number. */
    Optional<String> read(String typed) {
        String number = typed.strip().replace('−', '-').replaceAll("(?<=\\d)[\\u00A0\\u202F' ](?=\\d{3}(?!\\d))", "");
        DecimalMark own = of(number.replaceFirst("^[-+]", ""));
        DecimalMark mark = own == UNSURE ? this : own;
        boolean hasSign = number.indexOf('.') >= 0 || number.indexOf(',') >= 0;
        if (hasSign && mark == UNSURE) {
            return Optional.empty();
        }
        String plain = mark == COMMA ? number.replace(".", "").replace(',', '.') : number.replace(",", "");
        return plain.matches("[-+]?(\\d+(\\.\\d+)?|\\.\\d+)(e[-+]?\\d+)?") ? Optional.of(plain) : Optional.empty();
    }

    /** The two ways in which a number can be read, as a sentence. */
    static String asked(String typed) {
        return "'" + typed.strip() + "' can be read as " + POINT.read(typed).orElse("?") + " or as "
                + COMMA.read(typed).orElse("?") + "; say which sign is the decimal mark";
    }

    /** Whether some number in these cells can be read in two ways. */
    boolean isAskedBy(Collection<String> cells) {
        return cells.stream().anyMatch(c -> NUMBER.matcher(c).results().anyMatch(n -> isAmbiguous(n.group())));
    }

    boolean isAmbiguous(String typed) {
        return read(typed).isEmpty()
                && POINT.read(typed).isPresent()
                && COMMA.read(typed).isPresent();
    }
}
