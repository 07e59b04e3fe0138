package org.scholion.sheets.paper;

import java.util.Map;

/**
 * A paper before it is printed.
 *
 * @param xhtml the pages; a picture is named as {@code picture:} with its hash
 * @param pictures the bytes of each picture that is named, once
 */
public record PaperDocument(String xhtml, Map<String, byte[]> pictures) {
    /** The families in which every text is set, one for each script. */
    public static final String FONTS = "Paper, Hebrew, Arabic, Devanagari, Thai, Ideographs, Hangul";

    static final String PICTURE = "picture";

    public PaperDocument {
        pictures = Map.copyOf(pictures);
    }
}
