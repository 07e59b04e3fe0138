package org.scholion.sheets.paper;

import com.openhtmltopdf.extend.FSStream;
import com.openhtmltopdf.outputdevice.helper.BaseRendererBuilder.FontStyle;
import com.openhtmltopdf.pdfboxout.PdfRendererBuilder;
import com.openhtmltopdf.util.XRLog;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.Reader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.scholion.formats.json.Fault;
import org.scholion.formats.json.Faults;

/**
 * Sets XHTML as PDF with our own fonts; formulas are drawn as outlines. It sees the document and its pictures, and
 * neither files nor addresses. A setting that is interrupted stops at the next page.
 */
public final class PaperPdf {
    /** In characters; about two hundred pages of text. */
    private static final int LONGEST = 1_000_000;

    private static final int MOST_PAGES = 250;
    private static final long MOST_PICTURES = 60_000_000;

    static {
        // It tells of every page that it sets; what goes wrong is thrown all the same.
        XRLog.setLoggingEnabled(false);
    }

    private PaperPdf() {}

    /**
     * The paper as PDF.
     *
     * @throws Faults when it is more than is printed at once
     */
    public static byte[] of(PaperDocument paper) {
        long pictures =
                paper.pictures().values().stream().mapToLong(b -> b.length).sum();
        if (paper.xhtml().length() > LONGEST || pictures > MOST_PICTURES) {
            throw tooMuch();
        }
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        PdfRendererBuilder builder = new PdfRendererBuilder();
        builder.useFastMode();
        // What is not in the document itself does not exist for it.
        builder.useUriResolver((base, uri) -> uri.startsWith(PaperDocument.PICTURE + ":") ? uri : null);
        builder.useProtocolsStreamImplementation(uri -> picture(paper.pictures(), uri), PaperDocument.PICTURE);
        builder.useFont(() -> font("SourceSerif4_400Regular"), "Paper", 400, FontStyle.NORMAL, true);
        builder.useFont(() -> font("SourceSerif4_400Regular_Italic"), "Paper", 400, FontStyle.ITALIC, true);
        builder.useFont(() -> font("SourceSerif4_600SemiBold"), "Paper", 700, FontStyle.NORMAL, true);
        Scripts.add(builder);
        builder.useObjectDrawerFactory(new Formulas());
        builder.useUnicodeLineBreaker(Breaks.ofLines());
        builder.useUnicodeCharacterBreaker(Breaks.ofCharacters());
        builder.usePageSupplier((document, width, height, number, shadow) -> page(document, width, height));
        builder.withHtmlContent(paper.xhtml(), null);
        builder.toStream(out);
        try {
            builder.run();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (StackOverflowError e) {
            // Lists within lists within lists.
            throw tooMuch();
        }
        return out.toByteArray();
    }

    private static PDPage page(PDDocument document, float width, float height) {
        if (document.getNumberOfPages() >= MOST_PAGES || Thread.currentThread().isInterrupted()) {
            throw tooMuch();
        }
        PDPage page = new PDPage(new PDRectangle(width, height));
        document.addPage(page);
        return page;
    }

    static Faults tooMuch() {
        return new Faults(List.of(new Fault(
                "",
                "this is more than is printed at once: at most " + MOST_PAGES + " pages; print it in several parts")));
    }

    private static FSStream picture(Map<String, byte[]> pictures, String uri) {
        byte[] bytes = pictures.getOrDefault(uri.substring(PaperDocument.PICTURE.length() + 1), new byte[0]);
        return new FSStream() {
            @Override
            public InputStream getStream() {
                return new ByteArrayInputStream(bytes);
            }

            @Override
            public Reader getReader() {
                return new InputStreamReader(getStream(), StandardCharsets.UTF_8);
            }
        };
    }

    private static InputStream font(String name) {
        return Objects.requireNonNull(PaperPdf.class.getResourceAsStream("/fonts/" + name + ".ttf"), name);
    }
}
