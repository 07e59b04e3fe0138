package org.scholion.core.score;

import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.scholion.core.answer.Answer;
import org.scholion.core.item.Faulty;
import org.scholion.core.item.NumberItem;
import org.scholion.core.number.Fraction;
import org.scholion.core.quantity.TypedNumber;
import org.scholion.core.quantity.Unit;
import org.scholion.core.reason.Reason;
import org.scholion.core.reason.Reason.Code;

/** A typed number against its bands, with factors for unit and significant figures; all comparison is exact. */
final class NumberScorer implements Scorer {
    private final NumberItem item;
    private final @Nullable Unit expected;
    private final boolean percentIsUnit;
    private final List<String> entries;

    NumberScorer(NumberItem item) {
        this.item = item;
        this.expected = item.unit() == null ? null : unit(item.unit().expect());
        this.percentIsUnit = item.unit() != null && item.unit().expect().strip().equals("%");
        this.entries = item.accept().stream().map(NumberItem.Accepted::shown).toList();
    }

    private static Unit unit(String text) {
        return Unit.parse(text)
                .orElseThrow(() -> new Faulty("unit.expect", "'" + text + "' is not a unit that is known here"));
    }

    @Override
    public Mark score(Answer answer) {
        String typed = Expect.typed(item, answer);
        if (answer.isBlank()) {
            return Mark.BLANK;
        }
        Optional<TypedNumber> number = TypedNumber.read(typed, item.decimal(), percentIsUnit);
        if (number.isEmpty() || item.unit() == null && !number.get().unit().isEmpty()) {
            return item.otherwiseWrong()
                    ? Mark.wrong(item.penalty(), Reason.of(Code.NUMBER_UNREADABLE_WRONG))
                    : Mark.settle(Reason.of(Code.NUMBER_UNREADABLE));
        }
        return judge(number.get());
    }

    private Mark judge(TypedNumber number) {
        Judged judged = inUnit(number);
        NumberItem.Accepted best = null;
        for (NumberItem.Accepted entry : item.accept()) {
            if (entry.holds(judged.value()) && (best == null || entry.credit().compareTo(best.credit()) > 0)) {
                best = entry;
            }
        }
        String shown = judged.value().toReadable();
        if (best == null) {
            Reason out = Reason.of(Code.NUMBER_OUT).with("value", shown).with("entries", entries);
            return Mark.wrong(
                    item.penalty(),
                    judged.told().has("converted")
                            ? out.with("converted", judged.told().word("converted"))
                            : out);
        }
        Reason reason = judged.told().with("value", shown).with("entry", best.shown());
        Fraction credit = best.credit().times(judged.factor());
        if (item.figures() != null && !number.hasFigures(item.figures().count())) {
            credit = credit.times(item.figures().otherwise());
            reason = reason.with("figures", item.figures().otherwise())
                    .with("asked", item.figures().count());
        }
        return Mark.scored(credit, reason);
    }

    /** The value in the expected unit, the factor that the unit costs, and what there is to tell about it. */
    private record Judged(Fraction value, Fraction factor, Reason told) {}

    private Judged inUnit(TypedNumber number) {
        Reason plain = Reason.of(Code.NUMBER_IN);
        NumberItem.UnitRule rule = item.unit();
        if (rule == null || expected == null) {
            return new Judged(number.value(), Fraction.ONE, plain);
        }
        if (number.unit().isEmpty()) {
            return new Judged(number.value(), rule.missing(), told(plain, "unitMissing", rule.missing(), rule));
        }
        Optional<Unit> typed = Unit.parse(number.unit());
        if (typed.isPresent() && typed.get().sameUnit(expected)) {
            return new Judged(number.value(), Fraction.ONE, plain);
        }
        if (typed.isPresent() && rule.convert() && typed.get().sameDimension(expected)) {
            return new Judged(
                    typed.get().convert(number.value(), expected),
                    Fraction.ONE,
                    plain.with("converted", number.value().toReadable() + " " + number.unit()));
        }
        return new Judged(
                number.value(),
                rule.wrong(),
                told(plain, "unitWrong", rule.wrong(), rule).with("unit", number.unit()));
    }

    /** A unit that costs nothing is nothing to tell. */
    private static Reason told(Reason plain, String what, Fraction share, NumberItem.UnitRule rule) {
        return share.equals(Fraction.ONE) ? plain : plain.with(what, share).with("expect", rule.expect());
    }

    @Override
    public String form(Answer answer) {
        return org.scholion.core.text.Normaliser.singleSpaced(Expect.typed(item, answer));
    }
}
