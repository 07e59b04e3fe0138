package org.scholion.sheets.formula;

import java.awt.geom.Path2D;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.scholion.sheets.formula.Node.Kind;

/**
 * Sets a formula: a box for each part, by the proportions of the TeXbook's appendix G, somewhat simplified. Lengths are
 * in em of the size of the whole.
 */
final class Setter {
    private static final double AXIS = 0.25;
    private static final double RULE = 0.045;
    private static final double SCRIPT = 0.7;
    private static final double SMALLEST = 0.5;
    private static final double GAP = 0.12;
    private static final double THIN = 3 / 18.0;
    private static final double MEDIUM = 4 / 18.0;
    private static final double THICK = 5 / 18.0;

    private final double size;

    private Setter(double size) {
        this.size = size;
    }

    static Box set(Node formula) {
        return new Setter(1).box(formula);
    }

    private Setter smaller() {
        return new Setter(Math.max(SMALLEST, size * SCRIPT));
    }

    private Box box(Node node) {
        if (node instanceof Node.Row row) {
            return row(row.parts());
        } else if (node instanceof Node.Sign sign) {
            return Glyphs.of(sign.text(), sign.face()).scaled(size);
        } else if (node instanceof Node.Large large) {
            return Glyphs.large(large.text()).scaled(size).onAxis(AXIS * size);
        } else if (node instanceof Node.Name name) {
            return words(name.text(), Node.Face.UPRIGHT);
        } else if (node instanceof Node.Words words) {
            return words(words.text(), words.face());
        } else if (node instanceof Node.Scripts scripts) {
            return scripts(scripts);
        } else if (node instanceof Node.Fraction fraction) {
            return fraction(fraction);
        } else if (node instanceof Node.Root root) {
            return root(root);
        } else if (node instanceof Node.Fenced fenced) {
            return fenced(fenced);
        } else if (node instanceof Node.Marked marked) {
            return marked(box(marked.base()), marked.mark());
        } else if (node instanceof Node.Stacked stacked) {
            return stacked(box(stacked.base()), smaller().box(stacked.small()), stacked.onTop());
        } else if (node instanceof Node.Table table) {
            return table(table);
        }
        return Box.empty(((Node.Space) node).em() * size);
    }

    private Box words(String text, Node.Face face) {
        Box.Drawing drawing = new Box.Drawing();
        double at = 0;
        for (String word : text.split("(?<=\\s)|(?=\\s)")) {
            if (word.isBlank()) {
                at += word.isEmpty() ? 0 : size / 3;
            } else {
                Box box = Glyphs.of(word, face).scaled(size);
                drawing.add(box, at, 0);
                at += box.width();
            }
        }
        return drawing.wide(at).box();
    }

    private Box row(List<Node> parts) {
        Box.Drawing drawing = new Box.Drawing();
        double at = 0;
        Kind before = null;
        for (int i = 0; i < parts.size(); i++) {
            Node part = parts.get(i);
            Kind kind = kind(part);
            boolean isSign = kind == Kind.BINARY && (before == null || takesSign(before) || i == parts.size() - 1);
            Kind own = isSign ? Kind.ORDINARY : kind;
            // Scripts are set close, as they are small already.
            at += before == null || own == null || size < 1 && !isFunction(part) ? 0 : space(before, own) * size;
            Box box = box(part);
            drawing.add(box, at, 0);
            at += box.width();
            before = own == null ? before : own;
        }
        return drawing.wide(at).box();
    }

    /** After these a plus or minus is a sign and no operation. */
    private static boolean takesSign(Kind before) {
        return before == Kind.BINARY
                || before == Kind.RELATION
                || before == Kind.OPENING
                || before == Kind.PUNCTUATION
                || before == Kind.LARGE;
    }

    private static boolean isFunction(Node part) {
        return part instanceof Node.Name;
    }

    /** What a part is to its neighbours; null for a space. */
    private static @Nullable Kind kind(Node part) {
        if (part instanceof Node.Sign sign) {
            return sign.kind();
        } else if (part instanceof Node.Scripts scripts) {
            return kind(scripts.base());
        } else if (part instanceof Node.Stacked stacked) {
            return kind(stacked.base());
        } else if (part instanceof Node.Large || part instanceof Node.Name) {
            return Kind.LARGE;
        }
        return part instanceof Node.Space ? null : Kind.ORDINARY;
    }

