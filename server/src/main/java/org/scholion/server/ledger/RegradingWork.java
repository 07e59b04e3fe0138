package org.scholion.server.ledger;

import java.util.UUID;
import java.util.function.IntConsumer;
import org.jspecify.annotations.Nullable;
import org.scholion.formats.json.Json;
import org.scholion.server.key.Edition;
import org.scholion.server.key.Editions;
import org.scholion.server.person.People;
import org.scholion.server.platform.Jobs;
import org.scholion.server.platform.LongWork;
import org.scholion.server.platform.Me;
import org.scholion.server.platform.Refused;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;

/** A new edition for very many answers, made in the background; one at a time on each assessment. */
@Component
class RegradingWork implements LongWork {
    static final String KIND = "regrade";

    private final ObjectProvider<Regrading> regrading;
    private final Jobs jobs;
    private final People people;

    RegradingWork(ObjectProvider<Regrading> regrading, Jobs jobs, People people) {
        this.regrading = regrading;
        this.jobs = jobs;
        this.people = people;
    }

    /** @param base the number of the edition that it was made of */
    record Input(
            JsonNode definition,
            JsonNode rulings,
            String why,
            @Nullable Integer undoes,
            int base) {}

    /** Whoever changes the key while its answers are scored again would change what is gone already. */
    void requireNoneOn(UUID assessment) {
        jobs.runningOn(KIND, assessment).ifPresent(job -> {
            throw Refused.conflict(
                    "key-changing",
                    "The key is being changed just now: " + job.done() + " of " + job.total()
                            + " attempts are scored again. Nothing of yours was changed; try again when it is done.");
        });
    }

    UUID begin(Me me, Regrading.Made made, @Nullable Integer undoes, int attempts) {
        Edition candidate = made.candidate();
        Input input = new Input(
                candidate.definition(),
                Editions.written(candidate.rulings()),
                made.why(),
                undoes,
                candidate.number() - 1);
        return jobs.begin(me, KIND, candidate.assessmentId(), Json.MAPPER.valueToTree(input), attempts);
    }

    @Override
    public String kind() {
        return KIND;
    }

    @Override
    public int step(Order order, int done, IntConsumer progress) {
        Input input = Json.MAPPER.treeToValue(order.input(), Input.class);
        Me me = people.byId(order.person()).orElseThrow(Refused::notFound);
        Edition candidate =
                Edition.compile(order.object(), input.base() + 1, input.definition(), Editions.read(input.rulings()));
        Regrading.Made made = new Regrading.Made(candidate, input.why());
        regrading.getObject().write(me, made, input.undoes(), input.base(), progress);
        return order.total();
    }

    @Override
    public String said(Order order) {
        return "The key is changed, and " + order.total() + " attempts are scored by it.";
    }
}
