package org.scholion.server.handback;

import jakarta.persistence.EntityManager;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HexFormat;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.core.number.Fraction;
import org.scholion.core.total.Grading;
import org.scholion.formats.json.Json;
import org.scholion.server.access.Access;
import org.scholion.server.key.Edition;
import org.scholion.server.key.Editions;
import org.scholion.server.ledger.Attempt;
import org.scholion.server.ledger.Attempts;
import org.scholion.server.ledger.Ledger;
import org.scholion.server.ledger.LedgerMark;
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

    private static final int LONGEST_MESSAGE = 2_000;

    private final Attempts attempts;
    private final Ledger ledger;
    private final Standings standings;
    private final Editions editions;
    private final ResultPage page;
    private final Turns turns;
    private final Jobs jobs;
    private final Access access;
    private final Events events;
    private final ApplicationEventPublisher out;
    private final EntityManager entities;
    private final Ids ids;
    private final Clock clock;

    HandingBack(
            Attempts attempts,
            Ledger ledger,
            Standings standings,
            Editions editions,
            ResultPage page,
            Turns turns,
            Jobs jobs,
            Access access,
            Events events,
            ApplicationEventPublisher out,
            EntityManager entities,
            Ids ids,
            Clock clock) {
        this.attempts = attempts;
        this.ledger = ledger;
        this.standings = standings;
        this.editions = editions;
        this.page = page;
        this.turns = turns;
        this.jobs = jobs;
        this.access = access;
        this.events = events;
        this.out = out;
        this.entities = entities;
        this.ids = ids;
        this.clock = clock;
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
            @Nullable Instant seenAt) {}

    public record BandLine(String from, String label, String message) {}

    /** Students who lie exactly on a bound, so that nobody has to guess which side they are on. */
    public record Borderline(String name, String percent, String bound) {}

    public record HandBackView(
            List<HandBackLine> students,
            List<BandLine> bands,
            @Nullable String pass,
            List<Borderline> borderline,
            Jobs.@Nullable JobView work) {}

    /** What is to be handed back to whom. */
    public record HandBack(List<UUID> attempts, Sees sees, List<ResultPage.Message> messages) {}

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

    /** The last result that was handed back for an attempt. */
    record Last(
            UUID id,
            UUID attempt,
            Instant handedAt,
            String hash,
            JsonNode snapshot,
            @Nullable Instant seenAt) {}

    @Transactional(readOnly = true)
    public HandBackView of(Me me, UUID assessment, @Nullable UUID section) {
        access.require(me, Access.Action.WORK_ON_ASSESSMENT, assessment);
        Edition edition = editions.latest(assessment).orElse(null);
        if (edition == null) {
            return new HandBackView(List.of(), List.of(), null, List.of(), null);
        }
        Grading grading = edition.assessment().grading();
        ResultPage.Common common = page.common(edition);
        Map<UUID, Standings.Standing> standing = standings.of(assessment);
        Map<UUID, Last> last = last(assessment);
        Map<UUID, Map<String, JsonNode>> responses = attempts.responses(assessment);
        Map<UUID, Map<String, LedgerMark>> marks = ledger.current(assessment);
        List<HandBackLine> lines = new ArrayList<>();
        for (Attempt attempt : attempts.in(assessment, section)) {
            Standings.Standing s = of(standing, attempt);
            Last l = last.get(attempt.id());
            boolean changed = l != null
                    && !ResultFacts.of(l.snapshot().path("result"))
                            .equals(again(common, attempt, s, responses, marks, l));
            lines.add(new HandBackLine(
                    attempt.id(),
                    attempt.name(),
                    attempt.section(),
                    s.score(),
                    s.possible(),
                    s.percent(),
                    s.band(),
                    s.isFinal(),
                    s.awaitsCurve(),
                    l == null ? null : l.handedAt(),
                    changed,
                    l == null ? null : l.seenAt()));
        }
        return new HandBackView(
                lines,
                bands(grading),
                grading.pass() == null ? null : grading.pass().toExact(),
                borderline(edition, lines),
                jobs.running(me, assessment).orElse(null));
    }

    /** What the same student would get now, under what they were shown then. */
    private JsonNode again(
            ResultPage.Common common,
            Attempt attempt,
            Standings.Standing standing,
            Map<UUID, Map<String, JsonNode>> responses,
            Map<UUID, Map<String, LedgerMark>> marks,
            Last last) {
        JsonNode kept = last.snapshot();
        StudentResult result = page.page(
                common,
                attempt,
                standing,
                responses.getOrDefault(attempt.id(), Map.of()),
                marks.getOrDefault(attempt.id(), Map.of()),
                Json.MAPPER.treeToValue(kept.get("sees"), Sees.class),
                messages(kept));
        return ResultFacts.of(JsonColumn.node(result));
    }

    private static List<ResultPage.Message> messages(JsonNode kept) {
        List<ResultPage.Message> all = new ArrayList<>();
        kept.get("messages").forEach(m -> all.add(Json.MAPPER.treeToValue(m, ResultPage.Message.class)));
        return all;
    }

    private static List<BandLine> bands(Grading grading) {
        return grading.bands().stream()
                .sorted((a, b) -> b.from().compareTo(a.from()))
                .map(b -> new BandLine(b.from().toExact(), b.label(), b.message() == null ? "" : b.message()))
                .toList();
    }

    private static List<Borderline> borderline(Edition edition, List<HandBackLine> lines) {
        Grading grading = edition.assessment().grading();
        List<Fraction> bounds =
                new ArrayList<>(grading.bands().stream().map(Grading.Band::from).toList());
        if (grading.pass() != null) {
            bounds.add(grading.pass());
        }
        edition.file().layout().awards().forEach(a -> bounds.add(a.from()));
        List<Borderline> found = new ArrayList<>();
        for (HandBackLine line : lines) {
            bounds.stream()
                    .filter(b -> line.percent() != null && b.equals(Fraction.exactly(line.percent())))
                    .findFirst()
                    .ifPresent(
                            b -> found.add(new Borderline(line.name(), String.valueOf(line.percent()), b.toExact())));
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
        List<UUID> ids = wanted.attempts().stream().distinct().toList();
        if (ids.isEmpty()) {
            throw Refused.invalid("attempts", "choose at least one student");
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
            ResultPage.Common common = page.common(latest);
            Map<UUID, Standings.Standing> standing = standings.of(ids);
            Map<UUID, Map<String, JsonNode>> responses = attempts.responsesOf(ids);
            Map<UUID, Map<String, LedgerMark>> marks = ledger.currentOf(ids);
            Map<UUID, String> last = lastHashes(ids);
            List<ResultRow> rows = new ArrayList<>();
            for (Attempt attempt : attempts.some(ids)) {
                StudentResult result = page.page(
                        common,
                        attempt,
                        of(standing, attempt),
                        responses.getOrDefault(attempt.id(), Map.of()),
                        marks.getOrDefault(attempt.id(), Map.of()),
                        wanted.sees(),
                        wanted.messages());
                ResultRow row = row(me, attempt, result, wanted);
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

    private Standings.Standing of(Map<UUID, Standings.Standing> read, Attempt attempt) {
        Standings.Standing standing = read.get(attempt.id());
        return standing == null ? standings.ofAttempt(attempt) : standing;
    }

    private Map<UUID, String> lastHashes(List<UUID> ids) {
        Map<UUID, String> all = new HashMap<>();
        entities.createQuery(
                        "select r.attempt, r.hash from ResultRow r where r.attempt in (:ids) and " + IS_LAST,
                        Hash.class)
                .setParameter("ids", ids)
                .getResultList()
                .forEach(h -> all.put(h.attempt(), h.hash()));
        return all;
    }

    record Hash(UUID attempt, String hash) {}

    /** No later result of the same attempt is there. */
    private static final String IS_LAST = """
            not exists (select 1 from ResultRow l where l.attempt = r.attempt
              and (l.handedAt > r.handedAt or l.handedAt = r.handedAt and l.id > r.id))""";

    private Attempt requireIn(UUID id) {
        Attempt attempt = attempts.require(id);
        if (!attempt.isIn()) {
            throw Refused.conflict("not-in", attempt.name() + " has not handed in yet.");
        }
        return attempt;
    }

    private ResultRow row(Me me, Attempt attempt, StudentResult result, HandBack wanted) {
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
                hash(ResultFacts.of(shown)));
    }

    /** The last result of each attempt of an assessment. */
    @Transactional(readOnly = true)
    Map<UUID, Last> last(UUID assessment) {
        Map<UUID, Last> all = new HashMap<>();
        entities.createQuery("""
                        select r.id, r.attempt, r.handedAt, r.hash, r.snapshot,
                               (select max(o.seenAt) from ResultRow o where o.attempt = r.attempt)
                        from ResultRow r join AttemptRow x on x.id = r.attempt where x.assessment = :assessment and\s""" + IS_LAST, Last.class)
                .setParameter("assessment", assessment)
                .getResultList()
                .forEach(l -> all.put(l.attempt(), l));
        return all;
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
