package org.scholion.core.score;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.scholion.core.score.Marks.f;
import static org.scholion.core.score.Marks.head;
import static org.scholion.core.score.Marks.same;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.scholion.core.answer.Answer;
import org.scholion.core.item.BlanksItem;
import org.scholion.core.item.CorrectionItem;
import org.scholion.core.item.Faulty;
import org.scholion.core.item.Head;
import org.scholion.core.item.Item;
import org.scholion.core.item.Named;
import org.scholion.core.item.OrderItem;
import org.scholion.core.item.PairsItem;
import org.scholion.core.item.SpotItem;
import org.scholion.core.item.TextItem;
import org.scholion.core.number.Fraction;
import org.scholion.core.reason.Words;

/** Blanks, matching, ordering, places on a picture and corrections. */
class KindsTest {
    private static BlanksItem.Part part(String id, String weight, TextItem.Accepted... accept) {
        TextItem text = new TextItem(
                Head.of(id, Fraction.ONE),
                List.of(accept),
                List.of(),
                Fraction.ZERO,
                TextItem.USUAL,
                TextItem.Spelling.NONE,
                Fraction.ONE,
                false,
                "en");
        return new BlanksItem.Part(text, f(weight));
    }

    private static Mark blanks(BlanksItem item, String... said) {
        Map<String, Answer> parts = new LinkedHashMap<>();
        for (int i = 0; i < said.length; i++) {
            parts.put(item.parts().get(i).id(), new Answer.Typed(said[i]));
        }
        return Scorer.of(item).score(new Answer.Parts(parts));
    }

    private static BlanksItem tides(boolean exact, List<List<String>> anyOrder) {
        return new BlanksItem(
                head(),
                List.of(part("b1", "2", same("ebb")), part("b2", "1", same("flood")), part("b3", "1", same("slack"))),
                exact,
                anyOrder);
    }

    @Test
    void blanks_count_by_weight_and_a_blank_part_counts_zero() {
        assertThat(blanks(tides(false, List.of()), "Ebb", "", "slack").credit()).isEqualTo(f("3/4"));
        assertThat(blanks(tides(false, List.of()), "Ebb", "", "slack").state()).isEqualTo(State.SCORED);
        assertThat(blanks(tides(true, List.of()), "ebb", "flood", "slack").credit())
                .isEqualTo(Fraction.ONE);
        assertThat(blanks(tides(true, List.of()), "ebb", "flood", " ").credit()).isEqualTo(Fraction.ZERO);
        assertThat(blanks(tides(false, List.of()), " ", "", "")).isEqualTo(Mark.BLANK);
    }

    @Test
    void a_part_in_doubt_puts_the_item_in_doubt_while_the_others_keep_their_credit() {
        Mark mark = blanks(tides(false, List.of()), "ebb", "tide", "slack");
        assertThat(mark.state()).isEqualTo(State.SETTLE);
        assertThat(mark.credit()).isEqualTo(f("3/4"));
        assertThat(Words.english(mark.reason())).contains("blank 2: matches nothing in the answer key");
    }

    @Test
    void parts_that_may_change_places_are_matched_as_is_best() {
        List<List<String>> group = List.of(List.of("b2", "b3"));
        assertThat(blanks(tides(false, group), "ebb", "slack", "flood").credit())
                .isEqualTo(Fraction.ONE);
        assertThat(blanks(tides(false, List.of()), "ebb", "slack", "flood").state())
                .isEqualTo(State.SETTLE);
        assertThatThrownBy(() -> tides(false, List.of(List.of("b1", "b2"))))
                .hasMessageContaining("same kind and weight");
        assertThatThrownBy(() -> tides(false, List.of(List.of("b2", "b9"))))
                .isInstanceOfSatisfying(Faulty.class, e -> assertThat(e.place()).isEqualTo("anyOrder[0][1]"));
    }

    @Test
    void the_matching_is_the_best_of_all_and_the_earliest_of_equal_ones() {
        Random random = new Random(17);
        for (int run = 0; run < 300; run++) {
            int n = 1 + random.nextInt(5);
            Mark[][] marks = new Mark[n][n];
            for (Mark[] row : marks) {
                for (int k = 0; k < n; k++) {
                    boolean doubt = random.nextInt(4) == 0;
                    Fraction credit = Fraction.of(random.nextInt(4) - 1, 2).min(Fraction.ONE);
                    row[k] = doubt
                            ? Mark.settle(org.scholion.core.reason.Reason.of(
                                    org.scholion.core.reason.Reason.Code.TEXT_UNKNOWN))
                            : Mark.scored(
                                    credit,
                                    org.scholion.core.reason.Reason.of(org.scholion.core.reason.Reason.Code.PERSON));
                }
            }
            assertThat(BestMatching.of(marks)).isEqualTo(byTryingAll(marks));
        }
    }

