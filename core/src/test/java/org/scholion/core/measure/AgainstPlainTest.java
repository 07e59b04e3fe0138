package org.scholion.core.measure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Seeded papers, measured a second time by plain loops that follow the formulas word by word. */
class AgainstPlainTest {
    private static final double[] POINTS = {1, 2, 1, 3, 0.5, 1};

    private static double[][] paper(Random random, int n) {
        double[][] x = new double[POINTS.length][n];
        for (int i = 0; i < n; i++) {
            double ability = random.nextDouble();
            for (int j = 0; j < POINTS.length; j++) {
                x[j][i] = POINTS[j] * Math.rint(4 * Math.min(1, Math.max(0, ability + random.nextGaussian() / 4))) / 4;
            }
        }
        return x;
    }

    private static double[] totals(double[][] x, int without) {
        double[] t = new double[x[0].length];
        for (int j = 0; j < x.length; j++) {
            for (int i = 0; i < t.length && j != without; i++) {
                t[i] += x[j][i];
            }
        }
        return t;
    }

    private static double mean(double[] x) {
        return Arrays.stream(x).average().orElseThrow();
    }

    private static double variance(double[] x) {
        double m = mean(x);
        return Arrays.stream(x).map(v -> (v - m) * (v - m)).sum() / (x.length - 1);
    }

    private static double correlation(double[] x, double[] y) {
        double mx = mean(x);
        double my = mean(y);
        double sum = 0;
        for (int i = 0; i < x.length; i++) {
            sum += (x[i] - mx) * (y[i] - my);
        }
        return sum / (x.length - 1) / Math.sqrt(variance(x) * variance(y));
    }

    /** The mean share in the best g by total, each tie at the border with the same part of the places left. */
    private static double top(double[] x, double[] totals, double g, double points, int sign) {
        double sum = 0;
        for (int i = 0; i < x.length; i++) {
            double better = 0;
            double equal = 0;
            for (double t : totals) {
                better += sign * t > sign * totals[i] ? 1 : 0;
                equal += t == totals[i] ? 1 : 0;
            }
            sum += x[i] * Math.max(0, Math.min(1, (g - better) / equal));
        }
        return sum / points / g;
    }

    @ParameterizedTest
    @ValueSource(ints = {1, 2, 3, 4, 5, 6, 7, 8})
    void every_figure_is_that_of_the_plain_loops(int seed) {
        Random random = new Random(seed);
        int n = 4 + random.nextInt(60);
        double[][] x = paper(random, n);
        double[] totals = totals(x, -1);
        Scores scores = Given.scores(x, POINTS);
        List<ItemMeasures> items = ItemMeasures.of(scores);
        for (int j = 0; j < POINTS.length; j++) {
            ItemMeasures m = items.get(j);
            assertThat(m.difficulty().value()).isCloseTo(mean(x[j]) / POINTS[j], within(1e-12));
            double upper = top(x[j], totals, 0.27 * n, POINTS[j], 1);
            assertThat(m.upperLower().value())
                    .isCloseTo(upper - top(x[j], totals, 0.27 * n, POINTS[j], -1), within(1e-10));
            if (variance(x[j]) > 0) {
                assertThat(m.itemRest().value()).isCloseTo(correlation(x[j], totals(x, j)), within(1e-9));
            }
            double within = 0;
            for (int k = 0; k < POINTS.length; k++) {
                within += k == j ? 0 : variance(x[k]);
            }
            double others = POINTS.length - 1;
            assertThat(m.alphaWithout().value())
                    .isCloseTo(others / (others - 1) * (1 - within / variance(totals(x, j))), within(1e-9));
        }
        assertThat(TestMeasures.of(scores).sd().value()).isCloseTo(Math.sqrt(variance(totals)), within(1e-12));
    }

    @ParameterizedTest
    @ValueSource(ints = {11, 12, 13})
    void the_order_of_the_students_does_not_matter(int seed) {
        Random random = new Random(seed);
        double[][] x = paper(random, 40);
        List<Integer> order = new ArrayList<>();
        for (int i = 0; i < 40; i++) {
            order.add(i);
        }
        Collections.shuffle(order, random);
        double[][] shuffled = Arrays.stream(x)
                .map(row -> order.stream().mapToDouble(i -> row[i]).toArray())
                .toArray(double[][]::new);
        assertThat(TestMeasures.of(Given.scores(shuffled, POINTS))).isEqualTo(TestMeasures.of(Given.scores(x, POINTS)));
    }

    @ParameterizedTest
    @ValueSource(ints = {21, 22})
    void many_kinds_and_classes_are_counted_alike(int seed) {
        // More pairs of kind and class than attempts take the other way of counting.
        Random random = new Random(seed);
        int n = 5000;
        double[][] x = new double[2][n];
        for (int i = 0; i < n; i++) {
            x[0][i] = random.nextInt(900) / 100.0;
            x[1][i] = random.nextInt(900) / 100.0;
        }
        ItemMeasures m = ItemMeasures.of(Given.scores(x, 9, 9)).get(0);
        assertThat(m.itemRest().value()).isCloseTo(correlation(x[0], x[1]), within(1e-9));
    }
}
