package org.scholion.server.read;

import java.time.Duration;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.core.item.OpenItem;
import org.scholion.core.rubric.Reading;
import org.scholion.core.rubric.Resolving;
import org.scholion.core.text.AlikePile;
import org.scholion.core.text.LanguageSlips;
import org.scholion.core.text.SameSentences;
import org.scholion.core.text.Sought;
import org.scholion.core.text.WordRuns;
import org.scholion.server.ledger.Attempt;
import org.scholion.server.ledger.Attempts;
import org.scholion.server.ledger.Ledger;
import org.scholion.server.ledger.LedgerMark;
import org.scholion.server.ledger.MarkView;
import org.scholion.server.ledger.ReadTwice;
import org.scholion.server.platform.Me;
import org.scholion.server.platform.Veil;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What is pointed out beside an answer. It decides nothing and moves no mark. */
@Service
class Hints {
    /** Of two answers, so large a part of the words of both is in both. */
    private static final double ALIKE = 0.5;

    private static final int MOST_ALIKE = 3;
    private static final int MOST_SENTENCES = 20;
    private static final int MOST_MEANT = 8;

    /** For the words of one answer that were meant; a machine that has just been started needs a while for the first. */
    private static final Duration MEANT = Duration.ofSeconds(3);

    private final Readings readings;
    private final HintPlans plans;
    private final PileTexts piles;
    private final English english;
    private final Ledger ledger;
    private final Attempts attempts;
    private final SecondReadings seconds;
    private final Veil veil;

    Hints(
            Readings readings,
            HintPlans plans,
            PileTexts piles,
            English english,
            Ledger ledger,
            Attempts attempts,
            SecondReadings seconds,
            Veil veil) {
        this.readings = readings;
        this.plans = plans;
        this.piles = piles;
        this.english = english;
        this.ledger = ledger;
        this.attempts = attempts;
        this.seconds = seconds;
        this.veil = veil;
    }

    /** @param meant the word that was meant most likely; null where none comes near */
    record SlipView(
            LanguageSlips.Kind kind,
            int from,
            int to,
            @Nullable String meant) {}

    /**
     * Another answer with much the same words, which one has read.
     *
     * @param answer its own name, as the list of answers gives it
     * @param likeness of a hundred of the words of both so many are in both
     * @param mark what it was given, {@code levels} the levels that one chose
     */
    record LikeAnswer(
            UUID answer, @Nullable String name, int likeness, String text, MarkView mark, Map<String, String> levels) {}

    /**
     * A sentence that another student has word for word.
     *
     * @param from where it stands here, {@code to} where it ends; {@code there} and {@code thereTo} the same in the other
     */
    record SameSentence(
            int from, int to, UUID answer, @Nullable String name, String text, int there, int thereTo) {}

    /**
     * Each null where the question's plan leaves it out.
     *
     * @param words what is looked for, found or not
     */
    record HintsView(
            @Nullable List<Sought.SoughtWord> words,
            @Nullable List<SlipView> slips,
            @Nullable List<LikeAnswer> like,
            @Nullable List<SameSentence> same) {}

    private record Beside(Me me, OpenItem item, boolean names, UUID assessment, PileTexts.Texts pile, int at) {}

    @Transactional(readOnly = true)
    HintsView of(Me me, UUID assessment, String itemId, UUID answer, boolean names) {
        Attempt attempt = readings.attempt(me, assessment, answer, itemId, names);
        OpenItem item = readings.open(assessment, itemId);
        HintPlans.HintPlan plan = plans.of(assessment, itemId);
        String text = attempts.textsOf(List.of(attempt.id()), item).getOrDefault(attempt.id(), "");
        // An answer without a word is in no pile.
        boolean compared = (plan.likeness() || plan.sentences()) && !text.isBlank();
        Beside beside = compared ? beside(me, item, attempt, names) : null;
        return new HintsView(
                plan.words().isEmpty() ? null : Sought.in(text, plan.words(), english::stem),
                plan.language() ? slips(item, text) : null,
                plan.likeness() && beside != null ? like(beside) : null,
                plan.sentences() && beside != null ? same(beside) : null);
    }

