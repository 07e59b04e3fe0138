package org.scholion.server.drawn;

import jakarta.persistence.EntityManager;
import jakarta.persistence.TypedQuery;
import java.time.Clock;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.server.platform.Lengths;
import org.scholion.server.platform.Me;
import org.scholion.server.platform.Refused;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Lines and notes on the pages of answers. Who may see or make them is asked before. */
@Service
public class DrawnMarks {
    private static final int MOST_POINTS = 500;
    private static final int LONGEST_WORDS = 500;
    private static final int MOST_PAGES = 1_000;
    private static final int MOST_OF_AN_ANSWER = 500;

    private final EntityManager entities;
    private final Clock clock;

    DrawnMarks(EntityManager entities, Clock clock) {
        this.entities = entities;
        this.clock = clock;
    }

    public enum Kind {
        PEN,
        HIGHLIGHTER,
        NOTE
    }

    /** The answer of an attempt to an item. */
    public record Place(UUID assessment, UUID attempt, String item) {}

    /**
     * What is drawn.
     *
     * @param file the attachment, {@code page} its page from 1; a picture has one
     * @param points x and y, each from 0 to 1 of the page's width and height as it stands upright; of a note the one place
     * @param words of a note; empty else
     */
    public record NewMark(String file, int page, Kind kind, List<List<Double>> points, String words) {
        public NewMark {
            file = Objects.requireNonNullElse(file, "");
            points = Objects.requireNonNullElse(points, List.of());
            words = Objects.requireNonNullElse(words, "");
        }
    }

    /** @param mine whether whoever looks made it, and may take it back */
    public record DrawnMark(
            UUID id, String file, int page, Kind kind, List<List<Double>> points, String words, boolean mine) {}

    /** What stands on an answer, in the order in which it was made. */
    @Transactional(readOnly = true)
    public List<DrawnMark> on(UUID attempt, String item, Me me) {
        return views(rows(attempt, item, "d.removedAt is null"), me.id());
    }

    /** What stood on an answer at a moment. */
    @Transactional(readOnly = true)
    public List<DrawnMark> asOf(UUID attempt, String item, Instant moment) {
        return views(
                rows(attempt, item, "d.at <= :moment and (d.removedAt is null or d.removedAt > :moment)")
                        .setParameter("moment", moment),
                null);
    }

    private TypedQuery<DrawnMarkRow> rows(UUID attempt, String item, String which) {
        return entities.createQuery(
                        "from DrawnMarkRow d where d.attempt = :attempt and d.item = :item and " + which
                                + " order by d.at, d.id",
                        DrawnMarkRow.class)
                .setParameter("attempt", attempt)
                .setParameter("item", item);
    }

    private static List<DrawnMark> views(TypedQuery<DrawnMarkRow> rows, @Nullable UUID me) {
        return rows.getResultStream()
                .map(d -> new DrawnMark(d.id, d.file, d.page, d.kind, d.points, d.words, d.person.equals(me)))
                .toList();
    }

    /** What changes with each line: of each answer of an assessment that has any, by attempt and item. */
    @Transactional(readOnly = true)
    public Map<UUID, Map<String, String>> stamps(UUID assessment) {
        return stamps("d.assessment = :of", assessment);
    }

    /** The same of one attempt alone. */
    @Transactional(readOnly = true)
    public Map<UUID, Map<String, String>> stampsOf(UUID attempt) {
        return stamps("d.attempt = :of", attempt);
    }

    private Map<UUID, Map<String, String>> stamps(String which, UUID of) {
        Map<UUID, Map<String, String>> all = new HashMap<>();
        entities.createQuery(
                        "select d.attempt, d.item, count(*), max(d.at), max(d.removedAt) from DrawnMarkRow d where "
                                + which + " group by d.attempt, d.item",
                        Stamp.class)
                .setParameter("of", of)
                .getResultList()
                .forEach(s -> all.computeIfAbsent(s.attempt(), a -> new HashMap<>())
                        .put(s.item(), s.count() + "/" + s.last() + "/" + s.removed()));
        return all;
    }

    record Stamp(
            UUID attempt,
            String item,
            long count,
            Instant last,
            @Nullable Instant removed) {}

    /**
     * Puts a line or a note on a page, once for its name however often it is sent.
     *
     * @param attachments those that the answer has
     */
    @Transactional
    public void put(Me me, Place place, UUID id, NewMark mark, List<String> attachments) {
        check(mark, attachments);
        DrawnMarkRow there = entities.find(DrawnMarkRow.class, id);
        if (there != null) {
            if (!there.person.equals(me.id())
                    || !there.attempt.equals(place.attempt())
                    || !there.item.equals(place.item())) {
                throw Refused.notFound();
            }
            return;
        }
        long stand = entities.createQuery(
                        "select count(*) from DrawnMarkRow d where d.attempt = :attempt and d.item = :item"
                                + " and d.removedAt is null",
                        Long.class)
                .setParameter("attempt", place.attempt())
                .setParameter("item", place.item())
                .getSingleResult();
        if (stand >= MOST_OF_AN_ANSWER) {
            throw Refused.invalid(
                    "points", "There are " + MOST_OF_AN_ANSWER + " lines and notes on this answer. Remove some first.");
        }
        NewMark kept = new NewMark(
                mark.file(),
                mark.page(),
                mark.kind(),
                mark.points(),
                Lengths.atMost("words", mark.words(), LONGEST_WORDS));
        entities.persist(new DrawnMarkRow(id, place, kept, me.id(), clock.instant()));
    }

    private static void check(NewMark mark, List<String> attachments) {
        if (!attachments.contains(mark.file())) {
            throw Refused.invalid("file", "The answer has no such attachment.");
        }
        if (mark.page() < 1 || mark.page() > MOST_PAGES) {
            throw Refused.invalid("page", "The attachment has no such page.");
        }
        if (mark.kind() == null) {
            throw Refused.invalid("kind", "Say what it is: a line of the pen or the highlighter, or a note.");
        }
        if (mark.kind() == Kind.NOTE ? mark.words().isBlank() : !mark.words().isEmpty()) {
            throw Refused.invalid("words", "A note has words, and nothing else has.");
        }
        int most = mark.kind() == Kind.NOTE ? 1 : MOST_POINTS;
        if (mark.points().isEmpty() || mark.points().size() > most) {
            throw Refused.invalid("points", "From 1 to " + most + " points are kept.");
        }
        if (!mark.points().stream().allMatch(DrawnMarks::isOnPage)) {
            throw Refused.invalid("points", "Each point has an x and a y from 0 to 1.");
        }
    }

    private static boolean isOnPage(@Nullable List<Double> point) {
        return point != null && point.size() == 2 && point.stream().allMatch(v -> v != null && v >= 0 && v <= 1);
    }

    /** Takes one's own line or note back; one that is gone already stays so. */
    @Transactional
    public void remove(Me me, Place place, UUID id) {
        entities.createQuery("""
                        update DrawnMarkRow d set d.removedAt = :now
                        where d.id = :id and d.person = :me and d.attempt = :attempt and d.item = :item
                          and d.removedAt is null""")
                .setParameter("now", clock.instant())
                .setParameter("id", id)
                .setParameter("me", me.id())
                .setParameter("attempt", place.attempt())
                .setParameter("item", place.item())
                .executeUpdate();
    }
}
