package org.scholion.sheets.paper;

import com.openhtmltopdf.outputdevice.helper.BaseRendererBuilder.FontStyle;
import com.openhtmltopdf.pdfboxout.PdfRendererBuilder;
import com.openhtmltopdf.util.XRLog;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.Objects;

/** Sets XHTML as PDF with our own fonts; formulas are drawn as vectors where {@code <object class="formula">} stands. */
public final class PaperPdf {
    static {
        // It tells of every page that it sets; what goes wrong is thrown all the same.
        XRLog.setLoggingEnabled(false);
    }

    private PaperPdf() {}

    public static byte[] of(String xhtml) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        PdfRendererBuilder builder = new PdfRendererBuilder();
        builder.useFastMode();
        // What is not in the document itself does not exist for it.
        builder.useUriResolver((base, uri) -> uri.startsWith("data:") ? uri : null);
        builder.useFont(() -> font("SourceSerif4_400Regular"), "Paper", 400, FontStyle.NORMAL, true);
        builder.useFont(() -> font("SourceSerif4_400Regular_Italic"), "Paper", 400, FontStyle.ITALIC, true);
        builder.useFont(() -> font("SourceSerif4_600SemiBold"), "Paper", 700, FontStyle.NORMAL, true);
        builder.useObjectDrawerFactory(new Formulas());
        builder.withHtmlContent(xhtml, null);
        builder.toStream(out);
        try {
            builder.run();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toByteArray();
    }

    private static InputStream font(String name) {
        return Objects.requireNonNull(PaperPdf.class.getResourceAsStream("/fonts/" + name + ".ttf"), name);
    }
}
