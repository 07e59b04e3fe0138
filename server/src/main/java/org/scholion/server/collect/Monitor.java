package org.scholion.server.collect;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.core.item.Item;
import org.scholion.server.key.Edition;
import org.scholion.server.key.Editions;
import org.scholion.server.ledger.AtWork;
import org.scholion.server.ledger.Attempt;
import org.scholion.server.ledger.Attempts;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.JsonNode;

/** Who has started, how far they are, who is stuck and who has not handed in: a row a student. */
@Service
class Monitor {
    private static final int SHORT = 60;
    private static final Duration STUCK = Duration.ofMinutes(10);

    private final EntityManager entities;
    private final Attempts attempts;
    private final Drafts drafts;
    private final Editions editions;
    private final Sittings sittings;
    private final AtWork atWork;
    private final TeacherLines lines;
    private final Clock clock;

    Monitor(
            EntityManager entities,
            Attempts attempts,
            Drafts drafts,
            Editions editions,
            Sittings sittings,
            AtWork atWork,
            TeacherLines lines,
            Clock clock) {
        this.entities = entities;
        this.attempts = attempts;
        this.drafts = drafts;
        this.editions = editions;
        this.sittings = sittings;
        this.atWork = atWork;
        this.lines = lines;
        this.clock = clock;
    }

    /** Where a student's attempt stands. */
    enum Stage {
        NOT_STARTED,
        WORKING,
        IN
    }

    /**
     * A student's row.
     *
     * @param cells for each item whether something is said
     * @param at the item that changed last, by place; null when none did
     * @param stuck minutes without a change, when they are many; null otherwise
     * @param due when the time of this student is over, or would be if they began or went on now; null for what came in
     *     otherwise
     * @param different whether something is different for this student
     * @param paused whether the teacher has stopped the time
     * @param leftPage how often the page was left, where that is counted
     * @param taken how many attempts of this student there are; the row is about the last
     * @param guest whether they came by the short link and are on no roster
     */
    record MonitorRow(
            UUID student,
            String given,
            String family,
            UUID section,
            @Nullable UUID attempt,
            Attempt.@Nullable Way way,
            Stage stage,
            List<Boolean> cells,
            @Nullable Integer at,
            @Nullable Instant lastChange,
            @Nullable Long stuck,
            UUID sitting,
            @Nullable Instant due,
            boolean different,
            boolean paused,
            int leftPage,
            int taken,
            boolean guest) {}

    /**
     * All of it.
     *
     * @param now the server's clock, by which the time that is left is counted
     * @param lines what was said to students and stands, the latest first
     * @param asked the questions, in the order of the cells
     */
    record MonitorView(
            Instant now,
            int items,
            int in,
            int working,
            int notStarted,
            List<Sittings.SittingLine> sittings,
            List<TeacherLines.LineSaid> lines,
            List<AskedItem> asked,
            List<MonitorRow> rows) {}

    /** A question by the beginning of its words. */
    record AskedItem(String id, int number, String prompt) {
        static AskedItem of(Edition edition, Item item) {
            String words = item.asked();
            return new AskedItem(
                    item.id(),
                    edition.numberOf(item.id()),
                    words.length() <= SHORT ? words : words.substring(0, SHORT - 1) + "…");
        }
    }

    record Enrolled(UUID student, String given, String family, UUID section, boolean guest) {}

    @Transactional(readOnly = true)
    MonitorView of(UUID assessment, @Nullable UUID section) {
        List<Sittings.SittingLine> given = sittings.of(assessment).stream()
                .filter(s -> section == null || s.section().equals(section))
                .toList();
        Edition edition = editions.latest(assessment).orElse(null);
        List<Item> items = edition == null ? List.of() : edition.items();
        Map<Place, Attempt> attemptOf = new HashMap<>();
        Map<Place, Integer> taken = new HashMap<>();
        for (Attempt a : attempts.of(assessment, section)) {
            Place place = new Place(a.student(), a.section());
            attemptOf.merge(place, a, (one, other) -> one.number() > other.number() ? one : other);
            taken.merge(place, 1, Integer::sum);
        }
        Map<UUID, Map<String, JsonNode>> responses = attempts.responses(assessment);
        Map<UUID, Map<String, Drafts.Draft>> working = drafts.working(assessment);
        Map<UUID, AtWork.Stand> stands = new HashMap<>();
        atWork.of(assessment).forEach(s -> stands.put(s.attempt(), s));
        Instant now = clock.instant();
        List<MonitorRow> rows = new ArrayList<>();
        for (Sittings.SittingLine sitting : given) {
            SittingRow row = sittings.require(sitting.id());
            Map<UUID, DifferentRow> different = sittings.differentIn(sitting.id());
            for (Enrolled e : enrolled(sitting.id())) {
                Place place = new Place(e.student(), e.section());
                Attempt attempt = attemptOf.get(place);
                AtWork.Stand stand = attempt == null ? null : stands.get(attempt.id());
                rows.add(row(
                        e,
                        attempt,
                        progress(attempt, items, responses, working),
                        Own.of(row, different.get(e.student()), stand, now),
                        taken.getOrDefault(place, 0)));
            }
        }
        // Whoever is in two sections is one student: in once handed in anywhere, else at work, else not begun.
        Map<UUID, Stage> furthest = new HashMap<>();
        rows.forEach(r -> furthest.merge(r.student(), r.stage(), Monitor::further));
        int in = Collections.frequency(furthest.values(), Stage.IN);
        int busy = Collections.frequency(furthest.values(), Stage.WORKING);
        return new MonitorView(
                now,
                items.size(),
                in,
                busy,
                furthest.size() - in - busy,
                given,
                lines.in(given.stream().map(Sittings.SittingLine::id).toList()),
                edition == null
                        ? List.of()
                        : items.stream().map(i -> AskedItem.of(edition, i)).toList(),
                rows);
    }

