package org.scholion.core.score;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.EnumSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.scholion.core.answer.Answer;
import org.scholion.core.item.ChoiceItem;
import org.scholion.core.item.Head;
import org.scholion.core.item.Item;
import org.scholion.core.item.NumberItem;
import org.scholion.core.item.TextItem;
import org.scholion.core.number.Fraction;
import org.scholion.core.reason.Words;

/** Short ways to make items and to say what a mark must be. */
public final class Marks {
    private Marks() {}

    public static Head head() {
        return Head.of("q", Fraction.ONE);
    }

    public static Fraction f(String exact) {
        return Fraction.exactly(exact);
    }

    static ChoiceItem choice(ChoiceItem.Rule rule, int max, String key, String... options) {
        return choice(rule, max, key, Map.of(), "0", false, options);
    }

    static ChoiceItem choice(
            ChoiceItem.Rule rule,
            int max,
            String key,
            Map<String, Fraction> credits,
            String penalty,
            boolean negative,
            String... options) {
        return new ChoiceItem(
                head(),
                Arrays.stream(options).map(o -> new ChoiceItem.Option(o, "")).toList(),
                List.of(key.split(" ")),
                max,
                rule,
                credits,
                f(penalty),
                false,
                negative);
    }

    static TextItem text(String spelling, Set<TextItem.Ignore> ignore, TextItem.Accepted... accept) {
        return text(spelling, ignore, List.of(), "0", accept);
    }

    static TextItem text(
            String spelling,
            Set<TextItem.Ignore> ignore,
            List<TextItem.Rejected> reject,
            String penalty,
            TextItem.Accepted... accept) {
        return new TextItem(
                head(),
                List.of(accept),
                reject,
                f(penalty),
                ignore,
                TextItem.Spelling.valueOf(spelling),
                Fraction.ONE,
                false,
                "en");
    }

    static TextItem.SameText same(String text) {
        return new TextItem.SameText(text, Fraction.ONE, null);
    }

    static TextItem.SameText same(String text, String credit) {
        return new TextItem.SameText(text, f(credit), null);
    }

    static TextItem.Rejected not(String text) {
        return new TextItem.Rejected(text, null);
    }

    static Set<TextItem.Ignore> ignoring(TextItem.Ignore... ignore) {
        return ignore.length == 0 ? Set.of() : EnumSet.copyOf(List.of(ignore));
    }

    static NumberItem number(NumberItem.Accepted... accept) {
        return new NumberItem(head(), List.of(accept), '.', null, null, Fraction.ZERO, false);
    }

    static NumberItem.Accepted around(String value, String within, String credit) {
        return NumberItem.Accepted.around(f(value), within, f(credit));
    }

    /** Scores a typed answer, or option ids separated by spaces for a choice. */
    static MarkAssert scoring(Item item, String said) {
        Answer answer = item instanceof ChoiceItem
                ? new Answer.Chosen(new LinkedHashSet<>(said.isBlank() ? List.of() : List.of(said.split(" "))))
                : new Answer.Typed(said);
        return new MarkAssert(Scorer.of(item).score(answer));
    }

    /** What a mark must be. */
    record MarkAssert(Mark mark) {
        MarkAssert isScored(String credit) {
            assertThat(mark.state()).as(Words.english(mark.reason())).isEqualTo(State.SCORED);
            assertThat(mark.credit()).as(Words.english(mark.reason())).isEqualTo(f(credit));
            return this;
        }

        MarkAssert isBlank() {
            assertThat(mark).isEqualTo(Mark.BLANK);
            return this;
        }

        MarkAssert isLeftToSettle() {
            assertThat(mark.state()).as(Words.english(mark.reason())).isEqualTo(State.SETTLE);
            assertThat(mark.credit()).isEqualTo(Fraction.ZERO);
            return this;
        }

        MarkAssert because(String words) {
            assertThat(Words.english(mark.reason())).isEqualTo(words);
            return this;
        }
    }
}
