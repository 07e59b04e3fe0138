package org.scholion.server.handback;

import jakarta.persistence.EntityManager;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.HexFormat;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.core.number.Fraction;
import org.scholion.core.total.Grading;
import org.scholion.formats.json.Json;
import org.scholion.server.access.Access;
import org.scholion.server.collect.SeenWhen;
import org.scholion.server.collect.Sittings;
import org.scholion.server.key.Edition;
import org.scholion.server.key.Editions;
import org.scholion.server.ledger.Attempt;
import org.scholion.server.ledger.Attempts;
import org.scholion.server.ledger.Ledger;
import org.scholion.server.ledger.LedgerMark;
import org.scholion.server.ledger.Marked;
import org.scholion.server.ledger.MarkedPaper;
import org.scholion.server.ledger.MarkedPapers;
import org.scholion.server.ledger.Standings;
import org.scholion.server.ledger.Turns;
import org.scholion.server.platform.Events;
import org.scholion.server.platform.Ids;
import org.scholion.server.platform.Jobs;
import org.scholion.server.platform.JsonColumn;
import org.scholion.server.platform.Lengths;
import org.scholion.server.platform.Me;
import org.scholion.server.platform.Refused;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** Handing results back: a snapshot for each student, with a hash of its facts; later differences are computed, never stored. */
@Service
public class HandingBack {
    /** So many are handed back to within the request itself. */
    private static final int AT_ONCE = 100;

    private static final Sees USUAL = EarlySight.sees(SeenWhen.USUAL.handedBack());

    private static final int LONGEST_MESSAGE = 2_000;
    private static final int WINDOW = 200;
    private static final int MOST_BORDERLINE = 50;

    private final MarkedPapers papers;
    private final Attempts attempts;
    private final Ledger ledger;
    private final Changes changes;
    private final Editions editions;
    private final Sittings sittings;
    private final ResultPage page;
    private final ClassFigures classes;
    private final Turns turns;
    private final Jobs jobs;
    private final Access access;
    private final Events events;
    private final ApplicationEventPublisher out;
    private final EntityManager entities;
    private final Ids ids;
    private final Clock clock;

    HandingBack(
            MarkedPapers papers,
            Attempts attempts,
            Ledger ledger,
            Changes changes,
            Editions editions,
            Sittings sittings,
            ResultPage page,
            ClassFigures classes,
            Turns turns,
            Jobs jobs,
            Access access,
            Events events,
            ApplicationEventPublisher out,
            EntityManager entities,
            Ids ids,
            Clock clock) {
        this.papers = papers;
        this.attempts = attempts;
        this.ledger = ledger;
        this.changes = changes;
        this.editions = editions;
        this.sittings = sittings;
        this.page = page;
        this.classes = classes;
        this.turns = turns;
        this.jobs = jobs;
        this.access = access;
        this.events = events;
        this.out = out;
        this.entities = entities;
        this.ids = ids;
        this.clock = clock;
    }

    /** What is to be known of a student before handing back to them. */
    public enum Group {
        /** Everything is decided and computed, and nothing was handed back. */
        READY,
        AWAITS_CURVE,
        UNDECIDED,
        /** What was handed back is something else now, and everything of it is decided. */
        CHANGED,
        /** The same with something to decide. */
        CHANGED_UNDECIDED,
        /** Whether it has changed is being found out. */
        COMPARING,
        UNCHANGED
    }

    /**
     * A student in the list of whom to hand back to.
     *
     * @param ready everything is decided and computed
     * @param awaitsCurve its curve is still to be computed
     * @param changed the result differs from what was handed back
     */
    public record HandBackLine(
            UUID attempt,
            String name,
            UUID section,
            String score,
            String possible,
            @Nullable String percent,
            @Nullable String band,
            boolean ready,
            boolean awaitsCurve,
            @Nullable Instant handedAt,
            boolean changed,
            @Nullable Instant seenAt,
            Group group) {}

    /** How many students are in a group, and how many of them have which band. */
    public record GroupCount(Group group, int students, Map<String, Integer> bands) {}

    /**
     * What of the list is looked at.
     *
     * @param from the place of the first student; {@code words} in the name, where it is searched
     */
    public record Looking(
            @Nullable UUID section,
            @Nullable Integer from,
            @Nullable String words) {}

    public record BandLine(String from, String label, String message) {}

    /** Students who lie exactly on a bound, so that nobody has to guess which side they are on. */
    public record Borderline(String name, String percent, String bound) {}