    private static int[] byTryingAll(Mark[][] marks) {
        int[] best = null;
        for (int[] keys : orders(marks.length)) {
            if (best == null || better(marks, keys, best)) {
                best = keys;
            }
        }
        return best;
    }

    /** Strictly better; the orders come in lexicographic order, so that the earliest of equal ones stays. */
    private static boolean better(Mark[][] marks, int[] a, int[] b) {
        int byCredit = sum(marks, a).compareTo(sum(marks, b));
        return byCredit > 0 || byCredit == 0 && doubts(marks, a) < doubts(marks, b);
    }

    private static Fraction sum(Mark[][] marks, int[] keys) {
        return IntStream.range(0, keys.length)
                .mapToObj(i -> marks[i][keys[i]].credit())
                .reduce(Fraction.ZERO, Fraction::plus);
    }

    private static long doubts(Mark[][] marks, int[] keys) {
        return IntStream.range(0, keys.length)
                .filter(i -> marks[i][keys[i]].state() == State.SETTLE)
                .count();
    }

    private static List<int[]> orders(int n) {
        if (n == 0) {
            return List.of(new int[0]);
        }
        List<int[]> all = new ArrayList<>();
        orders(new int[n], 0, new boolean[n], all);
        return all;
    }

    private static void orders(int[] keys, int at, boolean[] used, List<int[]> all) {
        if (at == keys.length) {
            all.add(keys.clone());
            return;
        }
        for (int k = 0; k < keys.length; k++) {
            if (!used[k]) {
                used[k] = true;
                keys[at] = k;
                orders(keys, at + 1, used, all);
                used[k] = false;
            }
        }
    }

    private static List<Named> named(String... ids) {
        return Arrays.stream(ids).map(id -> new Named(id, "the " + id)).toList();
    }

    private static Set<PairsItem.Pair> pairs(String written) {
        Set<PairsItem.Pair> pairs = new LinkedHashSet<>();
        for (String pair : written.isBlank() ? new String[0] : written.split(" ")) {
            pairs.add(new PairsItem.Pair(pair.substring(0, 1), pair.substring(1)));
        }
        return pairs;
    }

    private static PairsItem buoys(PairsItem.Rule rule) {
        return new PairsItem(
                head(),
                named("a", "b", "c", "d"),
                named("1", "2", "3", "4"),
                List.copyOf(pairs("a1 b2 c3 d4")),
                rule,
                1,
                null);
    }

    @ParameterizedTest
    @CsvSource({
        "EACH, a1 b2 c3 d4, 1",
        "EACH, a1 b2 c4, 1/2",
        "EACH, a2, 0",
        "NET, a1 b2 c4, 1/4",
        "NET, a2 b1, 0",
        "NET, a1, 1/4",
        "EXACT, a1 b2 c3 d4, 1",
        "EXACT, a1 b2 c3, 0"
    })
    void pairs_follow_the_rule(PairsItem.Rule rule, String said, String credit) {
        Mark mark = Scorer.of(buoys(rule)).score(new Answer.Paired(pairs(said)));
        assertThat(mark.credit()).as(Words.english(mark.reason())).isEqualTo(f(credit));
    }

    @Test
    void a_wrong_pair_is_named_in_the_reason_and_no_pair_is_blank() {
        Mark mark = Scorer.of(buoys(PairsItem.Rule.EACH)).score(new Answer.Paired(pairs("a1 b3")));
        assertThat(Words.english(mark.reason())).isEqualTo("1 of 4 pairs right; not right: the b – the 3");
        assertThat(Scorer.of(buoys(PairsItem.Rule.NET)).score(new Answer.Paired(Set.of())))
                .isEqualTo(Mark.BLANK);
    }

    @Test
    void more_pairs_than_a_side_may_stand_in_are_an_error_of_the_input() {
        Scorer scorer = Scorer.of(buoys(PairsItem.Rule.EACH));
        assertThatThrownBy(() -> scorer.score(new Answer.Paired(pairs("a1 a2"))))
                .hasMessageContaining("at most 1");
        PairsItem once = new PairsItem(
                head(), named("a", "b"), named("1", "2"), List.copyOf(pairs("a1 b2")), PairsItem.Rule.EACH, 1, 1);
        assertThatThrownBy(() -> Scorer.of(once).score(new Answer.Paired(pairs("a1 b1"))))
                .hasMessageContaining("'1' stands in 2");
        assertThatThrownBy(() -> scorer.score(new Answer.Paired(pairs("z1")))).hasMessageContaining("'z'");
    }

