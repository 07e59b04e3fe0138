package org.scholion.core.standard;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.scholion.core.item.Alignment;
import org.scholion.core.item.Faulty;
import org.scholion.core.number.Fraction;
import org.scholion.core.reason.Words;

class AttainmentTest {
    private static final Level SECURE = new Level(Fraction.of(70), "Secure");
    private static final Level STARTED = new Level(Fraction.of(40), "Started");
    private static final List<Evidence> OVER_TIME = List.of(of(1, 4, 2), of(3, 4, 2), of(8, 10, 3));

    private static Evidence of(int score, int possible, int pieces) {
        return new Evidence(Fraction.of(score), Fraction.of(possible), pieces);
    }

    private static Attainment by(Method method, List<Evidence> evidence) {
        return Attainment.of(new Attainment.Rule(method, List.of(STARTED, SECURE), 2, 1), evidence);
    }

    @Test
    void share_pools_all_evidence() {
        Attainment a = by(new Method.Share(), OVER_TIME);
        assertThat(a.percent()).isEqualTo(Fraction.exactly("66.7"));
        assertThat(a.level()).isEqualTo(STARTED);
        assertThat(Words.english(a.reason())).isEqualTo("12 of 18 points over 3 assessments: 66.7%");
    }

    @Test
    void latest_pools_the_last_assessments_that_touch_the_standard() {
        Attainment a = by(new Method.Latest(2), List.of(of(0, 4, 2), of(3, 4, 2), Evidence.NONE, of(8, 10, 3)));
        assertThat(a.percent()).isEqualTo(Fraction.exactly("78.6"));
        assertThat(a.level()).isEqualTo(SECURE);
    }

    @Test
    void decay_lets_newer_results_count_more() {
        // 25, then 0.65 × 75 + 0.35 × 25 = 57.5, then 0.65 × 80 + 0.35 × 57.5 = 72.125.
        Attainment a = by(Method.Decay.USUAL, OVER_TIME);
        assertThat(a.percent()).isEqualTo(Fraction.exactly("72.1"));
        assertThat(Words.english(a.reason()))
                .isEqualTo("each newer result counts 0.65 and everything before it the rest (25%, 75%, 80%): 72.1%");
    }

    @Test
    void best_takes_the_assessment_with_the_highest_share() {
        assertThat(by(new Method.Best(), OVER_TIME).percent()).isEqualTo(Fraction.of(80));
    }

    @Test
    void count_asks_how_many_of_the_last_results_reach_a_levels_bound() {
        assertThat(by(new Method.Count(2, 3), OVER_TIME).level()).isEqualTo(SECURE);
        assertThat(by(new Method.Count(3, 3), OVER_TIME).level()).isNull();
        assertThat(by(new Method.Count(2, 2), OVER_TIME).level()).isEqualTo(SECURE);
    }

    @Test
    void with_too_little_evidence_there_is_no_level_and_it_says_so() {
        Attainment a = by(new Method.Share(), List.of(of(1, 1, 1)));
        assertThat(a.percent()).isEqualTo(Fraction.HUNDRED);
        assertThat(a.level()).isNull();
        assertThat(Words.english(a.reason()))
                .isEqualTo("1 of 1 point over 1 assessment: 100%; no level yet: 1 piece of evidence, 2 are needed");
        assertThat(by(new Method.Share(), List.of()).percent()).isNull();
    }

    @Test
    void a_level_is_decided_on_the_rounded_percent() {
        assertThat(by(new Method.Share(), List.of(of(6995, 10_000, 2))).level()).isEqualTo(SECURE);
        assertThat(by(new Method.Share(), List.of(of(69_949, 100_000, 2))).level())
                .isEqualTo(STARTED);
    }

    @Test
    void a_section_shows_students_by_level_the_mean_and_who_is_below() {
        Map<String, Attainment> students = new LinkedHashMap<>();
        students.put("Ines", by(new Method.Share(), List.of(of(3, 4, 2))));
        students.put("Oke", by(new Method.Share(), List.of(of(1, 2, 2))));
        students.put("Piet", by(new Method.Share(), List.of()));
        students.put("Ula", by(new Method.Share(), List.of(of(1, 1, 1))));
        SectionAttainment s = SectionAttainment.of(List.of(SECURE, STARTED), students, Fraction.of(7), SECURE.from());
        assertThat(s.levels()).containsExactly(Map.entry(STARTED, 1), Map.entry(SECURE, 1));
        assertThat(s.meanPercent()).as("of 75, 50 and 100").isEqualTo(Fraction.of(75));
        assertThat(s.interval()).as("with seven points as trials").isEqualTo(Wilson.of(0.75, 7));
        assertThat(s.tooLittle()).as("one piece is too little for a level").isEqualTo(1);
        assertThat(s.below()).containsExactly("Oke");
        SectionAttainment nobody = SectionAttainment.of(List.of(SECURE), Map.of(), Fraction.ZERO, SECURE.from());
        assertThat(nobody.interval()).isNull();
        assertThat(nobody.meanPercent()).isNull();
    }

    private static final Crosswalk WALK = new Crosswalk(List.of(
            new Crosswalk.Link("T1", List.of("A")),
            new Crosswalk.Link("T2", List.of("B", "C")),
            new Crosswalk.Link("T3", List.of("A")),
            new Crosswalk.Link("T4", List.of())));

    @Test
    void a_crosswalk_carries_split_and_merged_standards_and_lists_what_has_no_place() {
        Crosswalk.Carried carried = WALK.carry(List.of(
                new Alignment("T1", Fraction.ONE),
                new Alignment("T2", Fraction.of(2)),
                new Alignment("T3", Fraction.of(3)),
                new Alignment("T4", Fraction.ONE),
                new Alignment("T9", Fraction.ONE)));
        assertThat(carried.mapped())
                .containsExactly(
                        new Alignment("A", Fraction.of(3)),
                        new Alignment("B", Fraction.of(2)),
                        new Alignment("C", Fraction.of(2)));
        assertThat(carried.unmapped()).extracting(Alignment::code).containsExactly("T4", "T9");
    }

    @Test
    void a_crosswalk_names_only_codes_that_the_two_versions_have() {
        Framework older = framework("T1", "T2", "T3", "T4", "T5");
        assertThat(WALK.between(older, framework("A", "B", "C")).unmapped(older))
                .containsExactly("T4", "T5");
        assertThatThrownBy(() -> WALK.between(older, framework("A", "B")))
                .isInstanceOfSatisfying(Faulty.class, f -> assertThat(f.place()).isEqualTo("links[1].to[1]"));
        assertThatThrownBy(() -> WALK.between(framework("T1"), framework("A")))
                .isInstanceOfSatisfying(Faulty.class, f -> assertThat(f.place()).isEqualTo("links[1].from"));
    }

    private static Framework framework(String... codes) {
        return new Framework(
                "f",
                "",
                "1",
                List.of(codes).stream()
                        .map(c -> new Framework.Standard(c, null, ""))
                        .toList());
    }
}
