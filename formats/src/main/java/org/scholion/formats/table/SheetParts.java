package org.scholion.formats.table;

import java.io.IOException;
import java.io.InputStream;
import java.util.HashMap;
import java.util.Map;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;
import org.apache.commons.compress.archivers.zip.ZipArchiveEntry;
import org.apache.commons.compress.archivers.zip.ZipFile;
import org.jspecify.annotations.Nullable;

/** Hidden columns and merged cells of a sheet in an Office Open XML workbook (ISO/IEC 29500), which stand beside its rows. */
final class SheetParts {
    /** Merged cells stand behind all others; where these are so many, no hand has merged any. */
    private static final int MOST_ELEMENTS = 400_000;

    private final ZipFile zip;
    private final SheetNotes notes;

    private SheetParts(ZipFile zip, SheetNotes notes) {
        this.zip = zip;
        this.notes = notes;
    }

    /** Notes what one sheet hides and merges; where the workbook is built in another way, nothing. */
    static void note(byte[] bytes, String sheet, SheetNotes notes) {
        // Some programs write sizes that only the list at the end of the file has right.
        try (ZipFile zip = ZipFile.builder().setByteArray(bytes).get()) {
            new SheetParts(zip, notes).sheet(sheet);
        } catch (IOException | XMLStreamException e) {
            // The cells are read by another reader, which says what cannot be read.
        }
    }

    private interface Element {
        void at(XMLStreamReader xml);
    }

    private void sheet(String name) throws IOException, XMLStreamException {
        Map<String, String> targets = new HashMap<>();
        each("xl/_rels/workbook.xml.rels", xml -> {
            if (xml.getLocalName().equals("Relationship")) {
                targets.put(String.valueOf(Xml.attribute(xml, "Id")), String.valueOf(Xml.attribute(xml, "Target")));
            }
        });
        String[] part = new String[1];
        each("xl/workbook.xml", xml -> {
            if (xml.getLocalName().equals("sheet") && name.equals(Xml.attribute(xml, "name"))) {
                part[0] = targets.get(String.valueOf(Xml.attribute(xml, "id")));
            }
        });
        if (part[0] != null) {
            each(part[0].startsWith("/") ? part[0].substring(1) : "xl/" + part[0], this::noted);
        }
    }

    private void noted(XMLStreamReader xml) {
        if (xml.getLocalName().equals("col") && isTrue(Xml.attribute(xml, "hidden"))) {
            int last = Math.min(number(Xml.attribute(xml, "max")), TableLimits.MOST_COLUMNS);
            for (int column = number(Xml.attribute(xml, "min")); column <= last; column++) {
                notes.hidesColumn(column - 1);
            }
        } else if (xml.getLocalName().equals("mergeCell")) {
            notes.merges(String.valueOf(Xml.attribute(xml, "ref")));
        }
    }

    private static boolean isTrue(@Nullable String said) {
        return "1".equals(said) || "true".equals(said);
    }

    private static int number(@Nullable String written) {
        return written != null && written.matches("\\d{1,6}") ? Integer.parseInt(written) : Integer.MAX_VALUE;
    }

    private void each(String part, Element element) throws IOException, XMLStreamException {
        ZipArchiveEntry entry = zip.getEntry(part);
        if (entry != null) {
            elements(zip.getInputStream(entry), element);
        }
    }

    private static void elements(InputStream in, Element element) throws XMLStreamException {
        XMLStreamReader xml = Xml.reader(in);
        int seen = 0;
        while (xml.hasNext() && seen < MOST_ELEMENTS) {
            if (xml.next() == XMLStreamConstants.START_ELEMENT) {
                element.at(xml);
                seen++;
            }
        }
    }
}
