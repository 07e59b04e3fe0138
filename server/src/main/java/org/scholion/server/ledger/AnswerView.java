package org.scholion.server.ledger;

import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.scholion.core.answer.Answer;
import org.scholion.core.answer.Laid;
import org.scholion.core.item.FormulaItem;
import org.scholion.core.item.Item;
import org.scholion.core.item.WorkingItem;
import org.scholion.core.maths.Latex;
import org.scholion.core.maths.MathNames;

/** An answer laid out as its student gave it, formulas as they are printed. */
public record AnswerView(Laid.Shape shape, List<AnswerPiece> pieces) {
    /** A longer line is shown as it was typed. */
    private static final int LONGEST = 500;

    /**
     * One piece of an answer.
     *
     * @param at what it stands at: the sentence before the blank, the left side, a share of the picture's width; else empty
     * @param filled whether the student had something to give here
     * @param latex the line as it is printed; null where it is no formula, or cannot be read as one
     */
    public record AnswerPiece(
            String at,
            String said,
            boolean filled,
            @Nullable String latex) {}

    public static AnswerView of(Item item, Answer answer) {
        Laid laid = Laid.out(item, answer);
        MathNames names = names(item);
        List<AnswerPiece> pieces = new ArrayList<>();
        for (Laid.Piece p : laid.pieces()) {
            pieces.add(new AnswerPiece(p.at(), p.said(), p.filled(), latex(p.said(), names)));
        }
        return new AnswerView(laid.shape(), pieces);
    }

    private static @Nullable String latex(String line, @Nullable MathNames names) {
        return names == null || line.length() > LONGEST
                ? null
                : Latex.of(line, names).orElse(null);
    }

    private static @Nullable MathNames names(Item item) {
        if (item instanceof FormulaItem f) {
            List<String> letters = new ArrayList<>(f.variables());
            letters.addAll(f.constants());
            return MathNames.of(letters, f.functions(), f.accept());
        }
        return item instanceof WorkingItem w ? MathNames.of(w.variables(), List.of(), w.accept()) : null;
    }
}
