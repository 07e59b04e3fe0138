package org.scholion.server.settle;

import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What people have decided about answers to a question, for whoever writes its key anew. */
@Service
public class DecidedBefore {
    private final Doubts doubts;

    DecidedBefore(Doubts doubts) {
        this.doubts = doubts;
    }

    /** @param credit what they got, as an exact fraction */
    public record DecidedAnswer(String text, String credit, int count) {}

    /** The largest groups first. Who may ask is for the caller to see. */
    @Transactional(readOnly = true)
    public List<DecidedAnswer> of(UUID assessment, String item) {
        return doubts.decided(assessment, item).stream()
                .map(d -> new DecidedAnswer(d.shown(), d.credit(), d.count()))
                .toList();
    }
}
