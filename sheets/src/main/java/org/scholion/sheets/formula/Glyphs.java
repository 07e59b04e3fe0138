package org.scholion.sheets.formula;

import java.awt.Font;
import java.awt.FontFormatException;
import java.awt.font.FontRenderContext;
import java.awt.font.GlyphVector;
import java.awt.geom.Path2D;
import java.awt.geom.Rectangle2D;
import java.io.IOException;
import java.io.InputStream;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.scholion.sheets.formula.Node.Face;

/** Letters and signs as outlines, from the fonts that ship with us. */
final class Glyphs {
    /** Outlines are taken this large, so that they lose nothing. */
    private static final float UNITS = 1_000;

    private static final FontRenderContext FLAT = new FontRenderContext(null, true, true);
    private static final Font MAIN = formula("Main-Regular");
    private static final Font MORE = formula("AMS-Regular");
    private static final Font TEXT = font("/fonts/SourceSerif4_400Regular.ttf");

    /** Brackets, roots and large operators, each larger than the one before. */
    private static final List<Font> SIZES = List.of(
            MAIN,
            formula("Size1-Regular"),
            formula("Size2-Regular"),
            formula("Size3-Regular"),
            formula("Size4-Regular"));

    private static final Map<Face, Font> FACES = new EnumMap<>(Map.of(
            Face.ITALIC, formula("Math-Italic"),
            Face.UPRIGHT, MAIN,
            Face.BOLD, formula("Main-Bold"),
            Face.SLANTED, formula("Main-Italic"),
            Face.DOUBLE, MORE,
            Face.SCRIPT, formula("Caligraphic-Regular")));

    private Glyphs() {}

    private static Font formula(String name) {
        return font("/fonts/formula/KaTeX_" + name + ".ttf");
    }

    private static Font font(String path) {
        try (InputStream in = Objects.requireNonNull(Glyphs.class.getResourceAsStream(path), path)) {
            return Font.createFont(Font.TRUETYPE_FONT, in).deriveFont(UNITS);
        } catch (IOException | FontFormatException e) {
            throw new IllegalStateException(path, e);
        }
    }

    /** A text as it is written in this face, or in the first of ours that has it. */
    static Box of(String text, Face face) {
        if (text.equals("≠") || text.equals("∉")) {
            Box base = of(text.equals("≠") ? "=" : "∈", Face.UPRIGHT);
            Box slash = outline(MAIN, "/");
            return new Box.Drawing()
                    .add(base, 0, 0)
                    .add(slash, (base.width() - slash.width()) / 2, 0)
                    .box();
        }
        for (Font font : List.of(Objects.requireNonNull(FACES.get(face)), MAIN, MORE, formulaItalic(), TEXT)) {
            if (font.canDisplayUpTo(text) < 0) {
                return outline(font, text);
            }
        }
        throw new FormulaReader.Unreadable("no font of ours has " + text);
    }

    private static Font formulaItalic() {
        return Objects.requireNonNull(FACES.get(Face.ITALIC));
    }

    /** A large operator as it is in a line of text. */
    static Box large(String text) {
        Font font = SIZES.get(1).canDisplayUpTo(text) < 0 ? SIZES.get(1) : MAIN;
        return outline(font, text);
    }

    /** A bracket or root that is at least so high; beyond the largest of ours it is stretched. */
    static Box tall(String text, double height) {
        Box found = null;
        for (Font font : SIZES) {
            if (font.canDisplayUpTo(text) < 0) {
                found = outline(font, text);
                if (found.height() >= height) {
                    return found;
                }
            }
        }
        if (found == null) {
            throw new FormulaReader.Unreadable("no font of ours has " + text);
        }
        return found.scaled(1, height / found.height());
    }

    private static Box outline(Font font, String text) {
        GlyphVector glyphs = font.createGlyphVector(FLAT, text);
        Path2D path = new Path2D.Double(glyphs.getOutline());
        Rectangle2D ink = path.getBounds2D();
        double width = glyphs.getGlyphPosition(glyphs.getNumGlyphs()).getX();
        boolean isInk = !ink.isEmpty();
        return new Box(path, width, isInk ? -ink.getMinY() : 0, isInk ? ink.getMaxY() : 0).scaled(1 / UNITS);
    }
}
