package org.scholion.core.total;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.scholion.core.answer.Answer;
import org.scholion.core.item.ChoiceItem;
import org.scholion.core.item.Head;
import org.scholion.core.item.Item;
import org.scholion.core.item.Named;
import org.scholion.core.item.OrderItem;
import org.scholion.core.item.PairsItem;
import org.scholion.core.number.Fraction;
import org.scholion.core.reason.Reason;
import org.scholion.core.reason.Reason.Code;
import org.scholion.core.score.Mark;
import org.scholion.core.score.Scorer;

/** What holds whatever the paper and the answers: seeded, so that a failure comes again. */
class PromisesTest {
    private static final List<String> IDS = List.of("a", "b", "c", "d", "e", "f");

    private static ChoiceItem choice(ChoiceItem.Rule rule, Set<String> key) {
        return new ChoiceItem(
                Head.of("q", Fraction.of(3)),
                IDS.stream().map(o -> new ChoiceItem.Option(o, "")).toList(),
                List.copyOf(key),
                IDS.size(),
                rule,
                Map.of(),
                Fraction.ZERO,
                false,
                false);
    }

    private static Set<String> some(Random random) {
        Set<String> some = new LinkedHashSet<>();
        IDS.stream().filter(id -> random.nextBoolean()).forEach(some::add);
        return some.isEmpty() ? Set.of("a") : some;
    }

    private static Fraction credit(Scorer scorer, Set<String> chosen) {
        return scorer.score(new Answer.Chosen(chosen)).credit();
    }

    @ParameterizedTest
    @EnumSource(
            value = ChoiceItem.Rule.class,
            names = {"EACH", "NET"})
    void one_more_right_choice_or_one_fewer_wrong_one_never_earns_less(ChoiceItem.Rule rule) {
        Random random = new Random(rule.ordinal());
        for (int i = 0; i < 300; i++) {
            Set<String> key = some(random);
            Scorer scorer = Scorer.of(choice(rule, key));
            Set<String> chosen = some(random);
            Fraction before = credit(scorer, chosen);
            assertThat(before).isBetween(Fraction.of(-1), Fraction.ONE);
            for (String id : IDS) {
                Set<String> better = new LinkedHashSet<>(chosen);
                boolean changed = key.contains(id) ? better.add(id) : better.remove(id);
                if (changed && !better.isEmpty()) {
                    assertThat(credit(scorer, better)).isGreaterThanOrEqualTo(before);
                }
            }
            assertThat(credit(scorer, key)).isEqualTo(Fraction.ONE);
        }
    }

    @ParameterizedTest
    @EnumSource(OrderItem.Rule.class)
    void the_right_order_earns_all_and_the_order_of_a_student_something_between(OrderItem.Rule rule) {
        Random random = new Random(7);
        OrderItem item = new OrderItem(
                Head.of("q", Fraction.of(2)),
                IDS.stream().map(id -> new Named(id, "")).toList(),
                IDS,
                rule);
        Scorer scorer = Scorer.of(item);
        for (int i = 0; i < 200; i++) {
            List<String> said = new ArrayList<>(IDS);
            java.util.Collections.shuffle(said, random);
            said = said.subList(0, 1 + random.nextInt(IDS.size()));
            assertThat(scorer.score(new Answer.Ordered(said)).credit()).isBetween(Fraction.ZERO, Fraction.ONE);
        }
        assertThat(scorer.score(new Answer.Ordered(IDS)).credit()).isEqualTo(Fraction.ONE);
    }

    @ParameterizedTest
    @EnumSource(PairsItem.Rule.class)
    void a_right_pair_more_never_earns_less(PairsItem.Rule rule) {
        List<Named> things = IDS.stream().map(id -> new Named(id, "")).toList();
        List<PairsItem.Pair> key =
                IDS.stream().map(id -> new PairsItem.Pair(id, id)).toList();
        Scorer scorer = Scorer.of(new PairsItem(Head.of("q", Fraction.ONE), things, things, key, rule, 1, null));
        Fraction before = Fraction.ZERO;
        for (int n = 1; n <= key.size(); n++) {
            Fraction now = scorer.score(new Answer.Paired(new LinkedHashSet<>(key.subList(0, n))))
                    .credit();
            assertThat(now).isGreaterThanOrEqualTo(before);
            before = now;
        }
        assertThat(before).isEqualTo(Fraction.ONE);
    }

    private static Assessment paper(int items, List<Adjustment> adjustments) {
        List<Item> all = new ArrayList<>();
        for (int i = 0; i < items; i++) {
            all.add(new OrderItem(
                    Head.of("q" + i, Fraction.of(1 + i % 3)),
                    List.of(new Named("a", ""), new Named("b", "")),
                    List.of("a", "b"),
                    OrderItem.Rule.EXACT));
        }
        return new Assessment("", "en", List.of(), all, adjustments, Grading.PLAIN);
    }

    private static List<Mark> marks(Random random, int items) {
        List<Mark> marks = new ArrayList<>();
        for (int i = 0; i < items; i++) {
            marks.add(
                    switch (random.nextInt(5)) {
                        case 0 -> Mark.BLANK;
                        case 1 -> Mark.EXCUSED;
                        default ->
                            Mark.scored(Fraction.of(random.nextInt(4), 3).min(Fraction.ONE), Reason.of(Code.PERSON));
                    });
        }
        return marks;
    }

    @ParameterizedTest
    @ValueSource(ints = {1, 2, 3, 4, 5})
    void what_counts_adds_up_to_the_total_and_dropping_then_restoring_changes_nothing(int seed) {
        Random random = new Random(seed);
        for (int i = 0; i < 60; i++) {
            int items = 1 + random.nextInt(8);
            List<Mark> marks = marks(random, items);
            AttemptTotal whole = new Totals(paper(items, List.of())).of(marks, Fraction.ZERO);
            Fraction sum = whole.counted().stream().filter(Objects::nonNull).reduce(Fraction.ZERO, Fraction::plus);
            assertThat(whole.score()).isEqualTo(sum);
            String item = "q" + random.nextInt(items);
            AttemptTotal dropped = new Totals(paper(items, List.of(new Adjustment(item, Adjustment.Kind.DROP))))
                    .of(marks, Fraction.ZERO);
            assertThat(dropped.score()).isLessThanOrEqualTo(whole.score());
            assertThat(new Totals(paper(items, List.of())).of(marks, Fraction.ZERO))
                    .isEqualTo(whole);
            AttemptTotal credited = new Totals(paper(items, List.of(new Adjustment(item, Adjustment.Kind.CREDIT_ALL))))
                    .of(marks, Fraction.ZERO);
            assertThat(credited.score()).isGreaterThanOrEqualTo(whole.score());
            assertThat(credited.possible()).isEqualTo(whole.possible());
        }
    }
}
