package org.scholion.core.score;

import java.util.Optional;
import org.scholion.core.answer.Answer;
import org.scholion.core.item.NumberItem;
import org.scholion.core.number.Fraction;
import org.scholion.core.quantity.TypedNumber;

/** The number that was typed to a question that asks for one, as it stands beside what is accepted. */
public final class TypedValue {
    private TypedValue() {}

    /** Empty where it is no number, or one in another unit than the expected one: it would lie elsewhere. */
    public static Optional<Fraction> of(NumberItem item, Answer answer) {
        String expected = item.unit() == null ? "" : item.unit().expect().strip();
        return TypedNumber.read(answer.shown(), item.decimal(), expected.equals("%"))
                .filter(n -> n.unit().isEmpty() || n.unit().equals(expected))
                .map(TypedNumber::value);
    }
}
