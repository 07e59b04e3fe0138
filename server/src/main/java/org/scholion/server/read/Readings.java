package org.scholion.server.read;

import java.time.Clock;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.scholion.core.answer.Answer;
import org.scholion.core.item.OpenItem;
import org.scholion.core.item.Rubric;
import org.scholion.core.rubric.Resolving;
import org.scholion.core.score.Mark;
import org.scholion.core.score.State;
import org.scholion.server.access.Access;
import org.scholion.server.key.Edition;
import org.scholion.server.key.Editions;
import org.scholion.server.ledger.Attempt;
import org.scholion.server.ledger.Attempts;
import org.scholion.server.ledger.Brief;
import org.scholion.server.ledger.ByHand;
import org.scholion.server.ledger.Ledger;
import org.scholion.server.ledger.LedgerMark;
import org.scholion.server.ledger.MarkView;
import org.scholion.server.ledger.Marked;
import org.scholion.server.ledger.MarkedPaper;
import org.scholion.server.ledger.MarkedPapers;
import org.scholion.server.ledger.OwnDecision;
import org.scholion.server.ledger.ReadTwice;
import org.scholion.server.ledger.Regrading;
import org.scholion.server.ledger.Remark;
import org.scholion.server.platform.JsonColumn;
import org.scholion.server.platform.Me;
import org.scholion.server.platform.Refused;
import org.scholion.server.platform.Veil;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.JsonNode;

/** Reading open answers: by question, with or without names, every step kept in the ledger. */
@Service
public class Readings {
    /** So many answers are shown at once; the rest comes as one goes on. */
    private static final int WINDOW = 100;

    private final MarkedPapers papers;
    private final Pile pile;
    private final Attempts attempts;
    private final Ledger ledger;
    private final Editions editions;
    private final Regrading regrading;
    private final Access access;
    private final ReadAnswers shown;
    private final SecondReadings seconds;
    private final ReaderScopes scopes;
    private final Veil veil;
    private final Clock clock;

    Readings(
            MarkedPapers papers,
            Pile pile,
            Attempts attempts,
            Ledger ledger,
            Editions editions,
            Regrading regrading,
            Access access,
            ReadAnswers shown,
            SecondReadings seconds,
            ReaderScopes scopes,
            Veil veil,
            Clock clock) {
        this.papers = papers;
        this.pile = pile;
        this.attempts = attempts;
        this.ledger = ledger;
        this.editions = editions;
        this.regrading = regrading;
        this.access = access;
        this.shown = shown;
        this.seconds = seconds;
        this.scopes = scopes;
        this.veil = veil;
        this.clock = clock;
    }

    public record LevelView(String id, String points, String text) {}

    public record CriterionView(
            String id, String title, String weight, List<String> standards, List<LevelView> levels) {}

    /**
     * An open question.
     *
     * @param unread how many answers wait until they are decided; {@code mine} how many wait for this reader, which is
     *     another number where two read
     */
    public record OpenQuestion(
            String item,
            int number,
            String prompt,
            String points,
            List<CriterionView> criteria,
            @Nullable Integer maxWords,
            int unread,
            int mine,
            int answers,
            SecondReadings.@Nullable SecondPlan second) {}

    /** What another reader made of the same answer. */
    public record OtherReading(
            String name,
            Map<String, String> levels,
            @Nullable String points,
            String comment,
            boolean third) {}

    /**
     * An answer that is read twice.
     *
     * @param blind whether the own reading is still to be made: of the other one nothing is told before
     * @param third whether the own one decides between two that lie apart
     * @param apart whether two lie apart and wait for a third
     * @param counts what counts, in words; empty while it is blind
     * @param decided whether it has been read as often as it has to be
     */
    public record SecondView(
            boolean blind, List<OtherReading> others, boolean third, boolean apart, String counts, boolean decided) {}

    /**
     * An answer to be read.
     *
     * @param answer the answer's own name, which says nothing about who wrote it while names are hidden
     * @param student read by student: whose it is, from 1 in the order of the pile; null else
     * @param name who wrote it; null when names are hidden
     * @param points by hand: where there is no rubric, or over it, and then {@code why}
     * @param saw which mark this is; it goes back with what is decided
     * @param held laid aside by the reader
     * @param remarks comments on single words, by their places
     * @param second set where the answer is read twice
     * @param attachments names of the pictures and PDFs that belong to it
     */
    public record ReadAnswer(
            UUID answer,
            String item,
            @Nullable Integer student,
            @Nullable String name,
            String text,
            int words,
            MarkView mark,
            Map<String, String> levels,
            @Nullable String points,
            String why,
            String comment,
            String note,
            boolean held,
            List<Remark> remarks,
            String saw,
            @Nullable SecondView second,
            List<String> attachments) {}

