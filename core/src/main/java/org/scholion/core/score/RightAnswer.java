package org.scholion.core.score;

import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.scholion.core.answer.Answer;
import org.scholion.core.answer.Told;
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

/**
 * An answer that earns an item's full credit, as its key lists it: for printing a key and for trying a paper out.
 * Empty where the key lists none, as with patterns alone, or where none is scored by rule.
 */
public final class RightAnswer implements Item.ByKind<Answer> {
    private static final RightAnswer READER = new RightAnswer();

    private RightAnswer() {}

    /** The answer; empty as well when the listed one does not earn all, which a key of half credits can cause. */
    public static Optional<Answer> of(Item item) {
        Answer answer = item.read(READER);
        if (answer == Answer.NONE || item instanceof OpenItem) {
            return answer == Answer.NONE ? Optional.empty() : Optional.of(answer);
        }
        Mark mark = Scorer.of(item).score(answer);
        boolean full = mark.state() == State.SCORED && mark.credit().equals(Fraction.ONE);
        return full ? Optional.of(answer) : Optional.empty();
    }

    /** What is right, as a student may read it: all that is accepted of a choice or a number; empty for an open item. */
    public static Optional<String> inWords(Item item) {
        if (item instanceof OpenItem) {
            return Optional.empty();
        }
        if (item instanceof ChoiceItem choice && choice.rule() != ChoiceItem.Rule.WEIGHTS) {
            return Optional.of(choice.key().stream()
                    .map(id -> Told.in(choice, Answer.Chosen.of(id)))
                    .collect(Collectors.joining(choice.max() == 1 ? " or " : " + ")));
        }
        if (item instanceof NumberItem number) {
            String value = best(number).shown();
            return Optional.of(
                    number.unit() == null ? value : value + " " + number.unit().expect());
        }
        return of(item).map(answer -> Told.in(item, answer));
    }

    @Override
    public Answer choice(ChoiceItem item) {
        if (item.max() > 1 && item.rule() == ChoiceItem.Rule.WEIGHTS) {
            LinkedHashSet<String> worth = new LinkedHashSet<>();
            item.options().stream()
                    .map(ChoiceItem.Option::id)
                    .filter(id -> item.credits().getOrDefault(id, Fraction.ZERO).signum() > 0)
                    .limit(item.max())
                    .forEach(worth::add);
            return new Answer.Chosen(worth);
        }
        return new Answer.Chosen(
                new LinkedHashSet<>(item.max() == 1 ? item.key().subList(0, 1) : item.key()));
    }

    /** The first listed text of the highest credit; where there is none, the words that are asked for. */
    @Override
    public Answer text(TextItem item) {
        TextItem.Accepted best = null;
        for (TextItem.Accepted entry : item.accept()) {
            boolean said = entry instanceof TextItem.SameText || entry instanceof TextItem.Words;
            if (said && (best == null || entry.credit().compareTo(best.credit()) > 0)) {
                best = entry;
            }
        }
        if (best instanceof TextItem.SameText same) {
            return new Answer.Typed(same.text());
        }
        if (best instanceof TextItem.Words words) {
            String any = words.any().isEmpty() ? "" : " " + words.any().get(0);
            return new Answer.Typed((String.join(" ", words.all()) + any).strip());
        }
        return Answer.NONE;
    }

    @Override
    public Answer number(NumberItem item) {
        NumberItem.Accepted best = best(item);
        Fraction value = best.around() == null ? best.from() : best.around().value();
        String exact = value.toExact();
        String typed = item.decimal() == ',' ? exact.replace('.', ',') : exact;
        return new Answer.Typed(
                item.unit() == null ? typed : typed + " " + item.unit().expect());
    }

    /** The first of those that earn most. */
    private static NumberItem.Accepted best(NumberItem item) {
        NumberItem.Accepted best = item.accept().get(0);
        for (NumberItem.Accepted entry : item.accept()) {
            best = entry.credit().compareTo(best.credit()) > 0 ? entry : best;
        }
        return best;
    }

    @Override
    public Answer blanks(BlanksItem item) {
        Map<String, Answer> parts = new LinkedHashMap<>();
        for (BlanksItem.Part part : item.parts()) {
            Answer answer = part.item().read(this);
            if (answer != Answer.NONE) {
                parts.put(part.id(), answer);
            }
        }
        return new Answer.Parts(parts);
    }

    @Override
    public Answer pairs(PairsItem item) {
        return new Answer.Paired(new LinkedHashSet<>(item.key()));
    }

    @Override
    public Answer order(OrderItem item) {
        return new Answer.Ordered(item.key());
    }

    /** The middle of each keyed region; of a bent one it may lie outside, and then there is no answer to show. */
    @Override
    public Answer spot(SpotItem item) {
        Map<String, SpotItem.Region> regions = new LinkedHashMap<>();
        item.regions().forEach(r -> regions.put(r.id(), r));
        return new Answer.Pointed(item.key().stream()
                .flatMap(id -> Optional.ofNullable(regions.get(id)).stream())
                .map(r -> middle(r.shape()))
                .toList());
    }

    private static SpotItem.Point middle(SpotItem.Shape shape) {
        if (shape instanceof SpotItem.Circle circle) {
            return circle.centre();
        }
        if (shape instanceof SpotItem.Rect r) {
            return new SpotItem.Point(
                    r.left().plus(r.right()).over(2), r.top().plus(r.bottom()).over(2));
        }
        List<SpotItem.Point> corners = ((SpotItem.Polygon) shape).corners();
        Fraction x = Fraction.ZERO;
        Fraction y = Fraction.ZERO;
        for (SpotItem.Point corner : corners) {
            x = x.plus(corner.x());
            y = y.plus(corner.y());
        }
        return new SpotItem.Point(x.over(corners.size()), y.over(corners.size()));
    }

    @Override
    public Answer correction(CorrectionItem item) {
        return new Answer.Typed(item.accept().get(0));
    }

    @Override
    public Answer formula(FormulaItem item) {
        return new Answer.Typed(item.accept().get(0));
    }

    @Override
    public Answer working(WorkingItem item) {
        return new Answer.Lines(List.of(item.accept().get(0)));
    }

    /** The best reading: of a rubric the best level of each criterion, else all points. */
    @Override
    public Answer open(OpenItem item) {
        if (item.rubric() == null) {
            return new Answer.Written("…", null, item.points());
        }
        Map<String, String> levels = new TreeMap<>();
        for (Rubric.Criterion criterion : item.criteria()) {
            Rubric.Level best = criterion.levels().get(0);
            for (Rubric.Level level : criterion.levels()) {
                best = level.points().compareTo(best.points()) > 0 ? level : best;
            }
            levels.put(criterion.id(), best.id());
        }
        return new Answer.Written("…", levels, null);
    }

    @Override
    public Answer passage(PassageItem item) {
        return Answer.NONE;
    }
}
