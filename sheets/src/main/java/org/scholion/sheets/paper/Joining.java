package org.scholion.sheets.paper;

import com.ibm.icu.text.ArabicShaping;
import com.ibm.icu.text.ArabicShapingException;
import com.ibm.icu.text.Bidi;
import com.openhtmltopdf.bidi.BidiReorderer;

/** Letters of a run that goes from right to left, in the order in which they are drawn, and joined where they join. */
final class Joining implements BidiReorderer {
    private final ArabicShaping shaping = new ArabicShaping(
            ArabicShaping.LETTERS_SHAPE | ArabicShaping.TEXT_DIRECTION_LOGICAL | ArabicShaping.LENGTH_GROW_SHRINK);
    private final ArabicShaping plain = new ArabicShaping(
            ArabicShaping.LETTERS_UNSHAPE | ArabicShaping.TEXT_DIRECTION_LOGICAL | ArabicShaping.LENGTH_GROW_SHRINK);

    /** A line as it is seen from left to right, for what is not laid out as a paragraph, such as the foot of a page. */
    static String asSeen(String line) {
        return Bidi.requiresBidi(line.toCharArray(), 0, line.length())
                ? new Bidi(new Joining().shapeText(line), Bidi.LEVEL_DEFAULT_LTR).writeReordered(Bidi.DO_MIRRORING)
                : line;
    }

    @Override
    public String reorderRTLTextToLTR(String text) {
        return Bidi.writeReverse(text, Bidi.OUTPUT_REVERSE | Bidi.DO_MIRRORING);
    }

    @Override
    public String shapeText(String text) {
        return with(shaping, text);
    }

    @Override
    public String deshapeText(String text) {
        return with(plain, text);
    }

    private static String with(ArabicShaping shaping, String text) {
        try {
            return shaping.shape(text);
        } catch (ArabicShapingException e) {
            // What cannot be joined is drawn letter by letter.
            return text;
        }
    }

    @Override
    public boolean isLiveImplementation() {
        return true;
    }
}
