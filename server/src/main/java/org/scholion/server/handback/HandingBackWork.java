package org.scholion.server.handback;

import java.util.List;
import java.util.UUID;
import java.util.function.IntConsumer;
import org.scholion.formats.json.Json;
import org.scholion.server.person.People;
import org.scholion.server.platform.LongWork;
import org.scholion.server.platform.Me;
import org.scholion.server.platform.Refused;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;

/** Handing back to many: so many at a time, each of these steps in a turn of its own. */
@Component
class HandingBackWork implements LongWork {
    static final String KIND = "hand-back";
    private static final int AT_A_TIME = 50;

    private final HandingBack handingBack;
    private final People people;

    HandingBackWork(HandingBack handingBack, People people) {
        this.handingBack = handingBack;
        this.people = people;
    }

    @Override
    public String kind() {
        return KIND;
    }

    /** @param edition the edition under which all of them are handed back */
    record Input(HandingBack.HandBack wanted, int edition) {}

    @Override
    public int step(Order order, int done, IntConsumer progress) {
        Input input = input(order);
        List<UUID> attempts = input.wanted().attempts();
        int to = Math.min(attempts.size(), done + AT_A_TIME);
        Me me = people.byId(order.person()).orElseThrow(Refused::notFound);
        handingBack.some(me, order.object(), attempts.subList(done, to), input.wanted(), input.edition());
        return to;
    }

    @Override
    public String said(Order order) {
        return "Handed back to " + order.total() + " students.";
    }

    private static Input input(Order order) {
        return Json.MAPPER.treeToValue(order.input(), Input.class);
    }

    static JsonNode input(HandingBack.HandBack wanted, int edition) {
        return Json.MAPPER.valueToTree(new Input(wanted, edition));
    }
}
