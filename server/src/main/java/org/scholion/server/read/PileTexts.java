package org.scholion.server.read;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.scholion.core.item.OpenItem;
import org.scholion.core.text.AlikePile;
import org.scholion.core.text.SameSentences;
import org.scholion.server.ledger.Attempt;
import org.scholion.server.ledger.Attempts;
import org.scholion.server.ledger.Marked;
import org.scholion.server.ledger.MarkedPaper;
import org.scholion.server.ledger.MarkedPapers;
import org.springframework.stereotype.Component;

/** What all students said to one open question, to be compared: read once in a while, however many answers are read. */
@Component
class PileTexts {
    private static final Duration HOLDS = Duration.ofMinutes(1);
    private static final int MOST_KEPT = 20;

    private final MarkedPapers papers;
    private final Attempts attempts;
    private final Cache<OneQuestion, Texts> kept =
            Caffeine.newBuilder().expireAfterWrite(HOLDS).maximumSize(MOST_KEPT).build();

    PileTexts(MarkedPapers papers, Attempts attempts) {
        this.papers = papers;
        this.attempts = attempts;
    }

    private record OneQuestion(UUID assessment, String item) {}

    /** Answers that say something, with what is known of them together. */
    record Texts(List<Attempt> attempts, List<String> texts, AlikePile alike, SameSentences sentences) {
        /** The place of an attempt among them; −1 where it is not there. */
        int placeOf(UUID attempt) {
            return attempts.stream().map(Attempt::id).toList().indexOf(attempt);
        }
    }

    /** As they were not longer than a minute ago. */
    Texts of(UUID assessment, OpenItem item) {
        return kept.get(new OneQuestion(assessment, item.id()), one -> read(one, item));
    }

    /** It is read anew: somebody's answer is not there yet. */
    Texts anew(UUID assessment, OpenItem item) {
        kept.invalidate(new OneQuestion(assessment, item.id()));
        return of(assessment, item);
    }

    private Texts read(OneQuestion one, OpenItem item) {
        List<Attempt> all = papers.find(one.assessment(), null).map(MarkedPaper::attempts).stream()
                .flatMap(List::stream)
                .map(Marked::attempt)
                .toList();
        List<UUID> ids = all.stream().map(Attempt::id).toList();
        Map<UUID, String> every = attempts.textsOf(ids, item);
        List<Attempt> said = new ArrayList<>();
        List<String> texts = new ArrayList<>();
        for (Attempt attempt : all) {
            String text = every.getOrDefault(attempt.id(), "");
            if (!text.isBlank()) {
                said.add(attempt);
                texts.add(text);
            }
        }
        return new Texts(said, texts, new AlikePile(texts), new SameSentences(texts));
    }
}