    private record Place(UUID student, UUID section) {}

    private static Stage further(Stage a, Stage b) {
        List<Stage> order = List.of(Stage.IN, Stage.WORKING, Stage.NOT_STARTED);
        return order.indexOf(a) < order.indexOf(b) ? a : b;
    }

    private List<Enrolled> enrolled(UUID sitting) {
        return entities.createQuery("""
                        select p.id, p.given, p.family, e.section,
                               case when p.guestOf is null then false else true end
                        from Expected e join Person p on p.id = e.student
                        where e.sitting = :sitting order by p.family, p.given""", Enrolled.class)
                .setParameter("sitting", sitting)
                .getResultList();
    }

    /** How far an attempt is. */
    private record Progress(
            Stage stage,
            List<Boolean> cells,
            @Nullable Integer at,
            @Nullable Instant lastChange,
            @Nullable Long stuck) {}

    /** How the time of one student stands. */
    private record Own(UUID sitting, @Nullable Instant due, boolean different, boolean paused, int leftPage) {
        static Own of(SittingRow sitting, @Nullable DifferentRow different, AtWork.@Nullable Stand stand, Instant now) {
            Instant due = stand == null ? OwnTimes.of(sitting, different).deadline(now) : due(stand, now);
            return new Own(
                    sitting.id,
                    due,
                    different != null,
                    stand != null && stand.pausedAt() != null,
                    stand == null ? 0 : stand.leftPage());
        }

        /** Of an attempt that is paused, as if it went on now. */
        private static @Nullable Instant due(AtWork.Stand stand, Instant now) {
            Instant due = stand.due();
            return due == null || stand.pausedAt() == null ? due : due.plus(Duration.between(stand.pausedAt(), now));
        }
    }

    private Progress progress(
            @Nullable Attempt attempt,
            List<Item> items,
            Map<UUID, Map<String, JsonNode>> responses,
            Map<UUID, Map<String, Drafts.Draft>> working) {
        if (attempt == null) {
            return new Progress(
                    Stage.NOT_STARTED, items.stream().map(i -> false).toList(), null, null, null);
        }
        return attempt.isIn()
                ? in(attempt, items, responses.getOrDefault(attempt.id(), Map.of()))
                : working(attempt, items, working.getOrDefault(attempt.id(), Map.of()));
    }

    private static MonitorRow row(Enrolled e, @Nullable Attempt attempt, Progress p, Own own, int taken) {
        return new MonitorRow(
                e.student(),
                e.given(),
                e.family(),
                e.section(),
                attempt == null ? null : attempt.id(),
                attempt == null ? null : attempt.way(),
                p.stage(),
                p.cells(),
                p.at(),
                p.lastChange(),
                own.paused() ? null : p.stuck(),
                own.sitting(),
                own.due(),
                own.different(),
                own.paused(),
                own.leftPage(),
                taken,
                e.guest());
    }

    private static Progress in(Attempt attempt, List<Item> items, Map<String, JsonNode> said) {
        List<Boolean> cells = items.stream().map(i -> isSaid(said.get(i.id()))).toList();
        return new Progress(Stage.IN, cells, null, attempt.handedInAt(), null);
    }

    private Progress working(Attempt attempt, List<Item> items, Map<String, Drafts.Draft> drafts) {
        Instant last = attempt.startedAt();
        Integer at = null;
        List<Boolean> cells = new ArrayList<>();
        for (int i = 0; i < items.size(); i++) {
            Drafts.Draft draft = drafts.get(items.get(i).id());
            cells.add(draft != null && isSaid(draft.answer()));
            if (draft != null && !draft.at().isBefore(last)) {
                last = draft.at();
                at = i;
            }
        }
        Duration quiet = Duration.between(last, clock.instant());
        Long stuck = quiet.compareTo(STUCK) > 0 ? quiet.toMinutes() : null;
        return new Progress(Stage.WORKING, cells, at, last, stuck);
    }

    static boolean isSaid(@Nullable JsonNode answer) {
        return answer != null
                && !answer.isNull()
                && (answer.isString() ? !answer.stringValue().isBlank() : !answer.isEmpty());
    }
}
