package org.scholion.server.read;

import jakarta.persistence.EntityManager;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.core.item.OpenItem;
import org.scholion.core.number.Fraction;
import org.scholion.core.rubric.Resolving;
import org.scholion.server.access.Access;
import org.scholion.server.key.Editions;
import org.scholion.server.ledger.Ledger;
import org.scholion.server.ledger.LedgerMark;
import org.scholion.server.ledger.ReadTwice;
import org.scholion.server.platform.Me;
import org.scholion.server.platform.Refused;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Open questions whose answers are read by two people, each without seeing the other's reading before the own is made. */
@Service
public class SecondReadings {
    private final EntityManager entities;
    private final Access access;
    private final Editions editions;
    private final Ledger ledger;

    SecondReadings(EntityManager entities, Access access, Editions editions, Ledger ledger) {
        this.entities = entities;
        this.access = access;
        this.editions = editions;
        this.ledger = ledger;
    }

    /**
     * What is read twice.
     *
     * @param share of a hundred answers so many; 0 for none
     * @param apart in points; only where a third reading decides
     */
    public record SecondPlan(
            int share, Resolving.Way way, @Nullable String apart) {}

    /** The questions of an assessment that are read twice, by item. */
    Map<String, SecondReadingRow> of(UUID assessment) {
        Map<String, SecondReadingRow> all = new HashMap<>();
        entities.createQuery("from SecondReadingRow where assessment = :assessment", SecondReadingRow.class)
                .setParameter("assessment", assessment)
                .getResultList()
                .forEach(row -> all.put(row.item, row));
        return all;
    }

    /** The rule for one answer; empty where one reading is enough. */
    Optional<Resolving> ruleOf(UUID assessment, String item, UUID attempt) {
        return Optional.ofNullable(SecondReadingRow.rule(
                entities.find(SecondReadingRow.class, new SecondReadingRow.Key(assessment, item)), attempt));
    }

    static @Nullable SecondPlan view(@Nullable SecondReadingRow row) {
        return row == null ? null : new SecondPlan(row.share, row.way, row.apart);
    }

    /** Which answers of the share wait for this reader: two others have not read it, or have and lie apart. */
    Map<UUID, Boolean> waitsFor(Me me, OpenItem item, SecondReadingRow row, List<UUID> attempts) {
        List<UUID> some = attempts.stream().filter(row::isOf).toList();
        Map<UUID, Map<String, LedgerMark>> marks = ledger.currentOf(some, Set.of(item.id()));
        Map<UUID, Boolean> waits = new HashMap<>();
        for (UUID attempt : some) {
            LedgerMark mark = marks.getOrDefault(attempt, Map.of()).get(item.id());
            if (mark != null) {
                waits.put(attempt, waits(me, item, ReadTwice.of(row.rule(), mark, item)));
            }
        }
        return waits;
    }

    private static boolean waits(Me me, OpenItem item, ReadTwice twice) {
        if (twice.by(me.id(), false).filter(mine -> mine.isComplete(item)).isPresent()) {
            return false;
        }
        int others = twice.others(me.id(), item).size();
        return others < 2 || twice.isApart(item);
    }

    @Transactional
    public void plan(Me me, UUID assessment, String itemId, SecondPlan plan) {
        access.require(me, Access.Action.WORK_ON_ASSESSMENT, assessment);
        OpenItem item = editions.require(assessment)
                .assessment()
                .item(itemId)
                .filter(OpenItem.class::isInstance)
                .map(OpenItem.class::cast)
                .orElseThrow(Refused::notFound);
        if (plan.share() < 0 || plan.share() > 100) {
            throw Refused.invalid("share", "The share lies from 0 to 100 of a hundred answers.");
        }
        SecondReadingRow.Key key = new SecondReadingRow.Key(assessment, itemId);
        SecondReadingRow row = entities.find(SecondReadingRow.class, key);
        if (plan.share() == 0) {
            if (row != null) {
                entities.remove(row);
            }
            return;
        }
        boolean isNew = row == null;
        SecondReadingRow kept = row == null ? new SecondReadingRow(assessment, itemId) : row;
        kept.share = plan.share();
        kept.way = plan.way();
        kept.apart = plan.way() == Resolving.Way.THIRD ? apart(plan, item) : null;
        if (isNew) {
            entities.persist(kept);
        }
    }

    private static String apart(SecondPlan plan, OpenItem item) {
        return Optional.ofNullable(plan.apart())
                .flatMap(a -> Fraction.parse(a.strip()))
                .filter(a -> a.signum() >= 0 && a.compareTo(item.points()) <= 0)
                .map(Fraction::toExact)
                .orElseThrow(() -> Refused.invalid(
                        "apart", "Say by how many points two readings may differ, from 0 to " + item.points() + "."));
    }
}
