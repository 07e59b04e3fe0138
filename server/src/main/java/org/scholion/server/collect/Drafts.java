package org.scholion.server.collect;

import jakarta.persistence.EntityManager;
import java.time.Duration;
import java.time.Instant;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.hibernate.query.NativeQuery;
import org.jspecify.annotations.Nullable;
import org.scholion.formats.json.Json;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.JsonNode;

/** Answers while a sitting runs: every change is appended, the last of each item holds. */
@Service
class Drafts {
    private final EntityManager entities;

    Drafts(EntityManager entities) {
        this.entities = entities;
    }

    /**
     * The last that was said to an item.
     *
     * @param place by which a window says what it has seen; 0 while it is not written
     */
    record Draft(JsonNode answer, boolean flagged, Instant at, long place) {}

    /**
     * The window in which something is written.
     *
     * @param id null for one that does not tell
     * @param seen the place of the last answer to the item that it shows
     */
    record Window(@Nullable String id, long seen) {
        static final Window UNTOLD = new Window(null, 0);
    }

    /**
     * Appends an answer, in one statement that also looks whether it may still be given: the attempt is one's own, not
     * handed in, neither over nor paused, its student has not gone on where there is no way back, nor looked at the answer
     * where that is done once, and no other window has said something else that this one has not seen. Handing in waits
     * for it, so that an acknowledged answer is among what is read.
     *
     * @param place where the item stands in the student's order
     * @return its place; empty when it was not appended
     */
    @SuppressWarnings("unchecked")
    Optional<Long> append(
            UUID attempt, UUID student, Draft draft, String item, int place, Duration grace, Window window) {
        return entities
                .createNativeQuery("""
                        insert into draft_answer (school_id, attempt_id, item, answer, flagged, at, made_in)
                        select x.school_id, x.id, :item, cast(:answer as jsonb), :flagged, :now, cast(:window as text)
                        from attempt x join sitting s on s.id = x.sitting_id
                        where x.id = :attempt and x.student_id = :student and x.handed_in_at is null
                          and x.set_aside_at is null and (s.going_back or x.reached <= :place)
                          and (s.practice <> 'ONCE' or not exists (
                            select 1 from practice_look l where l.attempt_id = x.id and l.item = :item))
                          and :now <= least(x.paused_at, x.due_at) + make_interval(secs => :grace)
                          and (cast(:window as text) is null or not exists (
                            select 1 from (
                              select d.seq, d.made_in, d.answer from draft_answer d
                              where d.school_id = x.school_id and d.attempt_id = x.id and d.item = :item
                              order by d.seq desc limit 1) last
                            where last.seq > :seen and last.made_in is distinct from cast(:window as text)
                              and last.answer is distinct from cast(:answer as jsonb)))
                        for key share of x
                        returning seq""", Long.class)
                .unwrap(NativeQuery.class)
                .setParameter("item", item)
                .setParameter("answer", Json.write(draft.answer()))
                .setParameter("flagged", draft.flagged())
                .setParameter("now", draft.at())
                .setParameter("attempt", attempt)
                .setParameter("student", student)
                .setParameter("place", place)
                .setParameter("grace", (double) grace.toSeconds())
                .setParameter("window", window.id(), String.class)
                .setParameter("seen", window.seen())
                .getResultList()
                .stream()
                .findFirst();
    }

    /** Writes what an attempt said into the one that goes on from it. */
    @Transactional(propagation = Propagation.MANDATORY)
    void carry(UUID school, UUID to, Map<String, JsonNode> said, Map<String, Draft> before, Instant now) {
        said.forEach((item, answer) -> {
            DraftRow row = new DraftRow();
            row.school = school;
            row.attempt = to;
            row.item = item;
            row.answer = answer;
            row.flagged = before.containsKey(item) && before.get(item).flagged();
            row.at = now;
            entities.persist(row);
        });
    }

    @Transactional(readOnly = true)
    Map<String, Draft> of(UUID attempt) {
        Map<String, Draft> drafts = new LinkedHashMap<>();
        entities.createQuery(CURRENT + "x.id = :id order by d.item", Flat.class)
                .setParameter("id", attempt)
                .getResultList()
                .forEach(d -> drafts.put(d.item(), d.draft()));
        return drafts;
    }

    /** The drafts of all attempts of an assessment that are not handed in. */
    @Transactional(readOnly = true)
    Map<UUID, Map<String, Draft>> working(UUID assessment) {
        Map<UUID, Map<String, Draft>> all = new HashMap<>();
        entities.createQuery(
                        CURRENT + "x.assessment = :assessment and x.handedInAt is null order by d.item", Flat.class)
                .setParameter("assessment", assessment)
                .getResultList()
                .forEach(d -> all.computeIfAbsent(d.attempt(), a -> new LinkedHashMap<>())
                        .put(d.item(), d.draft()));
        return all;
    }

    /** What those who are at work on an assessment say to one item just now. */
    @Transactional(readOnly = true)
    List<JsonNode> working(UUID assessment, String item) {
        return entities
                .createQuery(
                        CURRENT + "x.assessment = :assessment and x.handedInAt is null and d.item = :item", Flat.class)
                .setParameter("assessment", assessment)
                .setParameter("item", item)
                .getResultList()
                .stream()
                .map(Flat::answer)
                .toList();
    }

    private static final String CURRENT = """
            select d.attempt, d.item, d.answer, d.flagged, d.at, d.seq from AttemptRow x
            join DraftRow d on d.school = x.school and d.attempt = x.id
            where d.seq = (select max(n.seq) from DraftRow n
              where n.school = d.school and n.attempt = d.attempt and n.item = d.item) and\s""";

    record Flat(UUID attempt, String item, JsonNode answer, boolean flagged, Instant at, long seq) {
        Draft draft() {
            return new Draft(answer, flagged, at, seq);
        }
    }
}
