package org.scholion.core.item;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.scholion.core.number.Fraction;

/**
 * Places on a picture, in shares of its width and height.
 *
 * @param aspect the picture's height over its width, by which a circle's height is scaled
 */
public record SpotItem(Head head, List<Region> regions, List<String> key, Rule rule, Fraction aspect) implements Item {

    /** How points are scored. */
    public enum Rule {
        HITS,
        NET,
        EXACT
    }

    public record Point(Fraction x, Fraction y) {}

    /** A named region; its border belongs to it. */
    public record Region(String id, Shape shape) {
        public Region {
            Faulty.unless(!id.isBlank(), "id", "a region needs an id");
        }
    }

    /** Where a region lies. All comparison is exact. */
    public sealed interface Shape {
        boolean holds(Point p, Fraction aspect);
    }

    /** Centre and radius, the radius in shares of the width. */
    public record Circle(Point centre, Fraction radius) implements Shape {
        public Circle {
            Faulty.unless(radius.signum() > 0, "circle", "the radius is not above 0");
        }

        @Override
        public boolean holds(Point p, Fraction aspect) {
            Fraction dx = p.x().minus(centre.x());
            Fraction dy = p.y().minus(centre.y()).times(aspect);
            return dx.times(dx).plus(dy.times(dy)).compareTo(radius.times(radius)) <= 0;
        }
    }

    public record Rect(Fraction left, Fraction top, Fraction right, Fraction bottom) implements Shape {
        public Rect {
            boolean ordered = left.compareTo(right) <= 0 && top.compareTo(bottom) <= 0;
            Faulty.unless(ordered, "rect", "a rectangle is left, top, right, bottom");
        }

        @Override
        public boolean holds(Point p, Fraction aspect) {
            return left.compareTo(p.x()) <= 0
                    && p.x().compareTo(right) <= 0
                    && top.compareTo(p.y()) <= 0
                    && p.y().compareTo(bottom) <= 0;
        }
    }

    public record Polygon(List<Point> corners) implements Shape {
        public Polygon {
            corners = List.copyOf(corners);
            Faulty.unless(corners.size() >= 3, "polygon", "a polygon has at least three corners");
        }

        /** On the border, or inside by the even-odd rule. */
        @Override
        public boolean holds(Point p, Fraction aspect) {
            boolean inside = false;
            for (int i = 0; i < corners.size(); i++) {
                Point a = corners.get(i);
                Point b = corners.get((i + 1) % corners.size());
                if (onEdge(p, a, b)) {
                    return true;
                }
                if (a.y().compareTo(p.y()) > 0 != b.y().compareTo(p.y()) > 0) {
                    Fraction across = b.x().minus(a.x())
                            .times(p.y().minus(a.y()))
                            .over(b.y().minus(a.y()))
                            .plus(a.x());
                    inside ^= p.x().compareTo(across) < 0;
                }
            }
            return inside;
        }

        private static boolean onEdge(Point p, Point a, Point b) {
            Fraction cross = b.x().minus(a.x())
                    .times(p.y().minus(a.y()))
                    .minus(b.y().minus(a.y()).times(p.x().minus(a.x())));
            return cross.isZero()
                    && a.x().min(b.x()).compareTo(p.x()) <= 0
                    && p.x().compareTo(a.x().max(b.x())) <= 0
                    && a.y().min(b.y()).compareTo(p.y()) <= 0
                    && p.y().compareTo(a.y().max(b.y())) <= 0;
        }
    }

    public SpotItem {
        regions = List.copyOf(regions);
        key = List.copyOf(key);
        Set<String> ids = new HashSet<>();
        for (int i = 0; i < regions.size(); i++) {
            Faulty.unless(
                    ids.add(regions.get(i).id()),
                    "regions[" + i + "].id",
                    "region '" + regions.get(i).id() + "' is there twice");
        }
        Faulty.unless(!key.isEmpty(), "key", "draw at least one right area");
        for (int i = 0; i < key.size(); i++) {
            Faulty.unless(ids.contains(key.get(i)), "key[" + i + "]", "no region is called '" + key.get(i) + "'");
            Faulty.unless(key.indexOf(key.get(i)) == i, "key[" + i + "]", "region '" + key.get(i) + "' is keyed twice");
        }
        Faulty.unless(aspect.signum() > 0, "aspect", "the aspect is not above 0");
    }

    @Override
    public String kind() {
        return "spot";
    }

    @Override
    public <R> R read(ByKind<R> reader) {
        return reader.spot(this);
    }
}
