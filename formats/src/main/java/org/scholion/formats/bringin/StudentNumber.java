package org.scholion.formats.bringin;

import java.util.regex.Pattern;

/** A student's number as a spreadsheet may have spoiled it. */
public final class StudentNumber {
    private static final Pattern POINT_ZERO = Pattern.compile("(\\d+)[.,]0+");
    private static final Pattern POWER = Pattern.compile("\\d([.,]\\d+)?[eE]\\+?\\d+");
    private static final Pattern GROUPED = Pattern.compile("\\d{1,3}([ \\u00A0\\u202F]\\d{3})+");

    private StudentNumber() {}

    /** Without what a spreadsheet has put in: {@code 7301.0}, {@code '7301}, {@code 40 200}. */
    static String repaired(String cell) {
        String number = cell.strip().replaceFirst("^['’]", "");
        var zeros = POINT_ZERO.matcher(number);
        if (zeros.matches()) {
            return zeros.group(1);
        }
        return GROUPED.matcher(number).matches() ? number.replaceAll("\\D", "") : number;
    }

    /** Whether digits were lost for good: {@code 8.1E+05}. */
    static boolean isLost(String number) {
        return POWER.matcher(number).matches();
    }

    /** Two numbers that differ by zeros at their beginning may be one. */
    public static String withoutZeros(String number) {
        String bare = number.replaceFirst("^0+(?=.)", "");
        return bare.isEmpty() ? number : bare;
    }
}
