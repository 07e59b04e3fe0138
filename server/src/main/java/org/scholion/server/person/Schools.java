package org.scholion.server.person;

import java.util.UUID;
import org.scholion.server.access.Access;
import org.scholion.server.platform.Lengths;
import org.scholion.server.platform.Me;
import org.scholion.server.platform.Refused;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The school and what its administrator sets. */
@Service
public class Schools {
    private static final int MOST_IDLE_MINUTES = 1_440;
    private static final int MOST_HOURS = 720;

    private final Repository repository;
    private final Access access;

    Schools(Repository repository, Access access) {
        this.repository = repository;
        this.access = access;
    }

    interface Repository extends JpaRepository<School, UUID> {
        boolean existsByMadeUpFalse();

        boolean existsByMadeUpTrue();
    }

    /**
     * How long people stay signed in.
     *
     * @param idleMinutes without doing anything
     * @param sessionHours at all
     */
    public record Limits(int idleMinutes, int sessionHours) {}

    @Transactional
    public void add(UUID id, String name, String zone, boolean madeUp) {
        repository.saveAndFlush(new School(id, Lengths.atMost("name", name, 200), zone, madeUp));
    }

    @Transactional(readOnly = true)
    public String name(UUID school) {
        return repository.findById(school).map(s -> s.name).orElse("");
    }

    /** The zone in which the school's times are told. */
    @Transactional(readOnly = true)
    public String zone(UUID school) {
        return repository.findById(school).map(s -> s.zone).orElse("UTC");
    }

    @Transactional(readOnly = true)
    public boolean isThereAny() {
        return repository.count() > 0;
    }

    /** Whether everybody here is made up, so that anybody may sign in as anybody. */
    @Transactional(readOnly = true)
    public boolean isOnlyMadeUp() {
        return repository.existsByMadeUpTrue() && !repository.existsByMadeUpFalse();
    }

    @Transactional(readOnly = true)
    Limits limits(Me me) {
        access.require(me, Access.Action.SEE_PEOPLE, me.school());
        School school = repository.findById(me.school()).orElseThrow(Refused::notFound);
        return new Limits(school.idleMinutes, school.sessionHours);
    }

    /** They hold from the next request of everybody on. */
    @Transactional
    Limits setLimits(Me me, Limits wanted) {
        access.require(me, Access.Action.SEE_PEOPLE, me.school());
        if (wanted.idleMinutes() < 5 || wanted.idleMinutes() > MOST_IDLE_MINUTES) {
            throw Refused.invalid("idleMinutes", "choose from 5 to " + MOST_IDLE_MINUTES + " minutes");
        }
        if (wanted.sessionHours() < 1 || wanted.sessionHours() > MOST_HOURS) {
            throw Refused.invalid("sessionHours", "choose from 1 to " + MOST_HOURS + " hours");
        }
        School school = repository.findById(me.school()).orElseThrow(Refused::notFound);
        school.idleMinutes = wanted.idleMinutes();
        school.sessionHours = wanted.sessionHours();
        return wanted;
    }
}