    /**
     * Whom to hand back to.
     *
     * @param all how many students there are, and {@code found} how many of them have the words in their names
     * @param students those from the place {@code from} on
     * @param borderline the first of those who lie on a bound, and {@code onBounds} how many there are
     * @param sees what the sitting says is seen once it is handed back
     */
    public record HandBackView(
            int all,
            int found,
            int from,
            List<HandBackLine> students,
            List<GroupCount> groups,
            List<BandLine> bands,
            @Nullable String pass,
            int onBounds,
            List<Borderline> borderline,
            Jobs.@Nullable JobView work,
            Sees sees) {}

    /**
     * What is to be handed back to whom.
     *
     * @param attempts students by name
     * @param groups whole groups, of one section where one is named, but for those in {@code except}
     * @param expected how many these are as far as it was seen; another number is a conflict
     */
    public record HandBack(
            List<UUID> attempts,
            @Nullable List<Group> groups,
            @Nullable List<UUID> except,
            @Nullable UUID section,
            @Nullable Integer expected,
            Sees sees,
            List<ResultPage.Message> messages) {
        public HandBack(List<UUID> attempts, Sees sees, List<ResultPage.Message> messages) {
            this(attempts, null, null, null, null, sees, messages);
        }
    }

    public record Preview(Sees sees, List<ResultPage.Message> messages) {}

    /**
     * What came of handing back.
     *
     * @param students to whom it was handed back, or will be
     * @param unchanged of these, whose result is as it was handed back before; it is not handed back a second time
     * @param job the work that goes on in the background, where there are many; null when everything is done
     */
    public record HandedBack(
            int students, int unchanged, @Nullable UUID job) {}

    @Transactional(readOnly = true)
    public HandBackView of(Me me, UUID assessment, Looking looking) {
        access.require(me, Access.Action.WORK_ON_ASSESSMENT, assessment);
        MarkedPaper paper = papers.find(assessment, looking.section()).orElse(null);
        if (paper == null) {
            return new HandBackView(0, 0, 0, List.of(), List.of(), List.of(), null, 0, List.of(), null, USUAL);
        }
        Grading grading = paper.edition().assessment().grading();
        Changes.Found found = changes.of(paper);
        List<Marked> named = named(paper.attempts(), looking.words());
        int from = looking.from() == null ? 0 : Math.max(0, Math.min(looking.from(), named.size() - 1));
        List<Marked> window = named.subList(Math.max(0, from), Math.min(named.size(), Math.max(0, from) + WINDOW));
        Map<UUID, Instant> seen = changes.seen(window);
        List<Borderline> borderline = borderline(paper);
        return new HandBackView(
                paper.attempts().size(),
                named.size(),
                Math.max(0, from),
                window.stream()
                        .map(m -> line(m, found, seen.get(m.attempt().id())))
                        .toList(),
                groups(paper, found),
                bands(grading),
                grading.pass() == null ? null : grading.pass().toExact(),
                borderline.size(),
                borderline.stream().limit(MOST_BORDERLINE).toList(),
                jobs.running(me, assessment).orElse(null),
                paper.attempts().stream()
                        .findFirst()
                        .map(m -> EarlySight.sees(
                                sittings.seenOnHandingBack(m.attempt().sitting())))
                        .orElse(USUAL));
    }

    private static List<Marked> named(List<Marked> all, @Nullable String words) {
        if (words == null || words.isBlank()) {
            return all;
        }
        String wanted = words.strip().toLowerCase(Locale.ROOT);
        return all.stream()
                .filter(m -> m.attempt().name().toLowerCase(Locale.ROOT).contains(wanted))
                .toList();
    }

    private static HandBackLine line(Marked m, Changes.Found found, @Nullable Instant seen) {
        Standings.Standing s = m.standing();
        Attempt attempt = m.attempt();
        Group group = group(m, found);
        return new HandBackLine(
                attempt.id(),
                attempt.name(),
                attempt.section(),
                s.score(),
                s.possible(),
                s.percent(),
                s.band(),
                s.isFinal(),
                s.awaitsCurve(),
                found.handedAt(attempt.id()),
                group == Group.CHANGED || group == Group.CHANGED_UNDECIDED,
                seen,
                group);
    }

