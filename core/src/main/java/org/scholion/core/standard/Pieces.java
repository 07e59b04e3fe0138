package org.scholion.core.standard;

import java.util.ArrayList;
import java.util.List;
import org.scholion.core.item.Alignment;
import org.scholion.core.item.BlanksItem;
import org.scholion.core.item.Item;
import org.scholion.core.item.OpenItem;
import org.scholion.core.item.Rubric;
import org.scholion.core.number.Fraction;
import org.scholion.core.score.Mark;
import org.scholion.core.score.State;

/** The evidence in one mark: the whole item's, and that of a rubric's criteria or of blanks' parts. */
record Pieces(Mark mark, boolean full) {

    /** @param full whether the item is credited with all its points */
    static List<Piece> of(Item item, Mark mark, boolean full) {
        Pieces pieces = new Pieces(mark, full);
        List<Piece> all = new ArrayList<>(pieces.whole(item));
        if (item instanceof OpenItem open && open.rubric() != null) {
            all.addAll(pieces.criteria(open, open.rubric()));
        }
        if (item instanceof BlanksItem blanks) {
            all.addAll(pieces.parts(blanks));
        }
        return all;
    }

    private List<Piece> whole(Item item) {
        return item.standards().isEmpty() ? List.of() : List.of(piece(item.points(), mark.credit(), item.standards()));
    }

    private Piece piece(Fraction points, Fraction credit, List<Alignment> standards) {
        return new Piece(full ? points : credit.times(points), points, standards);
    }

    /** A criterion counts with its part of the item's points; what it earned is a fact of the mark. */
    private List<Piece> criteria(OpenItem item, Rubric rubric) {
        Fraction worth = item.points().over(rubric.maximum());
        List<Fraction> earned = mark.reason().amounts("earned");
        boolean silent = mark.state() == State.BLANK;
        List<Piece> pieces = new ArrayList<>();
        for (int i = 0; i < rubric.criteria().size(); i++) {
            Rubric.Criterion criterion = rubric.criteria().get(i);
            Fraction points = criterion.maximum().times(worth);
            if (!criterion.standards().isEmpty() && (full || silent || earned.size() > i)) {
                Fraction score =
                        full ? points : silent ? Fraction.ZERO : earned.get(i).times(worth);
                pieces.add(new Piece(score, points, criterion.standards()));
            }
        }
        return pieces;
    }

    private List<Piece> parts(BlanksItem item) {
        List<Fraction> credits = mark.reason().amounts("credits");
        Fraction weights = item.parts().stream().map(BlanksItem.Part::weight).reduce(Fraction.ZERO, Fraction::plus);
        List<Piece> pieces = new ArrayList<>();
        for (int i = 0; i < item.parts().size(); i++) {
            BlanksItem.Part part = item.parts().get(i);
            if (!part.item().standards().isEmpty()) {
                Fraction points = item.points().times(part.weight()).over(weights);
                Fraction credit = credits.size() > i ? credits.get(i) : Fraction.ZERO;
                pieces.add(piece(points, credit, part.item().standards()));
            }
        }
        return pieces;
    }
}
