package org.scholion.server.mail;

import com.github.kagkarlsson.scheduler.SchedulerClient;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.server.platform.Ids;
import org.scholion.server.platform.Refused;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Letters that are asked for, and what has become of them. */
@Service
public class Post {
    static final String TASK = "mail";

    private final EntityManager entities;
    private final MailDoor door;
    private final ObjectProvider<SchedulerClient> scheduler;
    private final Ids ids;
    private final Clock clock;

    Post(EntityManager entities, MailDoor door, ObjectProvider<SchedulerClient> scheduler, Ids ids, Clock clock) {
        this.entities = entities;
        this.door = door;
        this.scheduler = scheduler;
        this.ids = ids;
        this.clock = clock;
    }

    /** Where a letter stands. */
    public enum State {
        WAITING,
        SENT,
        FAILED,
        /** There was no cause for it any more when it was to be sent. */
        DROPPED
    }

    /** @param why in the mail server's words, where it does not take it */
    public record Stand(State state, Instant at, String why) {}

    /** Whether letters can be sent at all. */
    public boolean isSetUp() {
        return door.isThere();
    }

    /** Goes on only if letters can be sent. */
    public void requireSetUp() {
        if (!door.isThere()) {
            throw Refused.conflict(
                    "no-mail",
                    "No mail server is set up. Print slips or make a link instead, or ask whoever runs Scholion.");
        }
    }

    /**
     * Asks for a letter to each of these people; who has one of this kind waiting gets no second one.
     *
     * @return how many letters are asked for
     */
    @Transactional
    public int ask(UUID school, @Nullable UUID by, String kind, Collection<UUID> persons) {
        requireSetUp();
        Set<UUID> waiting = new HashSet<>(entities.createQuery(
                        "select person from MailRow where person in (:persons) and kind = :kind and state = :waiting",
                        UUID.class)
                .setParameter("persons", persons)
                .setParameter("kind", kind)
                .setParameter("waiting", State.WAITING)
                .getResultList());
        List<UUID> made = new ArrayList<>();
        Instant now = clock.instant();
        for (UUID person : new HashSet<>(persons)) {
            if (!waiting.contains(person)) {
                UUID id = ids.next();
                entities.persist(new MailRow(school, id, person, kind, by, now));
                made.add(id);
            }
        }
        entities.flush();
        // Within the transaction: a letter is on its way if and only if it is kept.
        made.forEach(id -> scheduler
                .getObject()
                .scheduleIfNotExists(Tasks.oneTime(TASK).execute((i, c) -> {}).instance(school + " " + id), now));
        return made.size();
    }

    /** The last letter of a kind to each of a school's people who got one. */
    @Transactional(readOnly = true)
    public Map<UUID, Stand> last(UUID school, String kind) {
        Map<UUID, Stand> last = new HashMap<>();
        entities.createQuery("""
                        from MailRow m where m.school = :school and m.kind = :kind and m.state <> :dropped
                        and not exists (select 1 from MailRow n where n.person = m.person and n.kind = m.kind
                          and n.state <> :dropped and n.madeAt > m.madeAt)""", MailRow.class)
                .setParameter("school", school)
                .setParameter("kind", kind)
                .setParameter("dropped", State.DROPPED)
                .getResultList()
                .forEach(m -> last.put(m.person, new Stand(m.state, m.changedAt, m.why)));
        return last;
    }

    /** A letter to somebody, whatever became of it. */
    public record Told(String kind, Instant madeAt, State state, Instant at) {}

    /** All letters to a person, the oldest first. */
    @Transactional(readOnly = true)
    public List<Told> to(UUID person) {
        return entities.createQuery(
                        "select kind, madeAt, state, changedAt from MailRow where person = :person order by madeAt",
                        Told.class)
                .setParameter("person", person)
                .getResultList();
    }

    /** No letter that anybody ever got is known any more. */
    @Transactional
    public void forget(UUID person) {
        entities.createQuery("delete from MailRow where person = :person")
                .setParameter("person", person)
                .executeUpdate();
    }

    /** The last letter of a kind to one person. */
    @Transactional(readOnly = true)
    public Optional<Stand> last(String kind, UUID person) {
        return entities.createQuery("""
                        from MailRow where person = :person and kind = :kind and state <> :dropped
                        order by madeAt desc""", MailRow.class)
                .setParameter("person", person)
                .setParameter("kind", kind)
                .setParameter("dropped", State.DROPPED)
                .setMaxResults(1)
                .getResultStream()
                .findFirst()
                .map(m -> new Stand(m.state, m.changedAt, m.why));
    }
}