    /**
     * What is to be read.
     *
     * @param item the question that is shown; null where there is none
     * @param found how many answers to it are looked at
     * @param from the place of the first of {@code answers} among them
     * @param retaken whether anybody has taken it more than once
     */
    public record ReadView(
            List<OpenQuestion> questions,
            @Nullable String item,
            int found,
            int from,
            boolean retaken,
            List<ReadAnswer> answers) {
        static final ReadView EMPTY = new ReadView(List.of(), null, 0, 0, false, List.of());
    }

    /**
     * What is looked at.
     *
     * @param item the question; the first with something unread where none is named
     * @param from the place of an answer that is to be among those shown; from the first unread where none is named
     * @param names whether names are shown
     * @param byStudent all open answers of one student after the other, instead of all to one question
     * @param choice in which order, and which of them
     */
    record Looking(
            @Nullable UUID section,
            @Nullable String item,
            @Nullable Integer from,
            boolean names,
            boolean byStudent,
            Pile.Choice choice) {}

    /**
     * What a reader chose and says.
     *
     * @param points where there is no rubric; with one, points that count instead of it, and then {@code why} they do
     * @param saw the mark that the reader saw; another one meanwhile is a conflict, and nothing is lost
     * @param third whether it decides between two readings that lie apart, by one of those who made them
     * @param remarks comments on single words, short marks among them; none where null
     */
    public record ReadingChange(
            Map<String, String> levels,
            @Nullable String points,
            @Nullable String why,
            String comment,
            String note,
            boolean hold,
            String saw,
            @Nullable Boolean third,
            @Nullable List<Remark> remarks) {
        public ReadingChange {
            levels = Objects.requireNonNullElse(levels, Map.of());
            comment = Objects.requireNonNullElse(comment, "");
            note = Objects.requireNonNullElse(note, "");
            saw = Objects.requireNonNullElse(saw, "");
        }
    }

    /** Taking back the last reading, if it is the one that was seen. */
    public record ReadingUndo(String saw) {}

    /** All answers to a question in their usual order. */
    @Transactional(readOnly = true)
    public ReadView of(Me me, UUID assessment, @Nullable UUID section, String item, boolean names) {
        Pile.Choice all = new Pile.Choice(Pile.Order.USUAL, Pile.Show.ALL, null);
        return of(me, assessment, new Looking(section, item, null, names, false, all));
    }

    @Transactional(readOnly = true)
    ReadView of(Me me, UUID assessment, Looking looking) {
        access.require(me, Access.Action.READ_ANSWERS, assessment);
        if (looking.names()) {
            // A reader who teaches none of them is told no names.
            access.require(me, Access.Action.WORK_ON_ASSESSMENT, assessment);
        }
        MarkedPaper paper = papers.find(assessment, looking.section()).orElse(null);
        ReaderScopes.Scope scope = scopes.of(me, assessment);
        List<OpenItem> open = paper == null
                ? List.of()
                : openItems(paper.edition()).stream()
                        .filter(o -> scope.holds(o.id()))
                        .toList();
        if (paper == null || open.isEmpty()) {
            return ReadView.EMPTY;
        }
        List<OpenQuestion> questions = new ArrayList<>();
        Map<String, List<Given>> given = given(paper, open, scope);
        Map<String, SecondReadingRow> twice = seconds.of(assessment);
        for (OpenItem one : open) {
            SecondReadingRow second = twice.get(one.id());
            List<Given> answers = given.getOrDefault(one.id(), List.of());
            int unread = count(answers);
            if (second != null) {
                answers = forReader(me, one, second, answers);
                given.put(one.id(), answers);
            }
            questions.add(question(
                    paper.edition(), one, unread, count(answers), answers.size(), SecondReadings.view(second)));
        }
        if (looking.byStudent()) {
            List<Waiting> all = byStudent(me, paper, open, given, twice, looking);
            return window(me, questions, null, all, twice, looking, isRetaken(paper));
        }
        OpenItem looked = open.stream()
                .filter(o -> o.id().equals(looking.item()))
                .findFirst()
                .or(() -> first(open, questions))
                .orElse(null);
        if (looked == null) {
            return new ReadView(questions, null, 0, 0, false, List.of());
        }
        List<Given> usual = inOrder(me, looked, given.getOrDefault(looked.id(), List.of()), looking.names());
        SecondReadingRow second = twice.get(looked.id());
        List<Waiting> all = pile.of(me, looked, usual, looking.choice(), second).stream()
                .map(g -> new Waiting(looked, g, null))
                .toList();
        return window(me, questions, looked.id(), all, twice, looking, isRetaken(paper));
    }