    private static OrderItem steps(OrderItem.Rule rule) {
        return new OrderItem(head(), named("a", "b", "c", "d", "x"), List.of("a", "b", "c", "d"), rule);
    }

    @ParameterizedTest
    @CsvSource({
        "EXACT, a b c d, 1",
        "EXACT, a b d c, 0",
        "EXACT, a b c, 0",
        "PLACES, a b d c, 1/2",
        "PLACES, b a, 0",
        "PLACES, a b c d x, 1",
        "PLACES, x b, 1/4",
        "NEIGHBOURS, a b c d, 1",
        "NEIGHBOURS, c d a b, 2/3",
        "NEIGHBOURS, a c b d, 0",
        "NEIGHBOURS, a b, 1/3",
        "COUPLES, a b c d, 1",
        "COUPLES, d c b a, 0",
        "COUPLES, b a c d, 5/6",
        "COUPLES, a b, 1/6",
        "LONGEST, a b c d, 1",
        "LONGEST, d a b c, 2/3",
        "LONGEST, d c b a, 0",
        "LONGEST, a x d, 1/3",
        "LONGEST, x, 0"
    })
    void orders_follow_the_rule(OrderItem.Rule rule, String said, String credit) {
        Mark mark = Scorer.of(steps(rule)).score(new Answer.Ordered(List.of(said.split(" "))));
        assertThat(mark.credit()).as(Words.english(mark.reason())).isEqualTo(f(credit));
    }

    @ParameterizedTest
    @EnumSource(OrderItem.Rule.class)
    void any_order_earns_between_nothing_and_everything_and_only_the_right_one_everything(OrderItem.Rule rule) {
        Random random = new Random(4);
        for (int i = 0; i < 300; i++) {
            List<String> said = new ArrayList<>(List.of("a", "b", "c", "d"));
            Collections.shuffle(said, random);
            Fraction credit =
                    Scorer.of(steps(rule)).score(new Answer.Ordered(said)).credit();
            assertThat(credit).isBetween(Fraction.ZERO, Fraction.ONE);
            assertThat(credit.equals(Fraction.ONE)).isEqualTo(said.equals(List.of("a", "b", "c", "d")));
        }
    }

    private static SpotItem.Point point(String x, String y) {
        return new SpotItem.Point(f(x), f(y));
    }

    private static SpotItem chart(SpotItem.Rule rule, String aspect) {
        SpotItem.Polygon triangle =
                new SpotItem.Polygon(List.of(point("0.5", "0.5"), point("0.7", "0.5"), point("0.7", "0.7")));
        return new SpotItem(
                head(),
                List.of(
                        new SpotItem.Region("c", new SpotItem.Circle(point("0.2", "0.2"), f("0.1"))),
                        new SpotItem.Region("r", new SpotItem.Rect(f("0.1"), f("0.1"), f("0.3"), f("0.3"))),
                        new SpotItem.Region("t", triangle)),
                List.of("c", "r", "t"),
                rule,
                f(aspect));
    }

    private static Fraction spot(SpotItem item, String... points) {
        List<SpotItem.Point> said = Arrays.stream(points)
                .map(p -> point(p.split(",")[0], p.split(",")[1]))
                .toList();
        return Scorer.of(item).score(new Answer.Pointed(said)).credit();
    }

    @Test
    void each_point_hits_the_first_keyed_region_that_is_not_hit_yet() {
        SpotItem hits = chart(SpotItem.Rule.HITS, "1");
        assertThat(spot(hits, "0.2,0.2", "0.2,0.2", "0.65,0.55")).isEqualTo(Fraction.ONE);
        assertThat(spot(hits, "0.2,0.2", "0.9,0.9")).isEqualTo(f("1/3"));
        assertThat(spot(hits, "0.2,0.2", "0.2,0.2", "0.65,0.55", "0.9,0.9"))
                .as("more points than places")
                .isEqualTo(Fraction.ZERO);
        SpotItem net = chart(SpotItem.Rule.NET, "1");
        assertThat(spot(net, "0.2,0.2", "0.9,0.9")).isEqualTo(Fraction.ZERO);
        assertThat(spot(net, "0.2,0.2", "0.2,0.2", "0.2,0.2"))
                .as("a third point there is in a keyed region")
                .isEqualTo(f("2/3"));
        SpotItem exact = chart(SpotItem.Rule.EXACT, "1");
        assertThat(spot(exact, "0.2,0.2", "0.2,0.2", "0.65,0.55")).isEqualTo(Fraction.ONE);
        assertThat(spot(exact, "0.2,0.2", "0.2,0.2", "0.65,0.55", "0.2,0.2")).isEqualTo(Fraction.ZERO);
    }