    private static Group group(Marked m, Changes.Found found) {
        boolean ready = m.standing().isFinal();
        return switch (found.state(m.attempt().id())) {
            case NOT_HANDED -> ready ? Group.READY : m.standing().awaitsCurve() ? Group.AWAITS_CURVE : Group.UNDECIDED;
            case SAME -> Group.UNCHANGED;
            case OTHER -> ready ? Group.CHANGED : Group.CHANGED_UNDECIDED;
            case UNKNOWN -> Group.COMPARING;
        };
    }

    private static List<GroupCount> groups(MarkedPaper paper, Changes.Found found) {
        Map<Group, Map<String, Integer>> bands = new EnumMap<>(Group.class);
        Map<Group, Integer> students = new EnumMap<>(Group.class);
        for (Marked m : paper.attempts()) {
            Group group = group(m, found);
            students.merge(group, 1, Integer::sum);
            String band = m.standing().band();
            if (band != null) {
                bands.computeIfAbsent(group, g -> new TreeMap<>()).merge(band, 1, Integer::sum);
            }
        }
        return students.entrySet().stream()
                .map(e -> new GroupCount(e.getKey(), e.getValue(), bands.getOrDefault(e.getKey(), Map.of())))
                .toList();
    }

    private static List<BandLine> bands(Grading grading) {
        return grading.bands().stream()
                .sorted((a, b) -> b.from().compareTo(a.from()))
                .map(b -> new BandLine(b.from().toExact(), b.label(), b.message() == null ? "" : b.message()))
                .toList();
    }

    private static List<Borderline> borderline(MarkedPaper paper) {
        Edition edition = paper.edition();
        Grading grading = edition.assessment().grading();
        List<Fraction> bounds =
                new ArrayList<>(grading.bands().stream().map(Grading.Band::from).toList());
        if (grading.pass() != null) {
            bounds.add(grading.pass());
        }
        edition.file().layout().awards().forEach(a -> bounds.add(a.from()));
        List<Borderline> found = new ArrayList<>();
        for (Marked m : paper.attempts()) {
            String percent = m.standing().percent();
            bounds.stream()
                    .filter(b -> percent != null && b.equals(Fraction.exactly(percent)))
                    .findFirst()
                    .ifPresent(
                            b -> found.add(new Borderline(m.attempt().name(), String.valueOf(percent), b.toExact())));
        }
        return found;
    }

    @Transactional(readOnly = true)
    public StudentResult preview(Me me, UUID attemptId, Preview wanted) {
        access.require(me, Access.Action.WORK_ON_ATTEMPT, attemptId);
        check(wanted.messages());
        return page.of(requireIn(attemptId), wanted.sees(), wanted.messages());
    }

    /** Hands back at once to a class, and in the background to many. */
    public HandedBack handBack(Me me, UUID assessment, HandBack wanted) {
        access.require(me, Access.Action.WORK_ON_ASSESSMENT, assessment);
        List<UUID> ids = chosen(assessment, wanted);
        if (ids.isEmpty()) {
            throw Refused.invalid("attempts", "choose at least one student");
        }
        if (wanted.expected() != null && wanted.expected() != ids.size()) {
            throw Refused.conflict(
                    "changed-meanwhile",
                    "It would be " + ids.size() + " students now, not " + wanted.expected()
                            + ": something has come in or was decided meanwhile. Nothing was handed back; look again.");
        }
        check(wanted.messages());
        requireOwn(assessment, ids);
        int edition = editions.require(assessment).number();
        if (ids.size() > AT_ONCE) {
            HandBack all = new HandBack(ids, wanted.sees(), wanted.messages());
            UUID job =
                    jobs.begin(me, HandingBackWork.KIND, assessment, HandingBackWork.input(all, edition), ids.size());
            return new HandedBack(ids.size(), 0, job);
        }
        return new HandedBack(ids.size(), some(me, assessment, ids, wanted, edition), null);
    }

    /** Students by name, and those of whole groups as they are now. */
    private List<UUID> chosen(UUID assessment, HandBack wanted) {
        Set<UUID> ids = new LinkedHashSet<>(wanted.attempts());
        List<Group> groups = wanted.groups() == null ? List.of() : wanted.groups();
        if (!groups.isEmpty()) {
            papers.find(assessment, wanted.section()).ifPresent(paper -> {
                Changes.Found found = changes.of(paper);
                paper.attempts().stream()
                        .filter(m -> groups.contains(group(m, found)))
                        .forEach(m -> ids.add(m.attempt().id()));
            });
        }
        if (wanted.except() != null) {
            wanted.except().forEach(ids::remove);
        }
        return List.copyOf(ids);
    }

