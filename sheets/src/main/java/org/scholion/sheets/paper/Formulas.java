package org.scholion.sheets.paper;

import com.openhtmltopdf.extend.FSObjectDrawer;
import com.openhtmltopdf.extend.FSObjectDrawerFactory;
import com.openhtmltopdf.extend.OutputDevice;
import com.openhtmltopdf.render.RenderingContext;
import java.awt.Color;
import java.awt.Insets;
import java.awt.Shape;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.scilab.forge.jlatexmath.ParseException;
import org.scilab.forge.jlatexmath.TeXConstants;
import org.scilab.forge.jlatexmath.TeXFormula;
import org.scilab.forge.jlatexmath.TeXIcon;
import org.w3c.dom.Element;

/** Draws formulas. */
final class Formulas implements FSObjectDrawerFactory {
    static final String TYPE = "application/x-formula";
    private static final float SIZE = 15;

    /** The width and height that a formula takes, in pixels of the page; null when it cannot be set. */
    static int @Nullable [] size(String latex) {
        try {
            TeXIcon icon = icon(latex);
            return new int[] {icon.getIconWidth(), icon.getIconHeight()};
        } catch (ParseException e) {
            return null;
        }
    }

    private static TeXIcon icon(String latex) {
        TeXIcon icon = new TeXFormula(latex).createTeXIcon(TeXConstants.STYLE_TEXT, SIZE);
        icon.setInsets(new Insets(1, 1, 1, 1));
        icon.setForeground(Color.BLACK);
        return icon;
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
            TeXIcon icon = icon(e.getAttribute("data-latex"));
            device.drawWithGraphics((float) x, (float) y, (float) width, (float) height, graphics -> {
                double scale = width / dotsPerPixel / icon.getIconWidth();
                graphics.scale(scale, scale);
                icon.paintIcon(null, graphics, 0, 0);
            });
            return null;
        }
    }
}
