package org.scholion.sheets.formula;

import java.awt.geom.AffineTransform;
import java.awt.geom.Path2D;
import java.awt.geom.Rectangle2D;

/**
 * Something that is set: its outlines with the baseline at 0 and y downwards, in em.
 *
 * @param ascent how far it goes above the baseline
 * @param descent how far below
 */
record Box(Path2D path, double width, double ascent, double descent) {
    static Box empty(double width) {
        return new Box(new Path2D.Double(), width, 0, 0);
    }

    static Box rule(double width, double thickness, double above) {
        Path2D path = new Path2D.Double(new Rectangle2D.Double(0, -above - thickness, width, thickness));
        return new Box(path, width, above + thickness, -above);
    }

    /** What was drawn on top of one another, each at its place. */
    static final class Drawing {
        private final Path2D path = new Path2D.Double(Path2D.WIND_NON_ZERO);
        private double width;
        private double ascent = Double.NEGATIVE_INFINITY;
        private double descent = Double.NEGATIVE_INFINITY;

        /** @param down how far its baseline is below the baseline of the whole */
        Drawing add(Box box, double right, double down) {
            path.append(box.path().getPathIterator(AffineTransform.getTranslateInstance(right, down)), false);
            width = Math.max(width, right + box.width());
            ascent = Math.max(ascent, box.ascent() - down);
            descent = Math.max(descent, box.descent() + down);
            return this;
        }

        Drawing wide(double least) {
            width = Math.max(width, least);
            return this;
        }

        double width() {
            return width;
        }

        Box box() {
            return new Box(path, width, Math.max(ascent, 0), Math.max(descent, 0));
        }
    }

    Box scaled(double x, double y) {
        return new Box(
                new Path2D.Double(path, AffineTransform.getScaleInstance(x, y)), width * x, ascent * y, descent * y);
    }

    Box scaled(double by) {
        return scaled(by, by);
    }

    double height() {
        return ascent + descent;
    }

    /** The same with its middle on the axis of the formula. */
    Box onAxis(double axis) {
        double down = (ascent - descent) / 2 - axis;
        return new Drawing().add(this, 0, down).box();
    }
}