    /** An answer of the pile, with the student's number where it is read by student. */
    private record Waiting(
            OpenItem item, Given given, @Nullable Integer student) {}

    private ReadView window(
            Me me,
            List<OpenQuestion> questions,
            @Nullable String item,
            List<Waiting> all,
            Map<String, SecondReadingRow> twice,
            Looking looking,
            boolean retaken) {
        int from = from(all, looking.from());
        List<Waiting> window = all.subList(from, Math.min(all.size(), from + WINDOW));
        return new ReadView(questions, item, all.size(), from, retaken, answers(me, window, looking.names(), twice));
    }

    private static boolean isRetaken(MarkedPaper paper) {
        Set<UUID> students = new HashSet<>();
        return !paper.attempts().stream().allMatch(m -> students.add(m.attempt().student()));
    }

    /** Student after student, without names in an order that says nothing about them, and each in the paper's order. */
    private List<Waiting> byStudent(
            Me me,
            MarkedPaper paper,
            List<OpenItem> open,
            Map<String, List<Given>> given,
            Map<String, SecondReadingRow> twice,
            Looking looking) {
        Map<UUID, List<Waiting>> all = new HashMap<>();
        Pile.Choice choice = new Pile.Choice(Pile.Order.USUAL, looking.choice().show(), null);
        Set<UUID> said = given.values().stream()
                .flatMap(List::stream)
                .map(g -> g.attempt().id())
                .collect(Collectors.toSet());
        List<UUID> order = inOrder(
                me,
                paper.attempts().stream()
                        .map(m -> m.attempt().id())
                        .filter(said::contains)
                        .toList(),
                looking);
        Map<UUID, Integer> numbers = new HashMap<>();
        order.forEach(id -> numbers.put(id, numbers.size() + 1));
        for (OpenItem item : open) {
            List<Given> answers = given.getOrDefault(item.id(), List.of());
            for (Given one : pile.of(me, item, answers, choice, twice.get(item.id()))) {
                UUID id = one.attempt().id();
                all.computeIfAbsent(id, i -> new ArrayList<>()).add(new Waiting(item, one, numbers.get(id)));
            }
        }
        return order.stream()
                .flatMap(id -> all.getOrDefault(id, List.of()).stream())
                .toList();
    }

    private List<UUID> inOrder(Me me, List<UUID> ids, Looking looking) {
        if (looking.names()) {
            return ids;
        }
        Map<UUID, UUID> covered = veil.covered("read/" + me.id() + "/by student", ids);
        return ids.stream()
                .sorted(Comparator.comparing(id -> Objects.requireNonNull(covered.get(id))))
                .toList();
    }

    /** How many answers of an assessment wait for this reader, by section. */
    @Transactional(readOnly = true)
    public Map<UUID, Integer> waiting(Me me, UUID assessment) {
        access.require(me, Access.Action.READ_ANSWERS, assessment);
        MarkedPaper paper = papers.find(assessment, null).orElse(null);
        Map<UUID, Integer> waiting = new HashMap<>();
        if (paper != null) {
            given(paper, openItems(paper.edition()), scopes.of(me, assessment)).values().stream()
                    .flatMap(List::stream)
                    .filter(Given::unread)
                    .forEach(g -> waiting.merge(g.attempt().section(), 1, Integer::sum));
        }
        return waiting;
    }

    /** The answers to one question in their usual order. */
    List<Given> usual(Me me, UUID assessment, @Nullable UUID section, OpenItem item, boolean names) {
        List<Given> given = papers.find(assessment, section)
                .map(paper ->
                        given(paper, List.of(item), scopes.of(me, assessment)).getOrDefault(item.id(), List.of()))
                .orElse(List.of());
        return inOrder(me, item, given, names);
    }

    /** An answer to an open question. */
    record Given(Attempt attempt, boolean unread) {}

    private static int count(List<Given> answers) {
        return (int) answers.stream().filter(Given::unread).count();
    }

    /** Of those that are read twice each waits for every reader by itself. */
    private List<Given> forReader(Me me, OpenItem item, SecondReadingRow second, List<Given> answers) {
        Map<UUID, Boolean> waits = seconds.waitsFor(
                me, item, second, answers.stream().map(g -> g.attempt().id()).toList());
        return answers.stream()
                .map(g -> new Given(g.attempt(), waits.getOrDefault(g.attempt().id(), g.unread())))
                .toList();
    }

