package org.scholion.core.score;

import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.scholion.core.answer.Answer;
import org.scholion.core.item.BlanksItem;
import org.scholion.core.item.ChoiceItem;
import org.scholion.core.item.CorrectionItem;
import org.scholion.core.item.Faulty;
import org.scholion.core.item.FormulaItem;
import org.scholion.core.item.Item;
import org.scholion.core.item.NumberItem;
import org.scholion.core.item.OpenItem;
import org.scholion.core.item.OrderItem;
import org.scholion.core.item.PairsItem;
import org.scholion.core.item.PassageItem;
import org.scholion.core.item.SpotItem;
import org.scholion.core.item.TextItem;
import org.scholion.core.item.WorkingItem;

/** Scores answers to one item. Compiled once, immutable, safe for threads. */
public interface Scorer {
    /**
     * What the answer is worth and why. Nothing that a student writes makes it throw.
     *
     * @throws IllegalArgumentException when the answer is not of the item's kind or names an option it does not have
     */
    Mark score(Answer answer);

    /** The form in which equal answers are equal: a decision on one holds for all that share it. */
    String form(Answer answer);

    /**
     * Compiles the item's key and rule.
     *
     * @throws Faulty when the key cannot be compiled (a pattern, a unit), naming the place
     */
    static Scorer of(Item item) {
        return item.read(COMPILE);
    }

    /** The item's rules, with people's earlier decisions on single answers going before them. */
    static Scorer of(Item item, List<Ruling> rulings) {
        Map<String, Ruling> byForm = rulings.stream()
                .filter(r -> r.item().equals(item.id()))
                .collect(Collectors.toMap(Ruling::form, r -> r, (earlier, later) -> later));
        Scorer rules = of(item);
        return byForm.isEmpty() ? rules : new RuledScorer(rules, byForm);
    }

    /** A choice of one as a table of its marks: what scores very many answers that come as option ids. */
    static OneChoice ofOne(ChoiceItem item) {
        return new ChoiceOfOne(item);
    }

    /** The mark of one chosen option; every mark is made when the item is compiled. */
    interface OneChoice {
        /** Null for an option that the item does not have. */
        @Nullable
        Mark chosen(String option);
    }

    Item.ByKind<Scorer> COMPILE = new Item.ByKind<>() {
        @Override
        public Scorer choice(ChoiceItem item) {
            return item.max() == 1 ? new ChoiceOfOne(item) : new ChoiceOfSeveral(item);
        }

        @Override
        public Scorer text(TextItem item) {
            return new TextScorer(item);
        }

        @Override
        public Scorer number(NumberItem item) {
            return new NumberScorer(item);
        }

        @Override
        public Scorer blanks(BlanksItem item) {
            return new BlanksScorer(item);
        }

        @Override
        public Scorer pairs(PairsItem item) {
            return new PairsScorer(item);
        }

        @Override
        public Scorer order(OrderItem item) {
            return new OrderScorer(item);
        }

        @Override
        public Scorer spot(SpotItem item) {
            return new SpotScorer(item);
        }

        @Override
        public Scorer correction(CorrectionItem item) {
            return new CorrectionScorer(item);
        }

        @Override
        public Scorer formula(FormulaItem item) {
            return new FormulaScorer(item);
        }

        @Override
        public Scorer working(WorkingItem item) {
            return new WorkingScorer(item);
        }

        @Override
        public Scorer open(OpenItem item) {
            return new OpenScorer(item);
        }

        @Override
        public Scorer passage(PassageItem item) {
            throw new Faulty("kind", "a reading passage is not scored");
        }
    };
}