    private static double space(Kind left, Kind right) {
        if (left == Kind.RELATION || right == Kind.RELATION) {
            boolean none = left == right || left == Kind.OPENING || right == Kind.CLOSING || right == Kind.PUNCTUATION;
            return none ? 0 : THICK;
        }
        if (left == Kind.BINARY || right == Kind.BINARY) {
            return MEDIUM;
        }
        if (left == Kind.PUNCTUATION) {
            return THIN;
        }
        boolean large = left == Kind.LARGE && right != Kind.OPENING && right != Kind.CLOSING
                || right == Kind.LARGE && left != Kind.OPENING;
        return large && right != Kind.PUNCTUATION ? THIN : 0;
    }

    private Box scripts(Node.Scripts scripts) {
        Box base = box(scripts.base());
        Box.Drawing drawing = new Box.Drawing().add(base, 0, 0);
        Box above = scripts.above() == null ? null : smaller().box(scripts.above());
        Box below = scripts.below() == null ? null : smaller().box(scripts.below());
        double up = Math.max(0.36 * size, base.ascent() - 0.25 * size);
        double down = Math.max(0.18 * size, base.descent() + 0.05 * size);
        if (above != null && below != null) {
            double between = up - above.descent() - (below.ascent() - down);
            up += Math.max(0, GAP * size - between) / 2;
            down += Math.max(0, GAP * size - between) / 2;
        }
        double right = base.width() + 0.04 * size;
        if (above != null) {
            drawing.add(above, right, -up);
        }
        if (below != null) {
            drawing.add(below, right, down);
        }
        return drawing.wide(drawing.width() + 0.04 * size).box();
    }

    private Box fraction(Node.Fraction fraction) {
        Setter inside = size < 1 ? smaller() : new Setter(size * 0.82);
        Box above = inside.box(fraction.above());
        Box below = inside.box(fraction.below());
        double side = 0.1 * size;
        double width = Math.max(above.width(), below.width()) + 2 * side;
        double axis = AXIS * size;
        double clear = GAP * size + RULE * size / 2;
        Box.Drawing drawing = new Box.Drawing()
                .add(above, side + (width - 2 * side - above.width()) / 2, -axis - clear - above.descent())
                .add(below, side + (width - 2 * side - below.width()) / 2, -axis + clear + below.ascent());
        if (fraction.ruled()) {
            drawing.add(Box.rule(width, RULE * size, axis - RULE * size / 2), 0, 0);
        }
        return drawing.wide(width).box();
    }

    private Box root(Node.Root root) {
        Box inside = box(root.inside());
        double rule = RULE * size;
        double height = inside.height() + GAP * size + rule;
        Box hook = Glyphs.tall("√", height / size).scaled(size);
        // The hook hangs from the line above what it covers.
        double top = inside.ascent() + GAP * size + rule + Math.max(0, hook.height() - height) / 2;
        Box.Drawing drawing = new Box.Drawing();
        double left = 0;
        if (root.degree() != null) {
            Box degree = new Setter(SMALLEST).box(root.degree());
            left = Math.max(0, degree.width() - hook.width() * 0.45);
            drawing.add(degree, 0, -(top - hook.height() * 0.48) - degree.descent());
        }
        return drawing.add(hook, left, hook.ascent() - top)
                .add(inside, left + hook.width(), 0)
                .add(Box.rule(inside.width() + 0.05 * size, rule, top - rule), left + hook.width(), 0)
                .box();
    }

    private Box fenced(Node.Fenced fenced) {
        Box inside = box(fenced.inside());
        double axis = AXIS * size;
        double half = Math.max(inside.ascent() - axis, inside.descent() + axis);
        double height = Math.max(size, 2 * half * 0.95);
        Box.Drawing drawing = new Box.Drawing();
        Box left = fence(fenced.left(), height).onAxis(axis);
        Box right = fence(fenced.right(), height).onAxis(axis);
        return drawing.add(left, 0, 0)
                .add(inside, left.width(), 0)
                .add(right, left.width() + inside.width(), 0)
                .box();
    }

    private Box fence(String sign, double height) {
        if (sign.isEmpty()) {
            return Box.empty(0.12 * size);
        }
        if (sign.equals("|") || sign.equals("∥")) {
            Box line = upright(height);
            Box.Drawing drawing = new Box.Drawing().add(line, 0.12 * size, 0);
            if (sign.equals("∥")) {
                drawing.add(line, 0.28 * size, 0);
            }
            return drawing.wide(drawing.width() + 0.12 * size).box();
        }
        return Glyphs.tall(sign, height / size).scaled(size);
    }

