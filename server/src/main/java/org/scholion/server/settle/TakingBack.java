package org.scholion.server.settle;

import java.util.List;
import java.util.UUID;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.scholion.core.answer.Answer;
import org.scholion.core.item.Item;
import org.scholion.server.access.Access;
import org.scholion.server.key.Edition;
import org.scholion.server.key.Editions;
import org.scholion.server.key.Learned;
import org.scholion.server.ledger.EffectView;
import org.scholion.server.ledger.Regrading;
import org.scholion.server.platform.Me;
import org.scholion.server.platform.Refused;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What was decided about a question, each decision by itself, and taking one of them back while the others stay. */
@Service
class TakingBack {
    private final Learned learned;
    private final Editions editions;
    private final Regrading regrading;
    private final Access access;

    TakingBack(Learned learned, Editions editions, Regrading regrading, Access access) {
        this.learned = learned;
        this.editions = editions;
        this.regrading = regrading;
        this.access = access;
    }

    /** @param form what the answers have in common that it is about; null for a rule, which is about any */
    record InKey(Learned.Lesson lesson, @Nullable String form) {}

    /** What the key of a question was taught since it was given out, the latest first. */
    @Transactional(readOnly = true)
    List<InKey> of(Me me, UUID assessment, String itemId) {
        access.require(me, Access.Action.WORK_ON_ASSESSMENT, assessment);
        Edition edition = editions.latest(assessment).orElse(null);
        Item item = edition == null ? null : itemOf(edition, itemId).findFirst().orElse(null);
        return edition == null || item == null
                ? List.of()
                : learned.of(assessment, itemId).stream()
                        .map(lesson -> new InKey(lesson, form(edition, item, lesson)))
                        .toList();
    }

    private static @Nullable String form(Edition edition, Item item, Learned.Lesson lesson) {
        return switch (lesson.what()) {
            case RULING -> lesson.shown();
            case ANSWER -> edition.scorer(item).form(new Answer.Typed(lesson.shown()));
            default -> null;
        };
    }

    private static Stream<Item> itemOf(Edition edition, String id) {
        return edition.items().stream().filter(i -> i.id().equals(id));
    }

    /** @param lesson the id of what the key of the question was taught */
    record Unlearn(String item, String lesson) {}

    /** The key without one lesson, and the number of the edition that says so: by it this can be undone. */
    record Unlearned(EffectView effect, int edition) {}

    EffectView preview(Me me, UUID assessment, Unlearn what) {
        access.require(me, Access.Action.WORK_ON_ASSESSMENT, assessment);
        return regrading.compare(learned.without(editions.require(assessment), what.item(), what.lesson()));
    }

    Unlearned takeBack(Me me, UUID assessment, Unlearn what) {
        access.require(me, Access.Action.WORK_ON_ASSESSMENT, assessment);
        int[] number = new int[1];
        EffectView effect = regrading.confirmOnLatest(me, assessment, latest -> {
            Edition without = learned.without(latest, what.item(), what.lesson());
            number[0] = without.number();
            int place = itemOf(latest, what.item())
                    .findFirst()
                    .map(i -> latest.numberOf(i.id()))
                    .orElseThrow(Refused::notFound);
            return new Regrading.Made(without, "question " + place + ": a decision taken back");
        });
        return new Unlearned(effect, number[0]);
    }
}
