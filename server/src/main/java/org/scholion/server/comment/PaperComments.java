package org.scholion.server.comment;

import jakarta.persistence.EntityManager;
import jakarta.persistence.TypedQuery;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import org.scholion.server.platform.Ids;
import org.scholion.server.platform.Lengths;
import org.scholion.server.platform.Me;
import org.scholion.server.platform.Refused;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What each reader says of a student's whole paper. Who may say or see it is asked before. */
@Service
public class PaperComments {
    private static final int LONGEST = 5_000;

    private static final String IS_LAST = """
            not exists (select 1 from PaperCommentRow l where l.attempt = c.attempt and l.person = c.person
              and (l.at > c.at or l.at = c.at and l.id > c.id)) and\s""";

    private static final String LAST = """
            select c.attempt, c.person, p.name, c.text, c.id, c.at from PaperCommentRow c join Person p on p.id = c.person
            where\s""" + IS_LAST;

    private final EntityManager entities;
    private final Ids ids;
    private final Clock clock;

    PaperComments(EntityManager entities, Ids ids, Clock clock) {
        this.entities = entities;
        this.ids = ids;
        this.clock = clock;
    }

    /** @param name who said it */
    public record Said(UUID attempt, UUID person, String name, String text, UUID id, Instant at) {}

    /** What stands on the papers of an assessment, by attempt; none where nothing is said. */
    @Transactional(readOnly = true)
    public Map<UUID, List<Said>> ofAssessment(UUID assessment) {
        return standing("c.assessment = :of", assessment).stream().collect(Collectors.groupingBy(Said::attempt));
    }

    /** What stands on one paper, by attempt as well. */
    @Transactional(readOnly = true)
    public Map<UUID, List<Said>> ofAttempt(UUID attempt) {
        return standing("c.attempt = :of", attempt).stream().collect(Collectors.groupingBy(Said::attempt));
    }

    /** Something short by attempt that is another one as soon as something else is said; none where nothing is. */
    @Transactional(readOnly = true)
    public Map<UUID, String> stamps(UUID assessment) {
        return entities.createQuery(
                        "select c.attempt, c.id from PaperCommentRow c where " + IS_LAST
                                + "c.assessment = :of and c.text <> '' order by c.at, c.id",
                        Stamp.class)
                .setParameter("of", assessment)
                .getResultStream()
                .collect(Collectors.groupingBy(
                        Stamp::attempt, Collectors.mapping(s -> s.id().toString(), Collectors.joining(","))));
    }

    /** The same of what stands on one paper. */
    public static String stamp(List<Said> said) {
        return said.stream().map(s -> s.id().toString()).collect(Collectors.joining(","));
    }

    record Stamp(UUID attempt, UUID id) {}

    private List<Said> standing(String which, UUID of) {
        return last(which, of)
                .getResultStream()
                .filter(s -> !s.text().isEmpty())
                .toList();
    }

    private TypedQuery<Said> last(String which, UUID of) {
        return entities.createQuery(LAST + which + " order by c.at, c.id", Said.class)
                .setParameter("of", of);
    }

    /**
     * What somebody says themselves.
     *
     * @param saw which saying this is; it goes back with the next one. Empty where nothing was ever said
     */
    public record Own(String text, String saw) {}

    @Transactional(readOnly = true)
    public Own own(Me me, UUID attempt) {
        return last("c.attempt = :of and c.person = :person", attempt)
                .setParameter("person", me.id())
                .getResultStream()
                .findFirst()
                .map(s -> new Own(s.text(), s.id().toString()))
                .orElse(new Own("", ""));
    }

    /**
     * Says it, in the place of what the same person said before.
     *
     * @throws Refused when they have said something else meanwhile, in another window; both are kept
     */
    @Transactional
    public Own say(Me me, UUID assessment, UUID attempt, Own next) {
        String text = Lengths.atMost("text", next.text().strip(), LONGEST);
        Own now = own(me, attempt);
        if (now.text().equals(text)) {
            return now;
        }
        if (!now.saw().equals(next.saw())) {
            throw Refused.overtaken(
                    "You have changed this comment in another window. Both are here; nothing was overwritten.", now);
        }
        UUID id = ids.next();
        entities.persist(new PaperCommentRow(id, assessment, attempt, me.id(), text, clock.instant()));
        return new Own(text, id.toString());
    }
}
