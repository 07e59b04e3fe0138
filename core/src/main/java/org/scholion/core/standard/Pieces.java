package org.scholion.core.standard;

import java.util.ArrayList;
import java.util.List;
import org.scholion.core.item.Alignment;
import org.scholion.core.item.BlanksItem;
import org.scholion.core.item.ChoiceItem;
import org.scholion.core.item.CorrectionItem;
import org.scholion.core.item.FormulaItem;
import org.scholion.core.item.Item;
import org.scholion.core.item.NumberItem;
import org.scholion.core.item.OpenItem;
import org.scholion.core.item.OrderItem;
import org.scholion.core.item.PairsItem;
import org.scholion.core.item.PassageItem;
import org.scholion.core.item.Rubric;
import org.scholion.core.item.SpotItem;
import org.scholion.core.item.TextItem;
import org.scholion.core.item.WorkingItem;
import org.scholion.core.number.Fraction;
import org.scholion.core.score.Mark;

/** The evidence in one mark: the whole item's, and that of a rubric's criteria or of blanks' parts. */
record Pieces(Mark mark, boolean full) implements Item.ByKind<List<Piece>> {

    /** @param full whether the item is credited with all its points */
    static List<Piece> of(Item item, Mark mark, boolean full) {
        return item.read(new Pieces(mark, full));
    }

    private List<Piece> whole(Item item) {
        return item.standards().isEmpty() ? List.of() : List.of(piece(item.points(), mark.credit(), item.standards()));
    }

    private Piece piece(Fraction points, Fraction credit, List<Alignment> standards) {
        return new Piece(full ? points : credit.times(points), points, standards);
    }

    /** A criterion counts with its part of the item's points; what it earned is a fact of the mark. */
    @Override
    public List<Piece> open(OpenItem item) {
        List<Piece> pieces = new ArrayList<>(whole(item));
        if (item.rubric() == null) {
            return pieces;
        }
        Fraction worth = item.points().over(item.rubric().maximum());
        List<Fraction> earned = mark.reason().amounts("earned");
        boolean silent = mark.state() == org.scholion.core.score.State.BLANK;
        for (int i = 0; i < item.criteria().size(); i++) {
            Rubric.Criterion criterion = item.criteria().get(i);
            Fraction points = criterion.maximum().times(worth);
            if (!criterion.standards().isEmpty() && (full || silent || earned.size() > i)) {
                Fraction score =
                        full ? points : silent ? Fraction.ZERO : earned.get(i).times(worth);
                pieces.add(new Piece(score, points, criterion.standards()));
            }
        }
        return pieces;
    }

    @Override
    public List<Piece> blanks(BlanksItem item) {
        List<Piece> pieces = new ArrayList<>(whole(item));
        List<Fraction> credits = mark.reason().amounts("credits");
        Fraction weights = item.parts().stream().map(BlanksItem.Part::weight).reduce(Fraction.ZERO, Fraction::plus);
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

    @Override
    public List<Piece> choice(ChoiceItem item) {
        return whole(item);
    }

    @Override
    public List<Piece> text(TextItem item) {
        return whole(item);
    }

    @Override
    public List<Piece> number(NumberItem item) {
        return whole(item);
    }

    @Override
    public List<Piece> pairs(PairsItem item) {
        return whole(item);
    }

    @Override
    public List<Piece> order(OrderItem item) {
        return whole(item);
    }

    @Override
    public List<Piece> spot(SpotItem item) {
        return whole(item);
    }

    @Override
    public List<Piece> correction(CorrectionItem item) {
        return whole(item);
    }

    @Override
    public List<Piece> formula(FormulaItem item) {
        return whole(item);
    }

    @Override
    public List<Piece> working(WorkingItem item) {
        return whole(item);
    }

    @Override
    public List<Piece> passage(PassageItem item) {
        return List.of();
    }
}
