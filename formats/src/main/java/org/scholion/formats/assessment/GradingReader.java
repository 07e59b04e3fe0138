package org.scholion.formats.assessment;

import java.util.List;
import org.scholion.core.number.Fraction;
import org.scholion.core.total.Curve;
import org.scholion.core.total.Grading;
import org.scholion.formats.json.Cursor;

/** Reads the grading rules of an assessment file. */
final class GradingReader {
    private GradingReader() {}

    static Grading read(Cursor c) {
        int digits = c.whole("percentDigits", 1);
        boolean negative = c.flag("negativeTotals", false);
        Grading.Late late = c.field("late").flatMap(l -> l.build(() -> late(l))).orElse(null);
        List<Curve> curve = AssessmentReader.all(c.list("curve"), GradingReader::step);
        Grading.Attempts attempts = c.oneOf("attempts", Grading.Attempts.class, Grading.Attempts.BEST);
        List<Grading.Band> bands = AssessmentReader.all(c.list("bands"), GradingReader::band);
        Fraction pass = c.fractionOrNull("pass");
        c.refuseUnknown();
        return new Grading(digits, negative, late, curve, attempts, bands, pass);
    }

    private static Grading.Late late(Cursor c) {
        Grading.Late late = new Grading.Late(
                c.field("perDay").map(GradingReader::share).orElse(Fraction.ZERO),
                c.field("cap").map(GradingReader::share).orElse(Fraction.ONE));
        c.refuseUnknown();
        return late;
    }

    /** A share as a percent, {@code "10%"}, or as a plain number, {@code "0.1"}. */
    private static Fraction share(Cursor c) {
        String written = c.node().isString() ? c.node().stringValue() : "";
        if (!written.endsWith("%")) {
            return c.asFraction();
        }
        return Fraction.parse(written.substring(0, written.length() - 1).strip())
                .map(f -> f.over(Fraction.HUNDRED))
                .orElseGet(() -> {
                    c.fault("a percent is expected here, such as \"10%\"");
                    return Fraction.ONE;
                });
    }

    private static Grading.Band band(Cursor c) {
        Grading.Band band = new Grading.Band(c.fraction("from"), c.text("label"), c.textOrNull("message"));
        c.refuseUnknown();
        return band;
    }

    private static Curve step(Cursor c) {
        Curve step = c.field("add")
                .<Curve>map(a -> new Curve.Add(a.asFraction()))
                .or(() -> c.field("scaleTo").map(s -> new Curve.ScaleTo(s.asFraction())))
                .or(() -> c.field("root").map(r -> {
                    if (!r.asFlag()) {
                        r.fault("root is either true or not there");
                    }
                    return new Curve.Root();
                }))
                .or(() -> c.field("line").map(GradingReader::line))
                .orElseGet(() -> {
                    c.fault("a step is one of add, scaleTo, root, line");
                    return new Curve.Root();
                });
        c.refuseUnknown();
        return step;
    }

    private static Curve line(Cursor c) {
        List<List<Cursor>> points = c.elements().stream().map(Cursor::elements).toList();
        if (points.size() != 2 || points.stream().anyMatch(p -> p.size() != 2)) {
            c.fault("a line is given by two points, [[x1, y1], [x2, y2]]");
            return new Curve.Root();
        }
        return new Curve.Line(
                points.get(0).get(0).asFraction(),
                points.get(0).get(1).asFraction(),
                points.get(1).get(0).asFraction(),
                points.get(1).get(1).asFraction());
    }
}
