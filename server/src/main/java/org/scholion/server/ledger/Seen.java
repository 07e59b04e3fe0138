package org.scholion.server.ledger;

import java.util.Collection;
import java.util.List;
import org.scholion.server.platform.Veil;
import org.springframework.stereotype.Component;

/**
 * Which marks somebody saw when they decided, as a word that comes with what is shown and goes back with the decision.
 * It tells nothing else: not even in which order answers came in, where names are hidden.
 */
@Component
public class Seen {
    private final Veil veil;

    Seen(Veil veil) {
        this.veil = veil;
    }

    public String mark(LedgerMark mark) {
        return veil.name("mark", mark.attempt() + "/" + mark.item() + "/" + mark.seq());
    }

    public List<String> marks(Collection<LedgerMark> marks) {
        return marks.stream().map(this::mark).toList();
    }
}
