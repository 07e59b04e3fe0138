package org.scholion.server.handback;

import com.github.kagkarlsson.scheduler.SchedulerClient;
import com.github.kagkarlsson.scheduler.task.helper.OneTimeTask;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import jakarta.persistence.EntityManager;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.TreeMap;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.formats.json.Json;
import org.scholion.server.comment.PaperComments;
import org.scholion.server.drawn.DrawnMarks;
import org.scholion.server.key.Edition;
import org.scholion.server.key.Editions;
import org.scholion.server.ledger.Attempts;
import org.scholion.server.ledger.Ledger;
import org.scholion.server.ledger.LedgerMark;
import org.scholion.server.ledger.Marked;
import org.scholion.server.ledger.MarkedPaper;
import org.scholion.server.ledger.MarkedPapers;
import org.scholion.server.platform.Events;
import org.scholion.server.platform.JsonColumn;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.stereotype.Service;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.support.TransactionTemplate;
import tools.jackson.databind.JsonNode;

/**
 * Whether what was handed back is something else now. Where edition, marks and standing are those it was made of, it is
 * not, and nothing more is looked at. Otherwise its page is made again and the facts are compared: at once for some, in
 * the background for very many, and what came of it is kept.
 */
@Service
class Changes {
    /** No later result of the same attempt is there. */
    static final String IS_LAST = """
            not exists (select 1 from ResultRow l where l.attempt = r.attempt
              and (l.handedAt > r.handedAt or l.handedAt = r.handedAt and l.id > r.id))""";

    private static final String TASK = "compare-results";
    private static final int AT_ONCE = 200;

    private final MarkedPapers papers;
    private final Attempts attempts;
    private final Ledger ledger;
    private final Editions editions;
    private final ResultPage page;
    private final DrawnMarks drawn;
    private final PaperComments comments;
    private final EntityManager entities;
    private final TransactionTemplate transaction;
    private final TransactionTemplate apart;
    private final ObjectProvider<SchedulerClient> scheduler;
    private final Events events;

    Changes(
            MarkedPapers papers,
            Attempts attempts,
            Ledger ledger,
            Editions editions,
            ResultPage page,
            DrawnMarks drawn,
            PaperComments comments,
            EntityManager entities,
            PlatformTransactionManager transactions,
            ObjectProvider<SchedulerClient> scheduler,
            Events events) {
        this.papers = papers;
        this.attempts = attempts;
        this.ledger = ledger;
        this.editions = editions;
        this.page = page;
        this.drawn = drawn;
        this.comments = comments;
        this.entities = entities;
        this.transaction = new TransactionTemplate(transactions);
        this.apart = new TransactionTemplate(transactions);
        this.apart.setPropagationBehavior(TransactionDefinition.PROPAGATION_REQUIRES_NEW);
        this.scheduler = scheduler;
        this.events = events;
    }

    /** What is known of an attempt's last result. */
    enum State {
        NOT_HANDED,
        SAME,
        OTHER,
        /** It is still to be compared. */
        UNKNOWN
    }

    /** The last result of an attempt, without what it says. */
    record Last(
            UUID id,
            UUID attempt,
            Instant handedAt,
            @Nullable String madeOf,
            @Nullable String comparedTo,
            boolean changed) {}

    /** What was found, by attempt. */
    record Found(Map<UUID, Last> last, Map<UUID, State> states) {
        State state(UUID attempt) {
            return states.getOrDefault(attempt, State.NOT_HANDED);
        }

        @Nullable
        Instant handedAt(UUID attempt) {
            Last l = last.get(attempt);
            return l == null ? null : l.handedAt();
        }
    }

    /** What a result of this attempt is made of: while it is the same, so are the facts. */
    static String madeOf(Edition edition, Marked m, @Nullable Map<String, String> drawn, @Nullable String said) {
        var s = m.standing();
        String made = String.join(
                "/",
                String.valueOf(edition.number()),
                String.valueOf(m.place()),
                s.score(),
                s.possible(),
                String.valueOf(s.percent()),
                String.valueOf(s.band()),
                String.valueOf(s.passed()),
                String.valueOf(s.provisional()),
                String.valueOf(s.awaitsCurve()));
        String withDrawn = drawn == null ? made : made + "/" + new TreeMap<>(drawn);
        return said == null ? withDrawn : withDrawn + "/" + said;
    }

    /** What readers drew and said on the papers of an assessment. */
    private record Stamps(Map<UUID, Map<String, String>> drawn, Map<UUID, String> said) {
        String madeOf(Edition edition, Marked m) {
            UUID id = m.attempt().id();
            return Changes.madeOf(edition, m, drawn.get(id), said.get(id));
        }
    }

    private Stamps stamps(UUID assessment) {
        return new Stamps(drawn.stamps(assessment), comments.stamps(assessment));
    }

    /** Of all attempts of a paper. Where very many are to be compared, that is begun, and they are unknown till then. */
    Found of(MarkedPaper paper) {
        Map<UUID, Last> last = last(paper);
        UUID assessment = paper.edition().assessmentId();
        Stamps stamps = stamps(assessment);
        Map<UUID, State> states = new HashMap<>();
        List<Marked> open = new ArrayList<>();
        for (Marked m : paper.attempts()) {
            Last l = last.get(m.attempt().id());
            if (l != null) {
                UUID id = m.attempt().id();
                State known = known(l, stamps.madeOf(paper.edition(), m));
                states.put(id, known);
                if (known == State.UNKNOWN) {
                    open.add(m);
                }
            }
        }
        if (open.size() <= AT_ONCE) {
            compare(paper.edition(), open, last)
                    .forEach((attempt, changed) -> states.put(attempt, changed ? State.OTHER : State.SAME));
        } else {
            begin(assessment);
        }
        return new Found(last, states);
    }

