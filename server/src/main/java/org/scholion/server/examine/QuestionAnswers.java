package org.scholion.server.examine;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.TreeMap;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.core.answer.Answer;
import org.scholion.core.item.Item;
import org.scholion.core.item.OpenItem;
import org.scholion.core.item.OrderItem;
import org.scholion.core.item.PairsItem;
import org.scholion.core.item.WorkingItem;
import org.scholion.core.measure.Crossed;
import org.scholion.core.measure.Figures;
import org.scholion.core.measure.NumberLine;
import org.scholion.core.measure.OptionFigures;
import org.scholion.core.measure.Unfinished;
import org.scholion.core.number.Fraction;
import org.scholion.core.score.State;
import org.scholion.server.key.Edition;
import org.scholion.server.key.Editions;
import org.scholion.server.ledger.AnswerView;
import org.scholion.server.ledger.Attempts;
import org.scholion.server.ledger.Brief;
import org.scholion.server.ledger.Ledger;
import org.scholion.server.ledger.LedgerMark;
import org.scholion.server.ledger.Said;
import org.scholion.server.platform.Refused;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.JsonNode;

/** What was answered to one question: equal answers together, the most frequent first, none cut off. */
@Service
class QuestionAnswers {
    /** So many different answers are listed; of an open question each is one of its own. */
    private static final int MOST = 500;

    private static final int AT_ONCE = 5_000;

    private final Editions editions;
    private final ExaminedPapers examined;
    private final Attempts attempts;
    private final Ledger ledger;

    QuestionAnswers(Editions editions, ExaminedPapers examined, Attempts attempts, Ledger ledger) {
        this.editions = editions;
        this.examined = examined;
        this.attempts = attempts;
        this.ledger = ledger;
    }

    /**
     * Equal answers.
     *
     * @param form what they have in common, by which Settle names them
     * @param given the answer laid out; null where the question has changed since
     * @param points what it got; null where those who gave it got different marks
     * @param figures how often it was given, in all and in thirds, and how it goes with the rest
     * @param attempt the first attempt that gave it: its whole copy is there
     */
    record AnswerGroup(
            String form,
            String shown,
            @Nullable AnswerView given,
            String state,
            @Nullable String points,
            OptionFigures figures,
            UUID attempt) {}

    /** How often one level of a criterion was chosen. */
    record LevelCount(String text, String points, int count) {}

    record CriterionCount(String title, List<LevelCount> levels) {}

    /** In how many workings this line was the first that does not follow. */
    record BrokeAt(int line, int count) {}

    /**
     * A question with what was answered.
     *
     * @param asked of how many students
     * @param unfinished how many began an answer and did not finish it; null where that cannot be told
     * @param different how many different answers; {@code groups} are the most frequent
     * @param line where typed numbers lie, against what is accepted; null for other kinds
     * @param crossed what was taken for what; null for other kinds
     */
    record QuestionView(
            String item,
            int number,
            String kind,
            String prompt,
            @Nullable String picture,
            @Nullable String alt,
            String points,
            int asked,
            int answered,
            @Nullable Integer unfinished,
            int different,
            List<AnswerGroup> groups,
            @Nullable NumberLine line,
            @Nullable Crossed crossed,
            List<CriterionCount> criteria,
            List<BrokeAt> broke) {}

    /** One attempt's answer. */
    private record Given(int row, UUID attempt, Said said, Brief brief, String form) {}

    @Transactional(readOnly = true)
    QuestionView of(UUID assessment, String itemId, @Nullable UUID section) {
        Edition latest = editions.latest(assessment).orElseThrow(Refused::notFound);
        Examined paper = examined.read(latest, section);
        int place = paper.place(itemId);
        if (place < 0) {
            throw Refused.notFound();
        }
        Item item = paper.items().get(place);
        List<Given> given = given(paper, item, place);
        List<Answer> answers = given.stream()
                .filter(g -> !g.said().outgrown())
                .map(g -> g.said().answer())
                .toList();
        List<AnswerGroup> groups = groups(paper, item, place, given);
        JsonNode picture = paper.edition().pictureOf(item);
        return new QuestionView(
                itemId,
                place + 1,
                item.kind(),
                item.asked(),
                picture.path("file").asString(null),
                picture.path("alt").asString(null),
                item.points().toExact(),
                paper.asked(itemId).length,
                given.size(),
                Unfinished.canTell(item)
                        ? (int) answers.stream()
                                .filter(a -> Unfinished.is(item, a))
                                .count()
                        : null,
                (int) given.stream().map(Given::form).distinct().count(),
                groups,
                NumberLine.of(item, answers),
                crossed(item, answers),
                item instanceof OpenItem open ? criteria(open, marks(item, given)) : List.of(),
                item instanceof WorkingItem ? broke(marks(item, given)) : List.of());
    }