    private Box upright(double height) {
        return Box.rule(RULE * size, height, 0);
    }

    private Box marked(Box base, String mark) {
        double rule = RULE * size;
        Box.Drawing drawing = new Box.Drawing().add(base, 0, 0);
        switch (mark) {
            case "above" -> drawing.add(Box.rule(base.width(), rule, base.ascent() + GAP * size), 0, 0);
            case "below" -> drawing.add(Box.rule(base.width(), rule, -base.descent() - GAP * size - rule), 0, 0);
            case "around" -> {
                return framed(base, rule);
            }
            case "arrow" -> drawing.add(arrow(base.width(), rule), 0, -base.ascent() - GAP * size);
            default -> {
                Box sign = Glyphs.of(mark, Node.Face.UPRIGHT).scaled(size);
                // The mark sits a little above, however high it is drawn in its font.
                double lift = base.ascent() + 0.06 * size + sign.descent();
                double middle = base.width() / 2 - (sign.path().getBounds2D().getCenterX());
                drawing.add(new Box(sign.path(), 0, sign.ascent(), sign.descent()), middle, -lift);
            }
        }
        return drawing.wide(base.width()).box();
    }

    private Box framed(Box base, double rule) {
        double pad = 0.18 * size;
        double width = base.width() + 2 * pad;
        double above = base.ascent() + pad;
        double below = base.descent() + pad;
        return new Box.Drawing()
                .add(base, pad, 0)
                .add(Box.rule(width, rule, above - rule), 0, 0)
                .add(Box.rule(width, rule, -below), 0, 0)
                .add(Box.rule(rule, above + below, -below), 0, 0)
                .add(Box.rule(rule, above + below, -below), width - rule, 0)
                .box();
    }

    private Box arrow(double width, double rule) {
        double head = 0.18 * size;
        Path2D path = new Path2D.Double();
        path.moveTo(0, -head / 2 - rule / 2);
        path.lineTo(width - head / 2, -head / 2 - rule / 2);
        path.lineTo(width - head, -head);
        path.lineTo(width, -head / 2);
        path.lineTo(width - head, 0);
        path.lineTo(width - head / 2, -head / 2 + rule / 2);
        path.lineTo(0, -head / 2 + rule / 2);
        path.closePath();
        return new Box(path, width, head, 0);
    }

    private Box stacked(Box base, Box small, boolean onTop) {
        double width = Math.max(base.width(), small.width());
        double down =
                onTop ? -base.ascent() - GAP * size - small.descent() : base.descent() + GAP * size + small.ascent();
        return new Box.Drawing()
                .add(base, (width - base.width()) / 2, 0)
                .add(small, (width - small.width()) / 2, down)
                .box();
    }

    private Box table(Node.Table table) {
        List<List<Box>> rows = new ArrayList<>();
        int columns = 0;
        for (List<Node> row : table.rows()) {
            rows.add(row.stream().map(this::box).toList());
            columns = Math.max(columns, row.size());
        }
        double[] widths = new double[columns];
        rows.forEach(r -> {
            for (int i = 0; i < r.size(); i++) {
                widths[i] = Math.max(widths[i], r.get(i).width());
            }
        });
        Box.Drawing drawing = new Box.Drawing();
        double down = 0;
        for (List<Box> row : rows) {
            double ascent = row.stream().mapToDouble(Box::ascent).max().orElse(0);
            double descent = row.stream().mapToDouble(Box::descent).max().orElse(0);
            down += Math.max(0.75 * size, ascent);
            double left = 0;
            for (int i = 0; i < row.size(); i++) {
                drawing.add(
                        row.get(i),
                        left + indent(table.columns(), i, widths[i] - row.get(i).width()),
                        down);
                left += widths[i] + gap(table.columns(), i);
            }
            down += Math.max(0.3 * size, descent) + GAP * size;
        }
        return drawing.box().onAxis(AXIS * size);
    }

    private static double indent(String columns, int i, double free) {
        char how = i < columns.length() ? columns.charAt(i) : 'c';
        return how == 'l' ? 0 : how == 'r' ? free : free / 2;
    }

    /** Nothing stands between the two sides of an equation that is aligned. */
    private double gap(String columns, int i) {
        return columns.startsWith("rl") && i % 2 == 0 ? THICK * size : 0.8 * size;
    }
}