    private static Map<String, List<Given>> given(MarkedPaper paper, List<OpenItem> open, ReaderScopes.Scope scope) {
        Map<String, List<Given>> all = new HashMap<>();
        for (Marked m : paper.attempts()) {
            List<Brief> marks = m.marks();
            for (OpenItem item : open) {
                Brief brief = marks.get(paper.edition().items().indexOf(item));
                if (brief.said() && brief.state() != null && scope.holds(item.id(), m.attempt())) {
                    all.computeIfAbsent(item.id(), i -> new ArrayList<>())
                            .add(new Given(m.attempt(), brief.state() == State.READ));
                }
            }
        }
        return all;
    }

    /** Without a choice the first question with something unread, else the first with something to see. */
    private static Optional<OpenItem> first(List<OpenItem> open, List<OpenQuestion> questions) {
        return IntStream.range(0, open.size())
                .filter(i -> questions.get(i).mine() > 0)
                .mapToObj(open::get)
                .findFirst()
                .or(() -> IntStream.range(0, open.size())
                        .filter(i -> questions.get(i).answers() > 0)
                        .mapToObj(open::get)
                        .findFirst());
    }

    /** Without names in an order that says nothing about who wrote what and stays the same from visit to visit. */
    private List<Given> inOrder(Me me, OpenItem item, List<Given> given, boolean names) {
        if (names) {
            return given;
        }
        Map<UUID, UUID> covered = veil.covered(
                ReadAnswers.place(me, item.id()),
                given.stream().map(g -> g.attempt().id()).toList());
        return given.stream()
                .sorted(Comparator.comparing(
                        g -> Objects.requireNonNull(covered.get(g.attempt().id()))))
                .toList();
    }

    /** Where a window begins that has this place in it; without one, the first unread. */
    private static int from(List<Waiting> all, @Nullable Integer wanted) {
        int place = wanted == null
                ? IntStream.range(0, all.size())
                        .filter(i -> all.get(i).given().unread())
                        .findFirst()
                        .orElse(0)
                : Math.max(0, Math.min(wanted, all.size() - 1));
        return Math.max(0, place) / WINDOW * WINDOW;
    }

    private List<ReadAnswer> answers(Me me, List<Waiting> window, boolean names, Map<String, SecondReadingRow> twice) {
        List<UUID> ids =
                window.stream().map(w -> w.given().attempt().id()).distinct().toList();
        Set<String> items = window.stream().map(w -> w.item().id()).collect(Collectors.toSet());
        Map<UUID, Map<String, JsonNode>> responses = attempts.responsesOf(ids, items);
        Map<UUID, Map<String, LedgerMark>> current = ledger.currentOf(ids, items);
        List<ReadAnswer> all = new ArrayList<>();
        for (Waiting one : window) {
            OpenItem item = one.item();
            UUID id = one.given().attempt().id();
            LedgerMark mark = current.getOrDefault(id, Map.of()).get(item.id());
            if (mark != null) {
                Answer answer = Attempts.answer(item, responses.getOrDefault(id, Map.of()));
                Resolving rule = SecondReadingRow.rule(twice.get(item.id()), id);
                all.add(shown.view(me, item, one.given().attempt(), answer, mark, names, rule, one.student()));
            }
        }
        return all;
    }

    private static List<OpenItem> openItems(Edition edition) {
        return edition.items().stream()
                .filter(i -> i instanceof OpenItem && edition.waits(i))
                .map(OpenItem.class::cast)
                .toList();
    }

    private static OpenQuestion question(
            Edition edition,
            OpenItem item,
            int unread,
            int mine,
            int answers,
            SecondReadings.@Nullable SecondPlan second) {
        return new OpenQuestion(
                item.id(),
                edition.numberOf(item.id()),
                item.head().prompt(),
                item.points().toExact(),
                item.criteria().stream().map(Readings::criterion).toList(),
                item.maxWords(),
                unread,
                mine,
                answers,
                second);
    }

    private static CriterionView criterion(Rubric.Criterion c) {
        return new CriterionView(
                c.id(),
                c.title(),
                c.weight().toExact(),
                c.standards().stream().map(a -> a.code()).toList(),
                c.levels().stream()
                        .map(l -> new LevelView(l.id(), l.points().toExact(), l.text()))
                        .toList());
    }

