package org.scholion.server.ledger;

import java.util.Collection;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.scholion.server.platform.Veil;
import org.springframework.stereotype.Component;

/**
 * Which marks somebody saw when they decided, as words that come with what is shown and go back with the decision. They
 * tell nothing else: not even in which order answers came in, where names are hidden.
 */
@Component
public class Seen {
    /** So many marks have a word each; more have one word together. */
    private static final int EACH = 50;

    private static final String TOGETHER = "together.";

    private final Veil veil;

    Seen(Veil veil) {
        this.veil = veil;
    }

    public String mark(LedgerMark mark) {
        return veil.name("mark", mark.attempt() + "/" + mark.item() + "/" + mark.seq());
    }

    public List<String> marks(Collection<LedgerMark> marks) {
        return marks.size() <= EACH
                ? marks.stream().map(this::mark).toList()
                : List.of(TOGETHER + marks.size() + "." + digest(inOrder(marks)));
    }

    /**
     * Those of the marks that are current now which were seen.
     *
     * @return nothing where one that was seen has become another meanwhile
     */
    public Optional<Set<Long>> among(Collection<LedgerMark> now, List<String> saw) {
        if (saw.size() == 1 && saw.get(0).startsWith(TOGETHER)) {
            return together(now, saw.get(0));
        }
        Set<String> left = new HashSet<>(saw);
        Set<Long> seen = new HashSet<>();
        now.forEach(m -> {
            if (left.remove(mark(m))) {
                seen.add(m.seq());
            }
        });
        return saw.isEmpty() || !left.isEmpty() ? Optional.empty() : Optional.of(seen);
    }

    /** What came later has a later place in the ledger: those that were seen are the first so many. */
    private Optional<Set<Long>> together(Collection<LedgerMark> now, String saw) {
        String[] parts = saw.split("\\.", -1);
        int count = parts.length == 3 && parts[1].matches("\\d{1,9}") ? Integer.parseInt(parts[1]) : 0;
        if (count == 0 || count > now.size()) {
            return Optional.empty();
        }
        List<LedgerMark> first = inOrder(now).subList(0, count);
        return digest(first).equals(parts[2])
                ? Optional.of(first.stream().map(LedgerMark::seq).collect(Collectors.toSet()))
                : Optional.empty();
    }

    private static List<LedgerMark> inOrder(Collection<LedgerMark> marks) {
        return marks.stream().sorted(Comparator.comparingLong(LedgerMark::seq)).toList();
    }

    private String digest(List<LedgerMark> inOrder) {
        return veil.name(
                "marks", inOrder.stream().map(m -> Long.toString(m.seq())).collect(Collectors.joining("/")));
    }
}
