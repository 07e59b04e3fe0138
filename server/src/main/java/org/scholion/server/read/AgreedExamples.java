package org.scholion.server.read;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;
import org.scholion.core.item.OpenItem;
import org.scholion.core.number.Fraction;
import org.scholion.core.rubric.Reading;
import org.scholion.core.score.Mark;
import org.scholion.core.score.State;
import org.scholion.server.access.Access;
import org.scholion.server.ledger.Attempt;
import org.scholion.server.ledger.Attempts;
import org.scholion.server.platform.Ids;
import org.scholion.server.platform.Lengths;
import org.scholion.server.platform.Me;
import org.scholion.server.platform.Refused;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Answers of which the readers of a question have agreed what they are worth; whose they are is told to nobody. */
@Service
public class AgreedExamples {
    private static final int MOST = 20;
    private static final int LONGEST_WHY = 500;

    private final EntityManager entities;
    private final Readings readings;
    private final ReaderScopes scopes;
    private final Attempts attempts;
    private final Access access;
    private final Ids ids;
    private final Clock clock;

    AgreedExamples(
            EntityManager entities,
            Readings readings,
            ReaderScopes scopes,
            Attempts attempts,
            Access access,
            Ids ids,
            Clock clock) {
        this.entities = entities;
        this.readings = readings;
        this.scopes = scopes;
        this.attempts = attempts;
        this.access = access;
        this.ids = ids;
        this.clock = clock;
    }

    /** @param points what the levels come to under the rubric as it is now; {@code levels} those that it still has */
    public record ExampleView(UUID id, String text, Map<String, String> levels, String points, String why) {}

    /** @param why what makes it worth that, for those who read; may be empty */
    public record AgreedChange(Map<String, String> levels, String why) {
        public AgreedChange {
            levels = Objects.requireNonNullElse(levels, Map.of());
            why = Objects.requireNonNullElse(why, "");
        }
    }

    /** Those worth most come first. */
    @Transactional(readOnly = true)
    public List<ExampleView> of(Me me, UUID assessment, String itemId) {
        access.require(me, Access.Action.READ_ANSWERS, assessment);
        scopes.requireItem(me, assessment, itemId);
        OpenItem item = readings.open(assessment, itemId);
        List<AgreedExample> all = all(assessment, itemId);
        Map<UUID, String> texts =
                attempts.textsOf(all.stream().map(e -> e.attempt).toList(), item);
        return all.stream()
                .sorted(Comparator.comparing((AgreedExample e) -> worth(item, e.levels))
                        .reversed())
                .map(e -> view(item, e, texts))
                .toList();
    }

    private List<AgreedExample> all(UUID assessment, String item) {
        return entities.createQuery(
                        "from AgreedExample where assessment = :assessment and item = :item order by at, id",
                        AgreedExample.class)
                .setParameter("assessment", assessment)
                .setParameter("item", item)
                .getResultList();
    }

    /** Of levels that the rubric has no more nothing counts. */
    private static Fraction worth(OpenItem item, Map<String, String> levels) {
        Mark mark = new Reading(levels, null).under(item).markOf(item);
        return mark.state() == State.SCORED ? mark.credit() : Fraction.ZERO;
    }

    private static ExampleView view(OpenItem item, AgreedExample e, Map<UUID, String> texts) {
        return new ExampleView(
                e.id,
                texts.getOrDefault(e.attempt, ""),
                new Reading(e.levels, null).under(item).levels(),
                worth(item, e.levels).times(item.points()).toExact(),
                e.why);
    }

    /**
     * Makes an answer an example, or agrees on other levels of one.
     *
     * @param answer its own name, as the list of answers gives it
     */
    @Transactional
    public ExampleView keep(Me me, UUID assessment, String itemId, UUID answer, AgreedChange change, boolean names) {
        access.require(me, Access.Action.WORK_ON_ASSESSMENT, assessment);
        Attempt attempt = readings.attempt(me, assessment, answer, itemId, names);
        OpenItem item = readings.open(assessment, itemId);
        requireWhole(item, change.levels());
        List<AgreedExample> all = all(assessment, itemId);
        AgreedExample example = all.stream()
                .filter(e -> e.attempt.equals(attempt.id()))
                .findFirst()
                .orElseGet(() -> {
                    if (all.size() >= MOST) {
                        throw Refused.conflict(
                                "enough",
                                "This question has " + MOST + " examples already. Remove one, then add this.");
                    }
                    AgreedExample one =
                            new AgreedExample(ids.next(), assessment, itemId, attempt.id(), clock.instant());
                    entities.persist(one);
                    return one;
                });
        example.levels = Map.copyOf(change.levels());
        example.why = Lengths.atMost("why", change.why().strip(), LONGEST_WHY);
        return view(item, example, attempts.textsOf(List.of(attempt.id()), item));
    }

    private static void requireWhole(OpenItem item, Map<String, String> levels) {
        boolean whole = !item.criteria().isEmpty()
                && levels.values().stream().noneMatch(Objects::isNull)
                && levels.size() == item.criteria().size()
                && item.criteria().stream()
                        .allMatch(c -> c.level(levels.getOrDefault(c.id(), "")).isPresent());
        if (!whole) {
            throw Refused.invalid("levels", "An example has a level for each criterion of the rubric.");
        }
    }

    @Transactional
    public void remove(Me me, UUID assessment, String item, UUID id) {
        access.require(me, Access.Action.WORK_ON_ASSESSMENT, assessment);
        entities.remove(all(assessment, item).stream()
                .filter(e -> e.id.equals(id))
                .findFirst()
                .orElseThrow(Refused::notFound));
    }
}
