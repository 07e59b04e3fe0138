package org.scholion.server.ledger;

import java.util.List;
import org.scholion.server.platform.Me;
import org.scholion.server.platform.Refused;

/** Marks of one answer, the newest first, of which somebody takes their own last decision back. */
public record OwnDecision(List<LedgerMark> history) {
    /** The decision that stands: what was restored is the mark that it restores. */
    public LedgerMark standing() {
        long place = history.get(0).origin();
        return history.stream().filter(m -> m.seq() == place).findFirst().orElseThrow(Refused::notFound);
    }

    /**
     * What stood before it.
     *
     * @param what the decision is called to a person, such as "reading"
     * @param otherwise what can be done about a colleague's
     * @throws Refused where it is somebody else's
     */
    public LedgerMark before(Me me, String what, String otherwise) {
        LedgerMark last = standing();
        if (!me.id().equals(last.person())) {
            throw Refused.conflict(
                    "not-yours", "This " + what + " is " + last.personName() + "’s, so it stays. " + otherwise);
        }
        return history.stream().filter(m -> m.seq() < last.seq()).findFirst().orElseThrow(Refused::notFound);
    }
}
