package org.scholion.sheets.paper;

import com.openhtmltopdf.extend.FSTextBreaker;
import com.openhtmltopdf.layout.TextUtil;
import com.openhtmltopdf.layout.UrlAwareLineBreakIterator;
import java.text.BreakIterator;
import java.util.Locale;

/** Where lines may end. It is asked for each word, and stops a setting that is interrupted. */
final class Breaks implements FSTextBreaker {
    private final FSTextBreaker places;

    private Breaks(FSTextBreaker places) {
        this.places = places;
    }

    static Breaks ofLines() {
        return new Breaks(new UrlAwareLineBreakIterator(BreakIterator.getLineInstance(Locale.ENGLISH)));
    }

    /** Within words that are longer than a line. */
    static Breaks ofCharacters() {
        return new Breaks(new TextUtil.DefaultCharacterBreaker(BreakIterator.getCharacterInstance(Locale.ENGLISH)));
    }

    @Override
    public int next() {
        if (Thread.currentThread().isInterrupted()) {
            throw PaperPdf.tooMuch();
        }
        return places.next();
    }

    @Override
    public void setText(String text) {
        places.setText(text);
    }
}