    private Beside beside(Me me, OpenItem item, Attempt attempt, boolean names) {
        PileTexts.Texts pile = piles.of(attempt.assessment(), item);
        if (pile.placeOf(attempt.id()) < 0) {
            pile = piles.anew(attempt.assessment(), item);
        }
        return new Beside(me, item, names, attempt.assessment(), pile, pile.placeOf(attempt.id()));
    }

    private List<SlipView> slips(OpenItem item, String text) {
        English.Look look = english.look();
        // The words of the question are words of the trade.
        Set<String> asked = new HashSet<>(WordRuns.of(item.head().prompt()));
        List<SlipView> slips = new ArrayList<>();
        int[] left = {MOST_MEANT};
        long until = System.nanoTime() + MEANT.toNanos();
        for (LanguageSlips.Slip slip : LanguageSlips.in(text, word -> asked.contains(word) || look.has(word))) {
            boolean spelling = slip.kind() == LanguageSlips.Kind.SPELLING;
            Optional<String> meant = spelling && left[0]-- > 0
                    ? look.meant(text.substring(slip.from(), slip.to()), Duration.ofNanos(until - System.nanoTime()))
                    : Optional.empty();
            slips.add(new SlipView(slip.kind(), slip.from(), slip.to(), meant.orElse(null)));
        }
        return slips;
    }

    private List<LikeAnswer> like(Beside b) {
        if (b.at() < 0) {
            return List.of();
        }
        List<AlikePile.Near> near = b.pile().alike().nearest(b.at(), ALIKE, i -> true, 5 * MOST_ALIKE);
        List<UUID> ids =
                near.stream().map(n -> b.pile().attempts().get(n.text()).id()).toList();
        Map<UUID, Map<String, LedgerMark>> marks =
                ledger.currentOf(ids, Set.of(b.item().id()));
        SecondReadingRow second = seconds.of(b.assessment()).get(b.item().id());
        List<LikeAnswer> like = new ArrayList<>();
        for (AlikePile.Near one : near) {
            Attempt other = b.pile().attempts().get(one.text());
            UUID id = other.id();
            LedgerMark mark = marks.getOrDefault(id, Map.of()).get(b.item().id());
            LedgerMark own = mark == null ? null : readByMe(b, mark, SecondReadingRow.rule(second, id));
            if (own != null && like.size() < MOST_ALIKE) {
                MarkView view = MarkView.of(b.item(), own);
                like.add(new LikeAnswer(
                        covered(b, other),
                        name(b, other),
                        (int) Math.round(100 * one.likeness()),
                        b.pile().texts().get(one.text()),
                        b.names() ? view : view.withoutTime(),
                        new Reading(own.levels(), null).under(b.item()).levels()));
            }
        }
        return like;
    }

    /** The mark as this reader made it; null where they have not read it. */
    private static @Nullable LedgerMark readByMe(Beside b, LedgerMark mark, @Nullable Resolving rule) {
        if (rule != null) {
            ReadTwice twice = ReadTwice.of(rule, mark, b.item());
            return twice.isMadeBy(b.me().id(), b.item()) ? twice.seenBy(b.me().id(), mark, b.item()) : null;
        }
        return Objects.equals(mark.person(), b.me().id())
                        && !mark.mark().state().isUndecided()
                ? mark
                : null;
    }

    private List<SameSentence> same(Beside b) {
        if (b.at() < 0) {
            return List.of();
        }
        List<SameSentence> all = new ArrayList<>();
        for (SameSentences.Same one : b.pile().sentences().of(b.at(), MOST_SENTENCES)) {
            Attempt other = b.pile().attempts().get(one.other());
            all.add(new SameSentence(
                    one.own().from(),
                    one.own().to(),
                    covered(b, other),
                    name(b, other),
                    b.pile().texts().get(one.other()),
                    one.there().from(),
                    one.there().to()));
        }
        return all;
    }

    private UUID covered(Beside b, Attempt attempt) {
        return b.names()
                ? attempt.id()
                : veil.covered(ReadAnswers.place(b.me(), b.item().id()), attempt.id());
    }

    private static @Nullable String name(Beside b, Attempt attempt) {
        return b.names() ? attempt.name() : null;
    }
}