    @ParameterizedTest
    @CsvSource({
        "0.5, 0.5, true",
        "0.6, 0.5, true",
        "0.6, 0.6, true",
        "0.7, 0.7, true",
        "0.7, 0.6, true",
        "0.65, 0.55, true",
        "0.499999, 0.5, false",
        "0.6, 0.499999, false",
        "0.6, 0.600001, false",
        "0.700001, 0.6, false",
        "0.5, 0.6, false"
    })
    void the_border_belongs_to_a_polygon_and_nothing_beyond_it(String x, String y, boolean inside) {
        SpotItem.Region triangle = chart(SpotItem.Rule.HITS, "1").regions().get(2);
        assertThat(triangle.shape().holds(point(x, y), Fraction.ONE)).isEqualTo(inside);
    }

    @Test
    void the_border_belongs_to_circles_and_rectangles_and_the_aspect_scales_the_height() {
        SpotItem.Shape circle = new SpotItem.Circle(point("0.2", "0.2"), f("0.1"));
        assertThat(circle.holds(point("0.3", "0.2"), Fraction.ONE)).isTrue();
        assertThat(circle.holds(point("0.300001", "0.2"), Fraction.ONE)).isFalse();
        assertThat(circle.holds(point("0.26", "0.28"), Fraction.ONE))
                .as("3, 4, 5")
                .isTrue();
        assertThat(circle.holds(point("0.2", "0.4"), Fraction.HALF)).isTrue();
        assertThat(circle.holds(point("0.2", "0.4"), Fraction.ONE)).isFalse();
        SpotItem.Shape rect = new SpotItem.Rect(f("0"), f("0"), f("0.5"), f("0.5"));
        assertThat(rect.holds(point("0.5", "0.5"), Fraction.ONE)).isTrue();
        assertThat(rect.holds(point("0.51", "0.5"), Fraction.ONE)).isFalse();
    }

    private static Mark correct(String said) {
        CorrectionItem item = new CorrectionItem(
                head(),
                "the tide have went out, alreddy.",
                List.of("The tide has gone out already.", "The tide went out already."));
        return Scorer.of(item).score(new Answer.Typed(said));
    }

    @Test
    void a_correction_earns_the_share_of_the_way_to_the_nearest_accepted_sentence() {
        assertThat(correct("The tide has gone out already.").credit()).isEqualTo(Fraction.ONE);
        assertThat(correct("the tide have went out, alreddy.").credit()).isEqualTo(Fraction.ZERO);
        assertThat(correct("The tide went out, already.").credit()).isEqualTo(f("3/4"));
        assertThat(correct("Something else entirely, in many more words than were asked for.")
                        .credit())
                .isEqualTo(Fraction.ZERO);
        assertThat(correct(" ")).isEqualTo(Mark.BLANK);
        assertThat(Words.english(correct("The tide went out, already.").reason()))
                .isEqualTo(
                        "1 change is still needed to reach “The tide went out already.” (the faulty sentence needed 4); still wrong: “,”");
    }

    @Test
    void words_keep_inner_hyphens_and_apostrophes_and_every_other_sign_is_a_token() {
        assertThat(org.scholion.core.text.Tokens.of("Don’t tie-up, now!  «so»"))
                .containsExactly("Don't", "tie-up", ",", "now", "!", "\"", "so", "\"");
        CorrectionItem same = new CorrectionItem(head(), "It  falls.", List.of("It falls ."));
        assertThatThrownBy(() -> Scorer.of(same))
                .isInstanceOfSatisfying(Faulty.class, e -> assertThat(e.place()).isEqualTo("accept[0]"));
    }

    @Test
    void an_answer_of_another_kind_is_refused_by_name() {
        for (Item item : List.of(
                tides(false, List.of()),
                buoys(PairsItem.Rule.EACH),
                steps(OrderItem.Rule.EXACT),
                chart(SpotItem.Rule.HITS, "1"))) {
            assertThatThrownBy(() -> Scorer.of(item).score(new Answer.Typed("x")))
                    .hasMessageContaining("a " + item.kind() + " is answered with");
            assertThat(Scorer.of(item).score(Answer.NONE)).isEqualTo(Mark.BLANK);
            assertThat(HowItScores.of(item)).isNotBlank();
        }
    }
}
