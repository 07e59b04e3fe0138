package org.scholion.server.settle;

import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.scholion.core.answer.Answer;
import org.scholion.core.answer.Told;
import org.scholion.core.item.Item;
import org.scholion.core.item.OpenItem;
import org.scholion.core.reason.Words;
import org.scholion.core.score.Doubts.Group;
import org.scholion.core.score.HowItScores;
import org.scholion.core.score.Likeness;
import org.scholion.core.score.RightElsewhere;
import org.scholion.core.score.State;
import org.scholion.core.text.Letters;
import org.scholion.server.key.Edition;
import org.scholion.server.key.Editions;
import org.scholion.server.ledger.AnswerView;
import org.scholion.server.ledger.Attempt;
import org.scholion.server.ledger.Brief;
import org.scholion.server.ledger.LedgerMark;
import org.scholion.server.ledger.MarkedPaper;
import org.scholion.server.ledger.MarkedPapers;
import org.scholion.server.ledger.Said;
import org.scholion.server.ledger.Seen;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.JsonNode;

/** The doubts of an assessment, equal answers together, the largest groups first. */
@Service
class Doubts {
    /** So many groups are shown of the question that is looked at, and so many of each other one. */
    private static final int MOST = 200;

    private static final int MOST_AT_ALL = 10 * MOST;
    private static final int OF_OTHERS = 4;
    private static final int NAMES = 30;

    private final MarkedPapers papers;
    private final Editions editions;
    private final Seen seen;
    private final Decideds decideds;
    private final Saying saying;

    Doubts(MarkedPapers papers, Editions editions, Seen seen, Decideds decideds, Saying saying) {
        this.papers = papers;
        this.editions = editions;
        this.seen = seen;
        this.decideds = decideds;
        this.saying = saying;
    }

    /**
     * Equal answers that wait for one decision.
     *
     * @param form what they have in common; a decision names the group by it
     * @param shown the answer as the first of them gave it
     * @param count how many gave it; {@code students} are the first of them
     * @param near what it is like, in words
     * @param like the listed answers that it is like, the likeliest first
     * @param letters the answer with the letters marked that the group above it has otherwise; empty where it is near none
     * @param given the answer laid out as it was given; null where the question has changed since
     * @param rightIn the numbers of other questions in which it would be right
     * @param phrase a listed text that the answer holds, for "any answer with this in it"
     * @param byHand the key cannot learn it: it answers the question as it was before it changed
     * @param saw which marks these are; they go back with the decision
     */
    record DoubtGroup(
            String form,
            String shown,
            int count,
            List<String> students,
            String because,
            String near,
            @Nullable String phrase,
            List<Likeness> like,
            List<Letters.Stretch> letters,
            @Nullable AnswerView given,
            List<Integer> rightIn,
            boolean byHand,
            List<String> saw) {}

    /**
     * The doubts of one question.
     *
     * @param picture the file of the picture on which places are shown, and {@code alt} what is on it; null without one
     * @param waiting how many groups wait; {@code groups} are the first of them, more of the question that is looked at
     * @param decidings how many groups somebody has decided; {@code decided} are the first of them
     */
    record QuestionDoubts(
            String item,
            int number,
            String kind,
            String prompt,
            @Nullable String picture,
            @Nullable String alt,
            String points,
            String rule,
            int settled,
            int answers,
            int waiting,
            List<DoubtGroup> groups,
            int decidings,
            List<Decideds.DecidedGroup> decided) {
        boolean isEmpty() {
            return waiting == 0 && decidings == 0;
        }

        QuestionDoubts first(int most) {
            return new QuestionDoubts(
                    item,
                    number,
                    kind,
                    prompt,
                    picture,
                    alt,
                    points,
                    rule,
                    settled,
                    answers,
                    waiting,
                    groups.stream().limit(most).toList(),
                    decidings,
                    decided.stream().limit(most).toList());
        }
    }

    record DoubtsView(int doubts, int edition, List<QuestionDoubts> questions) {}

    /** An attempt with its answer to one item. */
    record Waiting(Attempt attempt, Said said, LedgerMark mark) {}

    /** What of a question is looked at: {@code item}, the first with doubts where none is named, and how many groups. */
    record Window(@Nullable String item, @Nullable Integer groups) {
        int most() {
            return groups == null ? MOST : Math.max(1, Math.min(groups, MOST_AT_ALL));
        }
    }

    @Transactional(readOnly = true)
    DoubtsView of(UUID assessment, @Nullable UUID section, Window window) {
        return windowed(all(assessment, section), window);
    }

