package org.scholion.core.item;

import java.util.List;
import org.scholion.core.number.Fraction;

/** One question of an assessment: a record for each kind, with its key and its scoring rule. */
public sealed interface Item
        permits ChoiceItem,
                TextItem,
                NumberItem,
                BlanksItem,
                PairsItem,
                OrderItem,
                SpotItem,
                CorrectionItem,
                FormulaItem,
                WorkingItem,
                OpenItem,
                PassageItem {
    Head head();

    /** The kind's name in files. */
    String kind();

    /** Calls the method that is meant for this kind. */
    <R> R read(ByKind<R> reader);

    default String id() {
        return head().id();
    }

    default Fraction points() {
        return head().points();
    }

    /** What is asked, as it is named to people: without the ids of its blanks. */
    default String asked() {
        return head().prompt();
    }

    /** Everything this item, or a criterion of its rubric, is aligned to. */
    default List<Alignment> standards() {
        return head().standards();
    }

    /** What is done for each kind of item; adding a kind breaks every reader until it says what to do. */
    interface ByKind<R> {
        R choice(ChoiceItem item);

        R text(TextItem item);

        R number(NumberItem item);

        R blanks(BlanksItem item);

        R pairs(PairsItem item);

        R order(OrderItem item);

        R spot(SpotItem item);

        R correction(CorrectionItem item);

        R formula(FormulaItem item);

        R working(WorkingItem item);

        R open(OpenItem item);

        R passage(PassageItem item);
    }
}
