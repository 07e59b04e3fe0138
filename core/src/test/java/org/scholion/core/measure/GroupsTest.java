package org.scholion.core.measure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Sections compared, on data sets whose figures are published. */
class GroupsTest {
    /** Student's hours of extra sleep under two drugs (1908), as statistics packages carry them. */
    private static final double[] SLEEP = {
        0.7, -1.6, -0.2, -1.2, -0.1, 3.4, 3.7, 0.8, 0.0, 2.0, 1.9, 0.8, 1.1, 0.1, -0.1, 4.4, 5.5, 1.6, 4.6, 3.4
    };

    private static List<String> sections(int a, int b) {
        List<String> all = new ArrayList<>(Collections.nCopies(a, "9A"));
        all.addAll(Collections.nCopies(b, "9B"));
        return all;
    }

    @Test
    void welchs_interval_of_the_sleep_data_is_the_published_one() {
        SectionDifference d = SectionDifference.of(Given.scores(new double[][] {SLEEP}, 6), sections(10, 10))
                .get(0);
        assertThat(d.difference().value()).isCloseTo(-1.58, within(1e-12));
        assertThat(d.low().value()).isCloseTo(-3.3654832, within(5e-8));
        assertThat(d.high().value()).isCloseTo(0.2054832, within(5e-8));
    }

    @Test
    void hedges_g_is_the_difference_in_pooled_deviations_with_the_exact_correction() {
        // 1 2 3 against 2 3 4: pooled sd 1, m = 4: Γ(2) / (√2 Γ(1.5)) = 0.797885.
        SectionDifference d = SectionDifference.of(Given.scores(new double[][] {{1, 2, 3, 2, 3, 4}}, 4), sections(3, 3))
                .get(0);
        assertThat(d.g().value()).isCloseTo(-1 / (Math.sqrt(2) * Math.sqrt(Math.PI) / 2), within(1e-12));
    }

    @Test
    void sections_that_do_not_vary_or_have_one_student_have_no_difference() {
        assertThat(SectionDifference.of(Given.scores(new double[][] {{1, 1, 2, 2}}, 2), sections(2, 2))
                        .get(0)
                        .g()
                        .missing())
                .isEqualTo("nothing varies within the sections");
        assertThat(SectionDifference.of(Given.scores(new double[][] {{1, 2, 2}}, 2), sections(1, 2))
                        .get(0)
                        .difference()
                        .missing())
                .isEqualTo("needs at least 2 attempts in each section");
    }

    /** Admissions at Berkeley in 1973 by department: men admitted, refused, women admitted, refused. */
    private static final int[][] BERKELEY = {
        {512, 313, 89, 19},
        {353, 207, 17, 8},
        {120, 205, 202, 391},
        {138, 279, 131, 244},
        {53, 138, 94, 299},
        {22, 351, 24, 317}
    };

    /** The admission is the first item; so many other items are solved that the number solved tells the department. */
    private static Scores berkeley(List<String> sections) {
        List<int[]> rows = new ArrayList<>();
        for (int dept = 0; dept < 6; dept++) {
            for (int cell = 0; cell < 4; cell++) {
                int admitted = cell % 2 == 0 ? 1 : 0;
                for (int i = 0; i < BERKELEY[dept][cell]; i++) {
                    rows.add(new int[] {admitted, dept + 1 - admitted});
                    sections.add(cell < 2 ? "men" : "women");
                }
            }
        }
        double[][] byItem = new double[7][rows.size()];
        for (int i = 0; i < rows.size(); i++) {
            byItem[0][i] = rows.get(i)[0];
            for (int j = 1; j <= rows.get(i)[1]; j++) {
                byItem[j][i] = 1;
            }
        }
        return Given.scores(byItem, 1, 1, 1, 1, 1, 1, 1);
    }

    @Test
    void mantel_and_haenszel_give_the_published_figures_of_the_berkeley_admissions() {
        List<String> sections = new ArrayList<>();
        ItemDifference d =
                ItemDifference.of(berkeley(sections), List.copyOf(sections)).get(0);
        assertThat(d.odds().value()).isCloseTo(0.9046968, within(5e-8));
        assertThat(d.chi2().value()).isCloseTo(1.4269, within(5e-5));
        assertThat(d.p().value()).isCloseTo(0.2323, within(5e-5));
        assertThat(d.delta().value()).isCloseTo(-2.35 * Math.log(0.9046968), within(1e-6));
        assertThat(d.isModerate()).isFalse();
    }

    @Test
    void strata_with_an_empty_margin_are_left_out_and_without_any_there_is_no_figure() {
        Scores s = Given.scores(new double[][] {{1, 1, 0, 0}, {1, 0, 1, 0}}, 1, 1);
        ItemDifference d = ItemDifference.of(s, sections(2, 2)).get(0);
        assertThat(d.odds().value()).isNull();
        assertThat(d.odds().missing()).contains("second section");
        Scores alike = Given.scores(new double[][] {{1, 1, 1, 1}}, 1);
        assertThat(ItemDifference.of(alike, sections(2, 2)).get(0).chi2().missing())
                .isEqualTo("no group of equal ability has both sections, right and wrong");
    }

    @Test
    void sections_stand_in_the_order_of_their_first_appearance_and_none_is_left_aside() {
        List<String> mixed = new ArrayList<>(List.of("9B", "9A"));
        mixed.add(null);
        mixed.add("9B");
        List<SectionMeasures> all = SectionMeasures.of(Given.scores(new double[][] {{1, 2, 9, 3}}, 9), mixed);
        assertThat(all).extracting(SectionMeasures::section).containsExactly("9B", "9A");
        assertThat(all.get(0).mean().value()).isEqualTo(2.0);
        assertThat(all.get(1).sd().missing()).isEqualTo("needs at least 2 attempts");
    }
}