    /** In a transaction of its own: whoever looks changes nothing. */
    private void begin(UUID assessment) {
        apart.executeWithoutResult(t -> scheduler
                .getObject()
                .scheduleIfNotExists(
                        Tasks.oneTime(TASK).execute((i, c) -> {}).instance(assessment.toString()), Instant.now()));
    }

    private static State known(Last l, String now) {
        if (now.equals(l.madeOf())) {
            return State.SAME;
        }
        return now.equals(l.comparedTo()) ? l.changed() ? State.OTHER : State.SAME : State.UNKNOWN;
    }

    private Map<UUID, Last> last(MarkedPaper paper) {
        Map<UUID, Last> all = new HashMap<>();
        entities.createQuery("""
                        select r.id, r.attempt, r.handedAt, r.madeOf, r.comparedTo, r.changed
                        from ResultRow r join AttemptRow x on x.id = r.attempt where x.assessment = :assessment and\s""" + IS_LAST, Last.class)
                .setParameter("assessment", paper.edition().assessmentId())
                .getResultList()
                .forEach(l -> all.put(l.attempt(), l));
        return all;
    }

    /** When each of some first looked at any of their results since it was handed back last. */
    Map<UUID, Instant> seen(List<Marked> some) {
        Map<UUID, Instant> all = new HashMap<>();
        if (!some.isEmpty()) {
            entities.createQuery("""
                            select r.attempt, max(r.seenAt) from ResultRow r where r.attempt in (:ids)
                            group by r.attempt having max(r.seenAt) is not null""", Looked.class)
                    .setParameter(
                            "ids", some.stream().map(m -> m.attempt().id()).toList())
                    .getResultList()
                    .forEach(l -> all.put(l.attempt(), l.at()));
        }
        return all;
    }

    record Looked(UUID attempt, Instant at) {}

    private record Kept(UUID attempt, JsonNode snapshot) {}

    /** Makes the pages of some again, under what they were shown then: whether it is another result now. */
    private Map<UUID, Boolean> compare(Edition edition, List<Marked> some, Map<UUID, Last> last) {
        Map<UUID, Boolean> changed = new HashMap<>();
        if (some.isEmpty()) {
            return changed;
        }
        List<UUID> ids = some.stream().map(m -> m.attempt().id()).toList();
        ResultPage.Common common = page.common(edition);
        Map<UUID, Map<String, JsonNode>> responses = attempts.responsesOf(ids);
        Map<UUID, Map<String, LedgerMark>> marks = ledger.currentOf(ids);
        Map<UUID, JsonNode> kept = new HashMap<>();
        entities.createQuery("select r.attempt, r.snapshot from ResultRow r where r.id in (:ids)", Kept.class)
                .setParameter(
                        "ids",
                        ids.stream()
                                .map(id -> Objects.requireNonNull(last.get(id)).id())
                                .toList())
                .getResultList()
                .forEach(k -> kept.put(k.attempt(), k.snapshot()));
        for (Marked m : some) {
            UUID id = m.attempt().id();
            JsonNode was = Objects.requireNonNull(kept.get(id));
            StudentResult result = page.page(
                    common,
                    m.attempt(),
                    m.standing(),
                    responses.getOrDefault(id, Map.of()),
                    marks.getOrDefault(id, Map.of()),
                    Json.MAPPER.treeToValue(was.get("sees"), Sees.class),
                    messages(was));
            changed.put(id, !ResultFacts.of(was.path("result")).equals(ResultFacts.of(JsonColumn.node(result))));
        }
        return changed;
    }

    private static List<ResultPage.Message> messages(JsonNode kept) {
        List<ResultPage.Message> all = new ArrayList<>();
        kept.get("messages").forEach(m -> all.add(Json.MAPPER.treeToValue(m, ResultPage.Message.class)));
        return all;
    }

    /** Compares whatever is unknown, so many at a time, each of these steps in a transaction of its own. */
    void compareAll(UUID assessment) {
        int compared;
        do {
            Integer n = transaction.execute(t -> compareSome(assessment));
            compared = n == null ? 0 : n;
        } while (compared > 0);
        transaction.executeWithoutResult(t -> events.say("assessment:" + assessment));
    }

    private int compareSome(UUID assessment) {
        MarkedPaper paper = papers.find(assessment, null).orElse(null);
        if (paper == null) {
            return 0;
        }
        Map<UUID, Last> last = last(paper);
        Stamps stamps = stamps(assessment);
        List<Marked> open = paper.attempts().stream()
                .filter(m -> {
                    Last l = last.get(m.attempt().id());
                    return l != null && known(l, stamps.madeOf(paper.edition(), m)) == State.UNKNOWN;
                })
                .limit(AT_ONCE)
                .toList();
        Map<UUID, Boolean> changed = compare(paper.edition(), open, last);
        open.forEach(m -> entities.createQuery(
                        "update ResultRow r set r.comparedTo = :now, r.changed = :changed where r.id = :id")
                .setParameter("now", stamps.madeOf(paper.edition(), m))
                .setParameter(
                        "changed", Boolean.TRUE.equals(changed.get(m.attempt().id())))
                .setParameter(
                        "id", Objects.requireNonNull(last.get(m.attempt().id())).id())
                .executeUpdate());
        return open.size();
    }

    /** On any node. */
    @Configuration
    static class Doing {
        @Bean
        OneTimeTask<Void> compareResults(ObjectProvider<Changes> changes) {
            return Tasks.oneTime(TASK)
                    .execute((instance, context) -> changes.getObject().compareAll(UUID.fromString(instance.getId())));
        }
    }
}
