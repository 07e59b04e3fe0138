package org.scholion.sheets.report;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.scholion.formats.rich.RichText;
import org.scholion.sheets.paper.PaperDocument;

/** Lays reports out as XHTML of our own, one after the other, each on a page of its own. */
public final class ReportPage {
    private static final String STYLE = """
            @page { size: A4; margin: 16mm 16mm 18mm 16mm;
              @bottom-right { content: counter(page) ' / ' counter(pages); font-family: FONTS; font-size: 8.5pt; }
              @bottom-left { font-family: FONTS; font-size: 8.5pt; } }
            body { font-family: FONTS; font-size: 10pt; line-height: 1.3; word-wrap: break-word; color: #1d2433; }
            .report { page-break-after: always; } .last { page-break-after: auto; }
            h1 { font-size: 19pt; margin: 0; } h2 { font-size: 10.5pt; margin: 4mm 0 0.5mm 0; color: #5a6072; page-break-after: avoid; }
            p { margin: 0 0 1mm 0; } .below { color: #5a6072; margin-bottom: 2mm; }
            .aside { float: right; text-align: right; font-size: 9pt; color: #5a6072; margin-left: 6mm; }
            .rule { border-bottom: 1.2pt solid #1d2433; margin-bottom: 3mm; clear: both; }
            table { border-collapse: collapse; width: 100%; table-layout: fixed; }
            th { font-weight: normal; font-size: 8.5pt; color: #5a6072; text-align: left; }
            td, th { padding: 0.6mm 2mm 0.6mm 0; border-bottom: 0.4pt solid #d8d5c8; vertical-align: top; }
            .right { text-align: right; } .strong { font-weight: bold; }
            tr { page-break-inside: avoid; }
            .track { position: relative; height: 3mm; width: 100%; }
            .base { position: absolute; top: 1.4mm; left: 0; width: 100%; border-top: 0.7pt solid #d8d5c8; }
            .range { position: absolute; top: 1.1mm; border-top: 2pt solid #1f6f63; }
            .point { position: absolute; top: 0.6mm; width: 1.8mm; height: 1.8mm; background: #1f6f63; }
            .bar { background: #1d2433; height: 2.6mm; }
            .foot { margin-top: 5mm; font-size: 8.5pt; color: #5a6072; }
            """.replace("FONTS", PaperDocument.FONTS);

    private ReportPage() {}

    public static PaperDocument of(String title, List<Report> reports) {
        StringBuilder out = new StringBuilder("<html xmlns=\"http://www.w3.org/1999/xhtml\" lang=\"en\"><head><title>")
                .append(RichText.escaped(title))
                .append("</title><style>")
                .append(STYLE)
                .append("</style></head><body>");
        for (int i = 0; i < reports.size(); i++) {
            out.append("<div class=\"report")
                    .append(i == reports.size() - 1 ? " last" : "")
                    .append("\">");
            one(reports.get(i), out);
            out.append("</div>");
        }
        return new PaperDocument(out.append("</body></html>").toString(), Map.of());
    }

    private static void one(Report report, StringBuilder out) {
        out.append("<div class=\"aside\">");
        report.aside()
                .forEach(a -> out.append("<div>").append(RichText.escaped(a)).append("</div>"));
        out.append("</div><h1>").append(RichText.escaped(report.title())).append("</h1>");
        out.append("<div class=\"below\">")
                .append(RichText.escaped(report.below()))
                .append("</div><div class=\"rule\"></div>");
        report.blocks().forEach(b -> block(b, out));
        if (!report.foot().isEmpty()) {
            out.append("<p class=\"foot\">")
                    .append(RichText.escaped(report.foot()))
                    .append("</p>");
        }
    }

    private static void block(Report.Block block, StringBuilder out) {
        if (block instanceof Report.Heading heading) {
            out.append("<h2>").append(RichText.escaped(heading.text())).append("</h2>");
        } else if (block instanceof Report.Words words) {
            out.append("<p>").append(RichText.escaped(words.text())).append("</p>");
        } else if (block instanceof Report.Rows rows) {
            rows(rows, out);
        }
    }

    private static void rows(Report.Rows rows, StringBuilder out) {
        out.append("<table><thead><tr>");
        for (Report.Column c : rows.columns()) {
            out.append("<th style=\"width: ")
                    .append(c.percent())
                    .append("%\"")
                    .append(c.right() ? " class=\"right\">" : ">")
                    .append(RichText.escaped(c.heading()))
                    .append("</th>");
        }
        out.append("</tr></thead><tbody>");
        for (List<Report.Entry> row : rows.rows()) {
            out.append("<tr>");
            for (int i = 0; i < row.size(); i++) {
                out.append(rows.columns().get(i).right() ? "<td class=\"right\">" : "<td>");
                entry(row.get(i), out);
                out.append("</td>");
            }
            out.append("</tr>");
        }
        out.append("</tbody></table>");
    }

    private static void entry(Report.Entry entry, StringBuilder out) {
        if (entry instanceof Report.Text text) {
            String words = RichText.escaped(text.text());
            out.append(text.strong() ? "<span class=\"strong\">" + words + "</span>" : words);
        } else if (entry instanceof Report.Share s) {
            out.append("<div class=\"track\"><div class=\"base\"></div><div class=\"range\" style=\"left: ")
                    .append(percent(s.low()))
                    .append("; width: ")
                    .append(percent(s.high() - s.low()))
                    .append("\"></div><div class=\"point\" style=\"left: ")
                    .append(percent(Math.min(0.97, s.place())))
                    .append("\"></div></div>");
        } else if (entry instanceof Report.Bar bar && bar.part() > 0) {
            out.append("<div class=\"bar\" style=\"width: ")
                    .append(percent(bar.part()))
                    .append("\"></div>");
        }
    }

    private static String percent(double share) {
        return String.format(Locale.ROOT, "%.1f%%", 100 * Math.max(0, Math.min(1, share)));
    }
}
