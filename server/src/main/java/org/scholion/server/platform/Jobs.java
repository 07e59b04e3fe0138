package org.scholion.server.platform;

import com.github.kagkarlsson.scheduler.SchedulerClient;
import com.github.kagkarlsson.scheduler.task.helper.OneTimeTask;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Consumer;
import java.util.function.IntConsumer;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.stereotype.Service;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.support.TransactionTemplate;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.JsonNodeFactory;

/** Long work in the background: begun, watched by whoever began it, gone on with after a crash. */
@Service
public class Jobs {
    private static final Logger LOG = LoggerFactory.getLogger(Jobs.class);
    private static final Duration RECENT = Duration.ofHours(24);
    private static final String TASK = "job";
    private static final String WHILE_ASKED = "while-asked";
    private static final Duration SILENT = Duration.ofMinutes(1);

    private final Repository repository;
    private final ObjectProvider<SchedulerClient> scheduler;
    private final ObjectProvider<LongWork> kinds;
    private final TransactionTemplate transaction;
    /** How far a step is shall be seen while it goes on. */
    private final TransactionTemplate beside;

    private final Ids ids;
    private final Clock clock;

    Jobs(
            Repository repository,
            ObjectProvider<SchedulerClient> scheduler,
            ObjectProvider<LongWork> kinds,
            PlatformTransactionManager transactions,
            Ids ids,
            Clock clock) {
        this.repository = repository;
        this.scheduler = scheduler;
        this.kinds = kinds;
        this.transaction = new TransactionTemplate(transactions);
        this.beside = new TransactionTemplate(transactions);
        this.beside.setPropagationBehavior(TransactionDefinition.PROPAGATION_REQUIRES_NEW);
        this.ids = ids;
        this.clock = clock;
    }

    interface Repository extends JpaRepository<JobRow, UUID> {
        Optional<JobRow> findFirstByKindAndObjectAndStateAndChangedAtAfter(
                String kind, UUID object, State state, Instant since);

        List<JobRow> findTop20ByPersonAndChangedAtAfterOrderByChangedAtDesc(UUID person, Instant since);
    }

    /** Where work stands. */
    public enum State {
        RUNNING,
        DONE,
        STOPPED
    }

    /** @param said what is told at its end, or why it stopped */
    public record JobView(
            UUID id,
            String kind,
            UUID object,
            int done,
            int total,
            State state,
            @Nullable String said,
            Instant changedAt) {}

    /** Begins work; it starts at once, on any node. */
    public UUID begin(Me me, String kind, UUID object, JsonNode input, int total) {
        UUID id = ids.next();
        transaction.executeWithoutResult(
                t -> repository.save(new JobRow(id, me, kind, object, input, total, clock.instant())));
        scheduler
                .getObject()
                .scheduleIfNotExists(Tasks.oneTime(TASK).execute((i, c) -> {}).instance(id.toString()), Instant.now());
        return id;
    }

    /**
     * Work that a request does itself while its person waits: they see how far it is, and when it ends nothing is left
     * of that.
     */
    public void whileAsked(Me me, UUID object, int total, Consumer<IntConsumer> work) {
        UUID id = ids.next();
        beside.executeWithoutResult(t -> repository.save(new JobRow(
                id, me, WHILE_ASKED, object, JsonNodeFactory.instance.objectNode(), total, clock.instant())));
        try {
            work.accept(now -> note(id, now, State.RUNNING, null));
        } finally {
            beside.executeWithoutResult(t -> repository.deleteById(id));
        }
    }

    /** How far a request of one's own is with an object. */
    public Optional<JobView> asked(Me me, UUID object) {
        // What a request did that was killed has ended with it.
        return runningOn(WHILE_ASKED, object, SILENT)
                .filter(j -> j.person.equals(me.id()))
                .map(JobRow::view);
    }

    /** Work of one's own. */
    public Optional<JobView> find(Me me, UUID id) {
        return repository.findById(id).filter(j -> j.person.equals(me.id())).map(JobRow::view);
    }

    /** One's own work of the last day that goes on without oneself, the latest first. */
    public List<JobView> recent(Me me) {
        return repository
                .findTop20ByPersonAndChangedAtAfterOrderByChangedAtDesc(
                        me.id(), clock.instant().minus(RECENT))
                .stream()
                .filter(j -> !j.kind.equals(WHILE_ASKED))
                .map(JobRow::view)
                .toList();
    }

    /** One's own work on an object that goes on. */
    public Optional<JobView> running(Me me, UUID object) {
        return recent(me).stream()
                .filter(j -> j.object().equals(object) && j.state() == State.RUNNING)
                .findFirst();
    }

    /** Anybody's work of a kind on an object that goes on. */
    public Optional<JobView> runningOn(String kind, UUID object) {
        return runningOn(kind, object, RECENT).map(JobRow::view);
    }

    private Optional<JobRow> runningOn(String kind, UUID object, Duration within) {
        return repository.findFirstByKindAndObjectAndStateAndChangedAtAfter(
                kind, object, State.RUNNING, clock.instant().minus(within));
    }

    void run(UUID id) {
        JobRow job = repository.findById(id).orElseThrow();
        LongWork work = kinds.stream()
                .filter(w -> w.kind().equals(job.kind))
                .findFirst()
                .orElseThrow();
        LongWork.Order order = new LongWork.Order(job.person, job.object, job.total, job.input);
        int done = job.done;
        try {
            while (done < job.total) {
                // All of it is done only when the step is: what a kill cuts short is not.
                done = work.step(order, done, now -> note(id, Math.min(now, job.total - 1), State.RUNNING, null));
                note(id, done, State.RUNNING, null);
            }
            note(id, done, State.DONE, work.said(order));
        } catch (Refused e) {
            note(id, done, State.STOPPED, e.getMessage());
        }
    }

    private void note(UUID id, int done, State state, @Nullable String said) {
        beside.executeWithoutResult(t -> {
            JobRow job = repository.findById(id).orElseThrow();
            if (job.state == State.DONE) {
                // A node that was taken for dead comes too late to say otherwise.
                return;
            }
            job.done = done;
            job.state = state;
            job.said = said;
            job.changedAt = clock.instant();
        });
    }

    /** Who does it: the scheduler of any node. What throws is tried again after a while, from where it was. */
    @Configuration
    static class Doing {
        @Bean
        OneTimeTask<Void> doJobs(ObjectProvider<Jobs> jobs) {
            return Tasks.oneTime(TASK)
                    .onFailure((complete, operations) -> {
                        LOG.error(
                                "work {} goes on later",
                                complete.getExecution().taskInstance.getId(),
                                complete.getCause().orElse(null));
                        operations.reschedule(complete, Instant.now().plusSeconds(30));
                    })
                    .execute((instance, context) -> jobs.getObject().run(UUID.fromString(instance.getId())));
        }
    }
}