    /** The attempt that an answer is of; where names are hidden, its own name is turned back. */
    Attempt attempt(Me me, UUID assessment, UUID answer, String item, boolean names) {
        UUID id = names ? answer : veil.uncovered(ReadAnswers.place(me, item), answer);
        access.require(me, names ? Access.Action.WORK_ON_ATTEMPT : Access.Action.READ_ATTEMPT, id);
        Attempt attempt = attempts.require(id);
        if (!attempt.assessment().equals(assessment)
                || !scopes.of(me, assessment).holds(item, attempt)) {
            throw Refused.notFound();
        }
        return attempt;
    }

    public ReadAnswer save(Me me, UUID assessment, UUID answer, String itemId, ReadingChange change, boolean names) {
        Attempt attempt = attempt(me, assessment, answer, itemId, names);
        return decide(me, attempt, itemId, change.saw(), names, (edition, item, current, rule, text) -> {
            Chosen chosen = new Chosen(change, text);
            Mark alone = chosen.markOf(item);
            ReadTwice.ByReader mine = chosen.by(me);
            if (rule == null) {
                return LedgerMark.byPerson(
                        attempt.id(),
                        itemId,
                        alone,
                        edition.number(),
                        me,
                        JsonColumn.node(mine.plain()),
                        clock.instant());
            }
            ReadTwice all = ReadTwice.of(rule, current, item).with(mine);
            // What was overruled does not move with the second of two readings, whose reader knows nothing of it.
            boolean stays = ByHand.isOverruled(current) && !mine.third();
            return LedgerMark.byPerson(
                    attempt.id(),
                    itemId,
                    stays ? current.mark() : all.markOf(item),
                    edition.number(),
                    me,
                    stays ? ByHand.stays(all.kept(mine)) : all.kept(mine),
                    clock.instant());
        });
    }

    private interface Deciding {
        LedgerMark under(Edition edition, OpenItem item, LedgerMark current, @Nullable Resolving rule, String text);
    }

    /** One decision about one answer, if the mark that was seen is still the current one. */
    private ReadAnswer decide(Me me, Attempt attempt, String itemId, String saw, boolean names, Deciding deciding) {
        Map<String, JsonNode> responses = attempts.responsesOf(attempt.id());
        OpenItem[] item = new OpenItem[1];
        Resolving rule =
                seconds.ruleOf(attempt.assessment(), itemId, attempt.id()).orElse(null);
        LedgerMark written = regrading
                .decide(me, attempt.assessment(), List.of(attempt.id()), () -> {
                    Edition edition = editions.require(attempt.assessment());
                    item[0] = open(edition, itemId);
                    LedgerMark current = Objects.requireNonNull(
                            ledger.currentOf(attempt.id()).get(itemId));
                    if (!shown.saw(me, item[0], current, rule).equals(saw)) {
                        ReadAnswer theirs = shown.view(
                                me, item[0], attempt, Attempts.answer(item[0], responses), current, names, rule);
                        throw Refused.overtaken(
                                "This answer was read meanwhile"
                                        + (current.personName() == null ? "" : " by " + current.personName())
                                        + ". Both readings are here; nothing was overwritten.",
                                theirs);
                    }
                    String text = Attempts.answer(item[0], responses).shown();
                    return List.of(deciding.under(edition, item[0], current, rule, text));
                })
                .get(0);
        return shown.view(me, item[0], attempt, Attempts.answer(item[0], responses), written, names, rule);
    }

    /** Goes back to what the answer had before one's own last reading; nothing is taken out of the ledger. */
    public ReadAnswer undo(Me me, UUID assessment, UUID answer, String itemId, ReadingUndo undo, boolean names) {
        Attempt attempt = attempt(me, assessment, answer, itemId, names);
        return decide(me, attempt, itemId, undo.saw(), names, (edition, item, current, rule, text) -> {
            OwnDecision own = new OwnDecision(ledger.history(attempt.id(), itemId));
            LedgerMark last = own.standing();
            if (last.person() == null || last.reading() == null) {
                throw Refused.conflict("nothing-to-undo", "Nobody has read this answer yet.");
            }
            return own.before(me, "reading", "Read the answer again to decide differently.")
                    .restored(me, edition.number(), clock.instant());
        });
    }

    OpenItem open(UUID assessment, String itemId) {
        return open(editions.require(assessment), itemId);
    }

    private static OpenItem open(Edition edition, String itemId) {
        return openItems(edition).stream()
                .filter(o -> o.id().equals(itemId))
                .findFirst()
                .map(Objects::requireNonNull)
                .orElseThrow(Refused::notFound);
    }
}
