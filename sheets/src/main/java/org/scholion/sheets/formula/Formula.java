package org.scholion.sheets.formula;

import java.awt.Shape;
import java.awt.geom.AffineTransform;
import java.util.Optional;

/**
 * A formula that is set.
 *
 * @param outlines what is filled, with the upper left corner at 0
 * @param width in em of the text around it
 * @param height in em
 * @param descent how far it goes below the line of the text, in em
 */
public record Formula(Shape outlines, double width, double height, double descent) {
    /** What is wider or higher is made smaller as a whole: a page has its width. */
    private static final double WIDEST = 38;

    private static final double HIGHEST = 50;

    /** Empty for what is not LaTeX that is drawn here; it is shown as it is typed then. */
    public static Optional<Formula> of(String latex) {
        try {
            return FormulaReader.read(latex)
                    .map(Setter::set)
                    .filter(b -> b.width() > 0)
                    .map(Formula::of);
        } catch (FormulaReader.Unreadable e) {
            return Optional.empty();
        }
    }

    private static Formula of(Box box) {
        double fit = Math.min(1, Math.min(WIDEST / box.width(), HIGHEST / Math.max(0.01, box.height())));
        Box fitted = box.scaled(fit);
        AffineTransform down = AffineTransform.getTranslateInstance(0, fitted.ascent());
        return new Formula(
                down.createTransformedShape(fitted.path()), fitted.width(), fitted.height(), fitted.descent());
    }
}
