package org.scholion.sheets.paper;

import com.openhtmltopdf.extend.FSObjectDrawer;
import com.openhtmltopdf.extend.FSObjectDrawerFactory;
import com.openhtmltopdf.extend.OutputDevice;
import com.openhtmltopdf.render.RenderingContext;
import java.awt.Color;
import java.awt.Shape;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.scholion.formats.rich.RichText;
import org.scholion.sheets.formula.Formula;
import org.w3c.dom.Element;

/** Draws formulas into a page as outlines. */
final class Formulas implements FSObjectDrawerFactory {
    private static final String TYPE = "application/x-formula";

    /** Of the text around it. */
    private static final double SIZE = 1.12;

    /** The place of a formula in the page; empty for what cannot be set. */
    static Optional<String> markup(String latex) {
        return Formula.of(latex)
                .map(f -> "<object type=\"" + TYPE + "\" data-latex=\"" + RichText.escaped(latex) + "\" style=\"width:"
                        + em(f.width()) + ";height:" + em(f.height()) + ";display:inline-block;vertical-align:"
                        + em(-f.descent()) + "\"></object>");
    }

    private static String em(double length) {
        return Math.round(length * SIZE * 1_000) / 1_000.0 + "em";
    }

    @Override
    public @Nullable FSObjectDrawer createDrawer(Element e) {
        return isReplacedObject(e) ? new Drawer() : null;
    }

    @Override
    public boolean isReplacedObject(Element e) {
        return TYPE.equals(e.getAttribute("type"));
    }

    private static final class Drawer implements FSObjectDrawer {
        @Override
        public @Nullable Map<Shape, String> drawObject(
                Element e,
                double x,
                double y,
                double width,
                double height,
                OutputDevice device,
                RenderingContext context,
                int dotsPerPixel) {
            Formula.of(e.getAttribute("data-latex"))
                    .ifPresent(formula ->
                            device.drawWithGraphics((float) x, (float) y, (float) width, (float) height, graphics -> {
                                double scale = width / dotsPerPixel / formula.width();
                                graphics.scale(scale, scale);
                                graphics.setColor(Color.BLACK);
                                graphics.fill(formula.outlines());
                            }));
            return null;
        }
    }
}
