package org.scholion.core.score;

import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.scholion.core.answer.Answer;
import org.scholion.core.item.Faulty;
import org.scholion.core.item.NumberItem;
import org.scholion.core.number.Fraction;
import org.scholion.core.quantity.Compound;
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
    private final Mark unreadable;

    NumberScorer(NumberItem item) {
        this.item = item;
        this.expected = item.unit() == null ? null : unit(item.unit().expect());
        this.percentIsUnit = item.unit() != null && item.unit().expect().strip().equals("%");
        this.entries = item.accept().stream().map(NumberItem.Accepted::shown).toList();
        this.unreadable = item.otherwiseWrong()
                ? Mark.wrong(item.penalty(), Reason.of(Code.NUMBER_UNREADABLE_WRONG))
                : Mark.settle(Reason.of(Code.NUMBER_UNREADABLE));
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
        Reading reading = read(typed);
        Judged judged = reading.judged();
        if (judged != null && judged.entry() != null) {
            return accepted(judged, judged.entry());
        }
        // The other decimal mark is never taken silently, neither as right nor as wrong.
        Judged other = typed.indexOf('.') < 0 && typed.indexOf(',') < 0
                ? null
                : read(TypedNumber.otherMark(typed)).judged();
        if (other != null && other.entry() != null) {
            return Mark.settle(Reason.of(Code.NUMBER_COULD_BE)
                    .with("value", typed.strip())
                    .with("readings", List.of(other.value().toReadable() + ", with “" + mark(typed))));
        }
        return judged == null ? reading.unreadable() : out(judged);
    }

    /** What the other mark would be in this text. */
    private String mark(String typed) {
        char other = item.decimal() == '.' ? ',' : '.';
        return typed.indexOf(other) >= 0 ? other + "” as the decimal mark" : item.decimal() + "” between the thousands";
    }

    /** What a text was read as; without a value, why it was not read. */
    private record Reading(@Nullable Judged judged, Mark unreadable) {}

    private Reading read(String typed) {
        Optional<TypedNumber> number = TypedNumber.read(typed, item.decimal(), percentIsUnit);
        NumberItem.UnitRule rule = item.unit();
        Unit asked = expected;
        if (rule == null || asked == null) {
            Judged judged = number.filter(n -> n.unit().isEmpty())
                    .map(n -> judged(n, n.value(), Fraction.ONE, Reason.of(Code.NUMBER_IN)))
                    .orElse(null);
            return new Reading(judged, unreadable);
        }
        Judged judged = number.map(n -> inUnit(n, rule, asked)).orElse(null);
        List<Compound> compounds = judged == null ? Compound.of(typed, item.decimal(), asked) : List.of();
        if (compounds.size() == 1) {
            return new Reading(compound(compounds.get(0), rule, asked), unreadable);
        }
        if (!compounds.isEmpty()) {
            return new Reading(null, either(typed, compounds));
        }
        return new Reading(
                judged,
                number.isPresent() && !number.get().unit().isEmpty()
                        ? unknownUnit(number.get().unit(), asked)
                        : unreadable);
    }

    private Mark unknownUnit(String unit, Unit expected) {
        List<String> near = NearUnits.to(unit, expected);
        Reason reason = Reason.of(item.otherwiseWrong() ? Code.NUMBER_UNIT_UNKNOWN_WRONG : Code.NUMBER_UNIT_UNKNOWN)
                .with("unit", unit);
        Reason whole = near.isEmpty() ? reason : reason.with("near", near);
        return item.otherwiseWrong() ? Mark.wrong(item.penalty(), whole) : Mark.settle(whole);
    }

    private static Mark either(String typed, List<Compound> readings) {
        return Mark.settle(Reason.of(Code.NUMBER_COULD_BE)
                .with("value", typed.strip())
                .with("readings", readings.stream().map(Compound::shown).toList()));
    }

    private Mark out(Judged judged) {
        Reason out = Reason.of(Code.NUMBER_OUT)
                .with("value", judged.value().toReadable())
                .with("entries", entries);
        return Mark.wrong(
                item.penalty(),
                judged.told().has("converted")
                        ? out.with("converted", judged.told().word("converted"))
                        : out);
    }

    private Mark accepted(Judged judged, NumberItem.Accepted best) {
        Reason reason = judged.told().with("value", judged.value().toReadable()).with("entry", best.shown());
        Fraction credit = best.credit().times(judged.factor());
        if (item.figures() != null && !judged.hasFigures(item.figures().count())) {
            credit = credit.times(item.figures().otherwise());
            reason = reason.with("figures", item.figures().otherwise())
                    .with("asked", item.figures().count());
        }
        return Mark.scored(credit, reason);
    }

    /**
     * The value in the expected unit, the entry that it matches, the factor that the unit costs, and what there is to
     * tell about it; the number as typed, unless it was typed in several units.
     */
    private record Judged(
            Fraction value,
            NumberItem.@Nullable Accepted entry,
            Fraction factor,
            Reason told,
            @Nullable TypedNumber typed) {
        boolean hasFigures(int count) {
            return typed == null ? value.isZero() : typed.hasFigures(count);
        }
    }

    private Judged judged(@Nullable TypedNumber typed, Fraction value, Fraction factor, Reason told) {
        NumberItem.Accepted best = null;
        for (NumberItem.Accepted entry : item.accept()) {
            if (entry.holds(value) && (best == null || entry.credit().compareTo(best.credit()) > 0)) {
                best = entry;
            }
        }
        return new Judged(value, best, factor, told, typed);
    }

    /** Null when the unit is not known. */
    private @Nullable Judged inUnit(TypedNumber number, NumberItem.UnitRule rule, Unit expected) {
        Reason plain = Reason.of(Code.NUMBER_IN);
        if (number.unit().isEmpty()) {
            return judged(number, number.value(), rule.missing(), told(plain, "unitMissing", rule.missing(), rule));
        }
        Unit typed = Unit.parse(number.unit(), expected).orElse(null);
        if (typed == null) {
            return null;
        }
        if (typed.sameUnit(expected)) {
            return judged(number, number.value(), Fraction.ONE, plain);
        }
        if (rule.convert() && typed.sameDimension(expected)) {
            return judged(
                    number,
                    typed.convert(number.value(), expected),
                    Fraction.ONE,
                    plain.with("converted", number.value().toReadable() + " " + number.unit()));
        }
        Reason wrong = told(plain, "unitWrong", rule.wrong(), rule).with("unit", number.unit());
        return judged(number, number.value(), rule.wrong(), wrong);
    }

    /** A reading in several units is one of its largest: without conversion that has to be the one asked for. */
    private Judged compound(Compound reading, NumberItem.UnitRule rule, Unit expected) {
        Reason plain = Reason.of(Code.NUMBER_IN).with("converted", reading.shown());
        boolean mayStand = rule.convert() || reading.largest().sameUnit(expected);
        return mayStand
                ? judged(null, reading.value(), Fraction.ONE, plain)
                : judged(
                        null,
                        reading.value(),
                        rule.wrong(),
                        told(plain, "unitWrong", rule.wrong(), rule).with("unit", reading.shown()));
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
