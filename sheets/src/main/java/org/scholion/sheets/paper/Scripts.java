package org.scholion.sheets.paper;

import com.openhtmltopdf.outputdevice.helper.BaseRendererBuilder.FontStyle;
import com.openhtmltopdf.outputdevice.helper.BaseRendererBuilder.TextDirection;
import com.openhtmltopdf.pdfboxout.PdfRendererBuilder;
import java.io.InputStream;
import java.util.Map;
import java.util.Objects;

/** Scripts beside the Latin one that people teach in: their letters, their direction, and how their letters join. */
final class Scripts {
    private static final Map<String, String> FONTS = Map.of(
            "Hebrew", "NotoSerifHebrew-Regular",
            "Arabic", "NotoNaskhArabic-Regular",
            "Devanagari", "NotoSerifDevanagari-Regular",
            "Thai", "NotoSansThai-Regular",
            "Hangul", "NanumSquareR",
            "Ideographs", "DroidSansFallbackFull");

    private Scripts() {}

    static void add(PdfRendererBuilder builder) {
        FONTS.forEach((family, file) -> builder.useFont(() -> font(file), family, 400, FontStyle.NORMAL, true));
        builder.useUnicodeBidiSplitter(Directions::new);
        builder.useUnicodeBidiReorderer(new Joining());
        builder.defaultTextDirection(TextDirection.LTR);
    }

    private static InputStream font(String name) {
        return Objects.requireNonNull(Scripts.class.getResourceAsStream("/fonts/scripts/" + name + ".ttf"), name);
    }
}