    /** Who said something, in the order of the rows; equal responses are read once. */
    private List<Given> given(Examined paper, Item item, int place) {
        Map<JsonNode, Said> known = new HashMap<>();
        Map<JsonNode, String> forms = new HashMap<>();
        List<Given> all = new ArrayList<>();
        for (int from = 0; from < paper.rows().size(); from += AT_ONCE) {
            List<Examined.Row> part =
                    paper.rows().subList(from, Math.min(paper.rows().size(), from + AT_ONCE));
            Map<UUID, Map<String, JsonNode>> responses =
                    attempts.responsesOf(part.stream().map(Examined.Row::id).toList(), Set.of(item.id()));
            for (int i = 0; i < part.size(); i++) {
                Examined.Row row = part.get(i);
                JsonNode response = responses.getOrDefault(row.id(), Map.of()).get(item.id());
                if (response == null || !row.wasAsked(item.id())) {
                    continue;
                }
                Said said = known.computeIfAbsent(response, r -> Said.of(item, r));
                if (!said.isBlank()) {
                    String form = forms.computeIfAbsent(response, r -> said.form(paper.edition(), item));
                    all.add(new Given(from + i, row.id(), said, row.marks().get(place), form));
                }
            }
        }
        return all;
    }

    private List<AnswerGroup> groups(Examined paper, Item item, int place, List<Given> given) {
        Map<String, List<Given>> byForm = new LinkedHashMap<>();
        given.forEach(
                g -> byForm.computeIfAbsent(g.form(), f -> new ArrayList<>()).add(g));
        List<Map.Entry<String, List<Given>>> shown = byForm.entrySet().stream()
                .sorted(Comparator.comparing(e -> -e.getValue().size()))
                .limit(MOST)
                .toList();
        List<OptionFigures> figures = figures(paper, item, place, shown);
        List<AnswerGroup> groups = new ArrayList<>();
        for (int i = 0; i < shown.size(); i++) {
            groups.add(group(paper, item, shown.get(i).getValue(), figures.get(i)));
        }
        return groups;
    }

    private List<OptionFigures> figures(
            Examined paper, Item item, int place, List<Map.Entry<String, List<Given>>> shown) {
        int[] group = new int[paper.rows().size()];
        Arrays.fill(group, -1);
        List<String> names = new ArrayList<>();
        List<String> keyed = new ArrayList<>();
        for (int g = 0; g < shown.size(); g++) {
            String name = Integer.toString(g);
            names.add(name);
            for (Given one : shown.get(g).getValue()) {
                group[one.row()] = g;
            }
            Brief first = shown.get(g).getValue().get(0).brief();
            if (first.state() == State.SCORED && first.credit().equals(Fraction.ONE)) {
                keyed.add(name);
            }
        }
        int[] asked = paper.asked(item.id());
        int[] own = Arrays.stream(asked).map(i -> group[i]).toArray();
        return Figures.of(new Codes(paper).some(asked).grouped(place, own, names, keyed))
                .items()
                .get(place)
                .options();
    }

    private AnswerGroup group(Examined paper, Item item, List<Given> equal, OptionFigures figures) {
        Given first = equal.get(0);
        Brief brief = first.brief();
        boolean same = equal.stream()
                .allMatch(g ->
                        g.brief().state() == brief.state() && g.brief().credit().equals(brief.credit()));
        Said said = first.said();
        Item asSeen = said.outgrown() ? asSeen(paper, first, item) : null;
        return new AnswerGroup(
                first.form(),
                said.told(item, asSeen),
                said.outgrown() ? null : AnswerView.of(item, said.answer()),
                brief.mark().state().word(),
                same ? brief.credit().times(item.points()).toExact() : null,
                figures,
                first.attempt());
    }

    private @Nullable Item asSeen(Examined paper, Given given, Item item) {
        return editions.numbered(
                        paper.edition().assessmentId(),
                        paper.rows().get(given.row()).attempt().edition())
                .assessment()
                .item(item.id())
                .orElse(null);
    }

    private static @Nullable Crossed crossed(Item item, List<Answer> answers) {
        if (item instanceof PairsItem pairs) {
            return Crossed.of(pairs, answers);
        }
        return item instanceof OrderItem order ? Crossed.of(order, answers) : null;
    }

    private List<LedgerMark> marks(Item item, List<Given> given) {
        List<LedgerMark> all = new ArrayList<>();
        List<UUID> ids = given.stream().map(Given::attempt).toList();
        for (int from = 0; from < ids.size(); from += AT_ONCE) {
            ledger.currentOf(ids.subList(from, Math.min(ids.size(), from + AT_ONCE)), Set.of(item.id()))
                    .values()
                    .forEach(own -> all.add(Objects.requireNonNull(own.get(item.id()))));
        }
        return all;
    }

    private static List<CriterionCount> criteria(OpenItem item, List<LedgerMark> marks) {
        return item.criteria().stream()
                .map(c -> new CriterionCount(
                        c.title(),
                        c.levels().stream()
                                .map(l -> new LevelCount(
                                        l.text(), l.points().times(c.weight()).toExact(), (int) marks.stream()
                                                .filter(m -> l.id().equals(level(m, c.id())))
                                                .count()))
                                .toList()))
                .toList();
    }

    private static @Nullable String level(LedgerMark mark, String criterion) {
        JsonNode reading = mark.reading();
        return reading == null ? null : reading.path("levels").path(criterion).asString(null);
    }

    private static List<BrokeAt> broke(List<LedgerMark> marks) {
        Map<Integer, Integer> lines = new TreeMap<>();
        marks.stream()
                .map(m -> m.mark().reason())
                .filter(r -> r.has("wrong"))
                .forEach(r -> lines.merge(r.amount("wrong").toBigIntegerFloor().intValue(), 1, Integer::sum));
        return lines.entrySet().stream()
                .map(e -> new BrokeAt(e.getKey(), e.getValue()))
                .toList();
    }
}
