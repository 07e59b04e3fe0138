package org.scholion.sheets.paper;

import com.ibm.icu.text.Bidi;
import com.ibm.icu.text.BidiRun;
import com.openhtmltopdf.bidi.BidiSplitter;
import com.openhtmltopdf.bidi.BidiTextRun;

/** A paragraph in runs of one direction each, in the order in which they are seen. */
final class Directions implements BidiSplitter {
    private final Bidi bidi = new Bidi();

    @Override
    public void setParagraph(String paragraph, byte base) {
        bidi.setPara(paragraph, base == RTL ? Bidi.RTL : base == LTR ? Bidi.LTR : Bidi.LEVEL_DEFAULT_LTR, null);
    }

    @Override
    public int countTextRuns() {
        return bidi.countRuns();
    }

    @Override
    public BidiTextRun getVisualRun(int run) {
        BidiRun found = bidi.getVisualRun(run);
        return new BidiTextRun(found.getStart(), found.getLength(), found.isOddRun() ? RTL : LTR);
    }

    @Override
    public byte getBaseDirection(String paragraph) {
        byte direction = Bidi.getBaseDirection(paragraph);
        return direction == Bidi.RTL ? RTL : direction == Bidi.LTR ? LTR : NEUTRAL;
    }
}