    /** Every group, however many. */
    @Transactional(readOnly = true)
    DoubtsView all(UUID assessment, @Nullable UUID section) {
        MarkedPaper paper = papers.find(assessment, section).orElse(null);
        if (paper == null) {
            return new DoubtsView(0, 0, List.of());
        }
        Edition edition = paper.edition();
        List<Marks> own = marks(paper);
        Map<Integer, Editions.EditionLine> history = decideds.history(edition);
        RightElsewhere elsewhere = new RightElsewhere(edition.items(), edition::scorer);
        List<QuestionDoubts> questions = new ArrayList<>();
        int doubts = 0;
        for (int j = 0; j < edition.items().size(); j++) {
            Item item = edition.items().get(j);
            QuestionDoubts question = question(edition, item, j, own, history, elsewhere);
            doubts += question.answers() - question.settled();
            if (!question.isEmpty()) {
                questions.add(question);
            }
        }
        return new DoubtsView(doubts, edition.number(), questions);
    }

    /** An attempt and its marks in brief. */
    record Marks(Attempt attempt, List<Brief> marks) {}

    private QuestionDoubts question(
            Edition edition,
            Item item,
            int place,
            List<Marks> all,
            Map<Integer, Editions.EditionLine> history,
            RightElsewhere elsewhere) {
        int answers = 0;
        boolean canWait = edition.waits(item);
        List<Attempt> waiting = new ArrayList<>();
        for (Marks own : all) {
            Brief brief = own.marks().get(place);
            if (brief.said() && brief.state() != null) {
                answers++;
                if (brief.state() == State.SETTLE && canWait) {
                    waiting.add(own.attempt());
                }
            }
        }
        return question(
                edition,
                item,
                answers,
                saying.inDoubt(item, waiting),
                decided(edition, item, place, all, history),
                elsewhere);
    }

    /** Read are only those who may be decided: by hand, for all of their form, or by what the key learned. */
    private List<Decideds.DecidedGroup> decided(
            Edition edition, Item item, int place, List<Marks> all, Map<Integer, Editions.EditionLine> history) {
        if (item instanceof OpenItem) {
            return List.of();
        }
        boolean learned = decideds.mayBe(edition, item);
        List<Attempt> perhaps = new ArrayList<>();
        for (Marks own : all) {
            Brief brief = own.marks().get(place);
            if (brief.said()
                    && brief.state() == State.SCORED
                    && (brief.byPerson() || brief.ruled() || learned && brief.edition() > 1)) {
                perhaps.add(own.attempt());
            }
        }
        return decideds.of(edition, item, saying.of(item, perhaps), history);
    }

    /** All of few; of many the question that is looked at, and what names the others. */
    private static DoubtsView windowed(DoubtsView all, Window window) {
        int groups = all.questions().stream()
                .mapToInt(q -> q.waiting() + q.decidings())
                .sum();
        if (groups <= MOST) {
            return all;
        }
        String looked = all.questions().stream()
                .filter(q -> q.item().equals(window.item()))
                .findFirst()
                .or(() -> all.questions().stream().filter(q -> q.waiting() > 0).findFirst())
                .or(() -> all.questions().stream().findFirst())
                .map(QuestionDoubts::item)
                .orElse("");
        return new DoubtsView(
                all.doubts(),
                all.edition(),
                all.questions().stream()
                        .map(q -> q.first(q.item().equals(looked) ? window.most() : OF_OTHERS))
                        .toList());
    }

    /** What was decided about one item, for its key. */
    @Transactional(readOnly = true)
    List<Decideds.DecidedGroup> decided(UUID assessment, String itemId) {
        MarkedPaper paper = papers.find(assessment, null).orElse(null);
        if (paper == null) {
            return List.of();
        }
        Edition edition = paper.edition();
        List<String> items = edition.items().stream().map(Item::id).toList();
        int place = items.indexOf(itemId);
        // A passage is no question, and what is new in the draft was answered by nobody.
        return place < 0
                ? List.of()
                : decided(edition, edition.items().get(place), place, marks(paper), decideds.history(edition));
    }

    private static List<Marks> marks(MarkedPaper paper) {
        return paper.attempts().stream()
                .map(m -> new Marks(m.attempt(), m.marks()))
                .toList();
    }

    /** For each of these forms, in their order, the attempts whose answer to this item has it, decided or not. */
    @Transactional(readOnly = true)
    Map<String, List<Waiting>> ofForms(Edition edition, Item item, Collection<String> forms, @Nullable UUID section) {
        return saying.ofForms(edition, item, forms, section);
    }

