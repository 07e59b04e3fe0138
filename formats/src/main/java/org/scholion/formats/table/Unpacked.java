package org.scholion.formats.table;

import java.io.IOException;
import java.io.InputStream;
import java.util.Enumeration;
import org.apache.commons.compress.archivers.zip.ZipArchiveEntry;
import org.apache.commons.compress.archivers.zip.ZipFile;
import org.apache.commons.compress.utils.SeekableInMemoryByteChannel;

/** What a packed workbook is when it is unpacked, found out without keeping any of it. */
final class Unpacked {
    private static final long MOST_BYTES = 120_000_000;
    private static final int MOST_ENTRIES = 2_000;

    /** A text between two tags: as long as a cell may be, in the longest way to write each of its characters. */
    private static final int LONGEST_TEXT = 300_000;

    private long bytes;
    private int run;

    private Unpacked() {}

    /** Looks at the entries that the reader of workbooks sees, each as often as it is named. */
    static void refuseLarge(byte[] packed) {
        Unpacked seen = new Unpacked();
        try (ZipFile zip = ZipFile.builder()
                .setSeekableByteChannel(new SeekableInMemoryByteChannel(packed))
                .get()) {
            int entries = 0;
            for (Enumeration<ZipArchiveEntry> all = zip.getEntries(); all.hasMoreElements(); ) {
                ZipArchiveEntry entry = all.nextElement();
                entries++;
                if (entries > MOST_ENTRIES) {
                    throw tooLarge();
                }
                try (InputStream in = zip.getInputStream(entry)) {
                    seen.count(in, entry.getName().endsWith(".xml"));
                }
            }
        } catch (IOException | IllegalArgumentException e) {
            throw TableLimits.refused(
                    "", "this is no workbook that can be read; save it as .xlsx or as CSV and bring it in again");
        }
    }

    private void count(InputStream in, boolean isXml) throws IOException {
        byte[] part = new byte[1 << 16];
        run = 0;
        for (int n = in.read(part); n >= 0; n = in.read(part)) {
            bytes += n;
            if (bytes > MOST_BYTES || Thread.interrupted()) {
                throw tooLarge();
            }
            if (isXml) {
                refuseLongText(part, n);
            }
        }
    }

    private static RuntimeException tooLarge() {
        return TableLimits.refused("", "this workbook is more than 120 MB when it is unpacked; split it into several");
    }

    private void refuseLongText(byte[] part, int length) {
        for (int i = 0; i < length; i++) {
            run = part[i] == '<' ? 0 : run + 1;
            if (run > LONGEST_TEXT) {
                throw TableLimits.refused("", "a cell of this workbook holds more than 32,767 characters; shorten it");
            }
        }
    }
}
