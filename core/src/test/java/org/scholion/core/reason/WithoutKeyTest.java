package org.scholion.core.reason;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.scholion.core.number.Fraction;
import org.scholion.core.reason.Reason.Code;

class WithoutKeyTest {
    private static final String SECRET = "the-right-answer";

    /** Facts that come from the key wherever they stand. */
    private static final List<String> OF_THE_KEY = List.of(
            "key",
            "entry",
            "entries",
            "note",
            "expect",
            "asked",
            "against",
            "expected",
            "at",
            "form",
            "all",
            "any",
            "none",
            "because",
            "differs",
            "why");

    /** Where a fact of such a name comes from the student's own answer or from a person who speaks to the student. */
    private static final Map<Code, Set<String>> OWN = Map.ofEntries(
            Map.entry(Code.FORMULA_UNREADABLE, Set.of("why")),
            Map.entry(Code.WORKING_UNREADABLE, Set.of("why")),
            Map.entry(Code.OUTGROWN, Set.of("why")),
            Map.entry(Code.OPEN_POINTS, Set.of("note")),
            Map.entry(Code.PERSON, Set.of("note")),
            // Counts of steps, changes and results.
            Map.entry(Code.ORDER_PLACES, Set.of("all")),
            Map.entry(Code.ORDER_NEIGHBOURS, Set.of("all")),
            Map.entry(Code.ORDER_COUPLES, Set.of("all")),
            Map.entry(Code.ORDER_LONGEST, Set.of("all")),
            Map.entry(Code.CORRECTION, Set.of("all")),
            Map.entry(Code.ATTAINED_COUNT, Set.of("asked")));

    @ParameterizedTest
    @EnumSource(Code.class)
    void no_reason_tells_any_text_of_the_key(Code code) {
        Reason reason = Reason.of(code)
                .with("chosen", "what was said")
                .with("value", "12")
                .with("penalty", Fraction.HALF)
                .with("unitMissing", Fraction.HALF)
                .with("unitWrong", Fraction.HALF)
                .with("figures", Fraction.HALF)
                .with("times", Fraction.HALF)
                .with("wrong", 2)
                .with("converted", "12 km")
                .with("reached", "x = 2")
                .with("left", "1");
        List<String> told = new ArrayList<>();
        for (String fact : OF_THE_KEY) {
            if (!OWN.getOrDefault(code, Set.of()).contains(fact)) {
                told.add(Words.withoutKey(reason.with(fact, SECRET)));
                told.add(Words.withoutKey(reason.with(fact, List.of(SECRET, SECRET))));
            }
        }
        assertThat(told).allSatisfy(words -> assertThat(words).isNotBlank().doesNotContain(SECRET));
    }

    @ParameterizedTest
    @EnumSource(
            value = Code.class,
            names = {"NUMBER_IN", "NUMBER_OUT"})
    void a_converted_number_is_told_as_it_was_typed(Code code) {
        Reason reason = Reason.of(code).with("value", "10").with("converted", "18.52 km");
        assertThat(Words.withoutKey(reason)).startsWith("18.52 km is ").doesNotContain("10");
    }
}