    private static void check(List<ResultPage.Message> messages) {
        messages.forEach(m -> {
            Lengths.atMost("messages", m.text(), LONGEST_MESSAGE);
            if (Fraction.parse(m.from()).isEmpty()) {
                throw Refused.invalid("messages", "'" + m.from() + "' is no percent");
            }
        });
    }

    private void requireOwn(UUID assessment, List<UUID> ids) {
        List<Attempt> all = attempts.some(ids);
        if (all.size() != ids.size()
                || all.stream().anyMatch(a -> !a.assessment().equals(assessment))) {
            throw Refused.notFound();
        }
        all.stream().filter(a -> !a.isIn()).findFirst().ifPresent(a -> {
            throw Refused.conflict("not-in", a.name() + " has not handed in yet.");
        });
    }

    /**
     * Hands back to some, in a turn of the whole assessment, so that no result is torn between two editions.
     *
     * @param edition the edition under which they are handed back; another one meanwhile ends it
     * @return how many were handed back just so before
     */
    int some(Me me, UUID assessment, List<UUID> ids, HandBack wanted, int edition) {
        return turns.whole(assessment, () -> {
            Edition latest = editions.require(assessment);
            if (latest.number() != edition) {
                throw Refused.conflict(
                        "changed-meanwhile",
                        "The key has changed while it was handed back. What was handed back before stays; look at the"
                                + " results and hand back to the others.");
            }
            classes.readAnew(assessment);
            ResultPage.Common common = page.common(latest);
            Map<UUID, Map<String, JsonNode>> responses = attempts.responsesOf(ids);
            Map<UUID, Map<String, LedgerMark>> marks = ledger.currentOf(ids);
            Map<UUID, String> last = lastHashes(ids);
            List<ResultRow> rows = new ArrayList<>();
            for (Marked m : papers.some(latest, ids).attempts()) {
                Attempt attempt = m.attempt();
                StudentResult result = page.page(
                        common,
                        attempt,
                        m.standing(),
                        responses.getOrDefault(attempt.id(), Map.of()),
                        marks.getOrDefault(attempt.id(), Map.of()),
                        wanted.sees(),
                        wanted.messages());
                ResultRow row = row(
                        me,
                        attempt,
                        result,
                        wanted,
                        Changes.madeOf(latest, m, common.drawn().get(attempt.id()), common.saidInShort(attempt.id())));
                if (!row.hash.equals(last.get(attempt.id()))) {
                    entities.persist(row);
                    rows.add(row);
                }
            }
            entities.flush();
            rows.forEach(entities::detach);
            out.publishEvent(new ResultsOut(assessment));
            events.say("assessment:" + assessment);
            return ids.size() - rows.size();
        });
    }

    private Map<UUID, String> lastHashes(List<UUID> ids) {
        Map<UUID, String> all = new HashMap<>();
        entities.createQuery(
                        "select r.attempt, r.hash from ResultRow r where r.attempt in (:ids) and " + Changes.IS_LAST,
                        Hash.class)
                .setParameter("ids", ids)
                .getResultList()
                .forEach(h -> all.put(h.attempt(), h.hash()));
        return all;
    }

    record Hash(UUID attempt, String hash) {}

    private Attempt requireIn(UUID id) {
        Attempt attempt = attempts.require(id);
        if (!attempt.isIn()) {
            throw Refused.conflict("not-in", attempt.name() + " has not handed in yet.");
        }
        return attempt;
    }

    private ResultRow row(Me me, Attempt attempt, StudentResult result, HandBack wanted, String madeOf) {
        JsonNode shown = JsonColumn.node(result);
        ObjectNode snapshot = JsonNodeFactory.instance.objectNode();
        snapshot.set("result", shown);
        snapshot.set("sees", JsonColumn.node(wanted.sees()));
        snapshot.set("messages", JsonColumn.node(wanted.messages()));
        return new ResultRow(
                ids.next(),
                attempt.school(),
                attempt.id(),
                attempt.student(),
                clock.instant(),
                me.id(),
                snapshot,
                hash(ResultFacts.of(shown)),
                madeOf);
    }

    static String hash(JsonNode facts) {
        try {
            byte[] digest = MessageDigest.getInstance("SHA-256")
                    .digest(Json.write(facts).getBytes(StandardCharsets.UTF_8));
            return HexFormat.of().formatHex(digest);
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException(e);
        }
    }
}
