package org.scholion.formats.questions;

import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.scholion.formats.json.Fault;
import org.scholion.formats.rich.RichText;

/**
 * A cell's words, which other programs write with HTML and LaTeX in them.
 *
 * @param plain what it says without any formatting
 * @param html the same as formatted text; empty where there is no formatting in it
 */
record CellText(String plain, String html) {
    private static final Pattern TAG = Pattern.compile(
            "(?i)</?(p|br|b|i|u|s|em|strong|sub|sup|span|div|ul|ol|li|table|tr|td|th|h[1-6]|code|pre|img|a|font)\\b[^>]*>");
    private static final Pattern ENTITY = Pattern.compile("&(#\\d{2,5}|#x[0-9a-fA-F]{2,5}|[a-zA-Z]{2,8}\\d?);");

    /** Between two dollar signs stands mathematics only where there is a sign of it: two prices are none. */
    private static final Pattern LATEX = Pattern.compile(
            "\\\\\\((.+?)\\\\\\)|\\\\\\[(.+?)\\\\\\]|\\$\\$(.+?)\\$\\$"
                    + "|\\$(?!\\s)([^$\\n]*?[\\\\^_={}][^$\\n]*?|[A-Za-z])(?<!\\s)\\$(?!\\d)",
            Pattern.DOTALL);

    /** Reads a cell; what formatted text cannot hold is told, and left out. */
    static CellText of(String cell, String place, List<Fault> faults) {
        boolean marked = TAG.matcher(cell).find();
        boolean maths = LATEX.matcher(cell).find();
        boolean entities = ENTITY.matcher(cell).find();
        if (!marked && !maths && !entities) {
            return new CellText(cell, "");
        }
        if (!marked && !maths) {
            return new CellText(RichText.plain(RichText.escaped(cell).replace("&amp;", "&")), "");
        }
        String html = marked ? renamed(cell) : "<p>" + RichText.escaped(cell).replace("\n", "<br>") + "</p>";
        String formatted = RichText.clean(formulas(html));
        if (cell.toLowerCase(java.util.Locale.ROOT).contains("<img")) {
            faults.add(new Fault(place, "there is a picture in it, which a table cannot bring: put it in by hand"));
        }
        return new CellText(RichText.plain(formatted), formatted);
    }

    /** The words alone, for what takes no formatting; formulas as they are typed. */
    static String plain(String cell) {
        return of(cell, "", new java.util.ArrayList<>()).plain();
    }

    private static String renamed(String html) {
        return html.replaceAll("(?i)<(/?)b(\\s[^>]*)?>", "<$1strong>")
                .replaceAll("(?i)<(/?)i(\\s[^>]*)?>", "<$1em>")
                .replaceAll("(?i)<(/?)div(\\s[^>]*)?>", "<$1p>")
                .replaceAll("(?i)<(/?)h[1456](\\s[^>]*)?>", "<$1h3>");
    }

    private static String formulas(String html) {
        return LATEX.matcher(html)
                .replaceAll(m -> Matcher.quoteReplacement("<span data-formula=\"" + latex(m) + "\"></span>"));
    }

    private static String latex(java.util.regex.MatchResult found) {
        for (int group = 1; group <= found.groupCount(); group++) {
            String inside = found.group(group);
            if (inside != null) {
                return inside.strip().replace("\"", "&quot;");
            }
        }
        return "";
    }
}
