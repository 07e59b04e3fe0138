package org.scholion.server.read;

import jakarta.persistence.EntityManager;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import java.util.UUID;
import org.scholion.core.item.OpenItem;
import org.scholion.core.text.WordRuns;
import org.scholion.server.access.Access;
import org.scholion.server.key.Editions;
import org.scholion.server.platform.Lengths;
import org.scholion.server.platform.Me;
import org.scholion.server.platform.Refused;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Which hints those who read an open question are given. */
@Service
public class HintPlans {
    private static final int MOST_WORDS = 50;
    private static final int LONGEST = 80;

    private final EntityManager entities;
    private final Access access;
    private final Editions editions;

    HintPlans(EntityManager entities, Access access, Editions editions) {
        this.entities = entities;
        this.access = access;
        this.editions = editions;
    }

    /**
     * Each of them on or off.
     *
     * @param words words and phrases that are looked for; none where it is empty
     * @param language spelling, capitals and signs, of English
     * @param likeness answers like it that one has read
     * @param sentences sentences that another student has word for word
     */
    public record HintPlan(List<String> words, boolean language, boolean likeness, boolean sentences) {
        static final HintPlan USUAL = new HintPlan(List.of(), true, true, true);

        public HintPlan {
            words = Objects.requireNonNullElse(words, List.of());
        }
    }

    @Transactional(readOnly = true)
    public HintPlan of(Me me, UUID assessment, String item) {
        access.require(me, Access.Action.READ_ANSWERS, assessment);
        return of(assessment, item);
    }

    HintPlan of(UUID assessment, String item) {
        HintPlanRow row = entities.find(HintPlanRow.class, new HintPlanRow.Key(assessment, item));
        return row == null ? HintPlan.USUAL : new HintPlan(row.words, row.language, row.likeness, row.sentences);
    }

    @Transactional
    public HintPlan plan(Me me, UUID assessment, String item, HintPlan plan) {
        access.require(me, Access.Action.WORK_ON_ASSESSMENT, assessment);
        if (!(editions.require(assessment).assessment().item(item).orElse(null) instanceof OpenItem)) {
            throw Refused.notFound();
        }
        HintPlanRow.Key key = new HintPlanRow.Key(assessment, item);
        HintPlanRow row = entities.find(HintPlanRow.class, key);
        HintPlanRow kept = row == null ? new HintPlanRow(assessment, item) : row;
        kept.words = words(plan.words());
        kept.language = plan.language();
        kept.likeness = plan.likeness();
        kept.sentences = plan.sentences();
        if (row == null) {
            entities.persist(kept);
        }
        return new HintPlan(kept.words, kept.language, kept.likeness, kept.sentences);
    }

    private static List<String> words(List<String> all) {
        Set<String> words = new LinkedHashSet<>();
        for (String one : all) {
            String word = one == null ? "" : Lengths.atMost("words", one.strip(), LONGEST);
            if (!word.isEmpty() && WordRuns.of(word).isEmpty()) {
                throw Refused.invalid("words", "'" + word + "' has no letter that could be looked for.");
            }
            if (!word.isEmpty()) {
                words.add(word);
            }
        }
        if (words.size() > MOST_WORDS) {
            throw Refused.invalid("words", "At most " + MOST_WORDS + " words are looked for in one question.");
        }
        return List.copyOf(words);
    }
}
