package org.scholion.sheets.paper;

import org.scholion.formats.rich.RichText;

/** Pieces of XHTML. */
final class Markup {
    private static final String FONTS = PaperDocument.FONTS;

    static final String FONT = "font-family: " + FONTS + ";";
    static final String STYLE = """
            @page { size: A4; margin: 20mm 18mm;
              @bottom-right { content: counter(page) ' / ' counter(pages); font-family: FONTS; font-size: 9pt; }
              @bottom-left { font-family: FONTS; font-size: 9pt; } }
            body { font-family: FONTS; font-size: 11pt; line-height: 1.35; word-wrap: break-word; }
            h1 { font-size: 18pt; margin: 0 0 4mm 0; }
            h2 { font-size: 13pt; margin: 6mm 0 2mm 0; border-bottom: 0.5pt solid black; }
            p { margin: 0 0 1.5mm 0; }
            .name { margin-bottom: 6mm; }
            .line { display: inline-block; width: 75mm; border-bottom: 0.5pt solid black; }
            .short { display: inline-block; width: 30mm; border-bottom: 0.5pt solid black; }
            .item { page-break-inside: avoid; margin: 0 0 5mm 0; }
            .number { font-weight: bold; float: left; width: 8mm; }
            .asked { margin-left: 8mm; }
            .points { float: right; font-size: 9.5pt; margin-left: 4mm; }
            .options { margin: 1mm 0 0 0; }
            .box { display: inline-block; width: 3.4mm; height: 3.4mm; border: 0.7pt solid black; margin-right: 2mm; }
            .full { background: black; }
            .write { border-bottom: 0.4pt solid #777777; height: 8mm; }
            .key { border-left: 1.5pt solid black; padding-left: 3mm; margin-top: 1.5mm; }
            .passage { border: 0.5pt solid #777777; padding: 3mm; margin-bottom: 5mm; }
            .remark { font-size: 9.5pt; font-style: italic; }
            .blank { display: inline-block; min-width: 28mm; border-bottom: 0.6pt solid black; }
            table { border-collapse: collapse; } td, th { padding: 1mm 4mm 1mm 0; vertical-align: top; }
            img { max-width: 120mm; max-height: 90mm; }
            """.replace("FONTS", FONTS);

    private Markup() {}

    /** A text inside quotes of a style sheet inside XHTML. */
    static String styled(String text) {
        return RichText.escaped(text.replace("\\", "\\\\").replace("'", "\\'").replace("\n", " "));
    }

    /** The attribute that says in which direction a text goes: that of its first letter; none from left to right. */
    static String direction(String text) {
        for (int i = 0; i < text.length(); i += Character.charCount(text.codePointAt(i))) {
            switch (Character.getDirectionality(text.codePointAt(i))) {
                case Character.DIRECTIONALITY_RIGHT_TO_LEFT, Character.DIRECTIONALITY_RIGHT_TO_LEFT_ARABIC -> {
                    return " dir=\"rtl\"";
                }
                case Character.DIRECTIONALITY_LEFT_TO_RIGHT -> {
                    return "";
                }
                default -> {
                    // A sign says nothing of it.
                }
            }
        }
        return "";
    }

    /** A text with its lines. */
    static String lines(String text) {
        return RichText.escaped(text).replace("\n", "<br/>");
    }
}