    /** The answers of some attempts to this item. */
    @Transactional(readOnly = true)
    List<Waiting> ofSome(Item item, Collection<UUID> some) {
        return saying.ofSome(item, some);
    }

    private QuestionDoubts question(
            Edition edition,
            Item item,
            int answers,
            List<Waiting> waiting,
            List<Decideds.DecidedGroup> decided,
            RightElsewhere elsewhere) {
        List<Waiting> understood =
                waiting.stream().filter(w -> !w.said().outgrown()).toList();
        List<Group<Waiting>> equal = org.scholion.core.score.Doubts.of(
                item, edition.scorer(item), understood, w -> w.said().answer());
        Map<String, List<Waiting>> outgrown = outgrown(edition, item, waiting);
        Map<UUID, LedgerMark> whole = saying.whole(
                item,
                Stream.concat(equal.stream().map(Group::waiting), outgrown.values().stream())
                        .limit(MOST_AT_ALL)
                        .map(own -> own.get(0).attempt().id())
                        .toList());
        JsonNode picture = edition.pictureOf(item);
        List<DoubtGroup> groups = new ArrayList<>();
        for (int i = 0; i < equal.size(); i++) {
            Group<Waiting> g = equal.get(i);
            Answer answer = g.waiting().get(0).said().answer();
            List<Integer> rightIn = i >= MOST
                    ? List.of()
                    : elsewhere.of(item, answer).stream()
                            .map(other -> edition.numberOf(other.id()))
                            .toList();
            groups.add(group(item, g, because(whole, g.waiting()), rightIn, i < MOST_AT_ALL));
        }
        outgrown.forEach((form, own) -> groups.add(outgrown(edition, item, form, own, because(whole, own))));
        return new QuestionDoubts(
                item.id(),
                edition.numberOf(item.id()),
                item.kind(),
                item.asked(),
                picture.path("file").asString(null),
                picture.path("alt").asString(null),
                item.points().toExact(),
                HowItScores.of(item),
                answers - waiting.size(),
                answers,
                groups.size(),
                groups,
                decided.size(),
                decided);
    }

    /** Why the first of equal answers waits. */
    private static String because(Map<UUID, LedgerMark> whole, List<Waiting> equal) {
        LedgerMark mark = whole.get(equal.get(0).attempt().id());
        return mark == null ? "" : Words.english(mark.mark().reason());
    }

    /** Answers to the question as it was, equal ones together. */
    private static Map<String, List<Waiting>> outgrown(Edition edition, Item item, List<Waiting> waiting) {
        Map<String, List<Waiting>> byForm = new LinkedHashMap<>();
        waiting.stream()
                .filter(w -> w.said().outgrown())
                .forEach(w -> byForm.computeIfAbsent(w.said().form(edition, item), f -> new ArrayList<>())
                        .add(w));
        return byForm;
    }

    /** They are told in the words in which they were asked. */
    private DoubtGroup outgrown(Edition edition, Item item, String form, List<Waiting> equal, String because) {
        Waiting first = equal.get(0);
        Item asSeen = editions.numbered(edition.assessmentId(), first.attempt().edition())
                .assessment()
                .item(item.id())
                .orElse(null);
        return new DoubtGroup(
                form,
                first.said().told(item, asSeen),
                equal.size(),
                names(equal),
                because,
                "answers the question as it was before it changed",
                null,
                List.of(),
                List.of(),
                null,
                List.of(),
                true,
                seen.marks(marks(equal)));
    }

    static List<LedgerMark> marks(List<Waiting> waiting) {
        return waiting.stream().map(Waiting::mark).toList();
    }

    static List<String> names(List<Waiting> waiting) {
        return waiting.stream().limit(NAMES).map(w -> w.attempt().name()).toList();
    }

    /** @param laidOut whether it may be shown: of very many the last are only counted */
    private DoubtGroup group(Item item, Group<Waiting> group, String because, List<Integer> rightIn, boolean laidOut) {
        Waiting first = group.waiting().get(0);
        Likeness like = group.like().stream().findFirst().orElse(null);
        return new DoubtGroup(
                group.form(),
                Told.in(item, first.said().answer()),
                group.waiting().size(),
                names(group.waiting()),
                because,
                like == null
                        ? "not close to anything in the key"
                        : (like.holds() || like.apart() ? "contains" : "close to") + " “" + like.listed() + "”",
                like != null && like.holds() ? like.listed() : null,
                group.like(),
                group.letters(),
                laidOut ? AnswerView.of(item, first.said().answer()) : null,
                rightIn,
                false,
                seen.marks(marks(group.waiting())));
    }
}
