package org.scholion.sheets.paper;

import java.util.Map;

/**
 * A paper before it is printed.
 *
 * @param xhtml the pages; a picture is named as {@code picture:} with its hash
 * @param pictures the bytes of each picture that is named, once
 */
public record PaperDocument(String xhtml, Map<String, byte[]> pictures) {
    static final String PICTURE = "picture";

    public PaperDocument {
        pictures = Map.copyOf(pictures);
    }
}
